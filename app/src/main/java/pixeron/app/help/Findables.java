package pixeron.app.help;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import pixeron.app.bench.steps.Thumbnail;
import pixeron.app.help.Findable.Kind;
import pixeron.app.help.figure.FigureViews;
import pixeron.help.Glossary;
import pixeron.help.Page;
import pixeron.help.Searched;
import pixeron.image.Image;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;
import pixeron.step.StepType;
import pixeron.step.catalog.Catalog;
import pixeron.step.key.Arguments;
import pixeron.step.key.Parameter;

/** What the search finds beside the actions of the menu. */
public final class Findables {

    private static final int PICTURE = 180;

    private Findables() {
    }

    /**
     * Returns steps, words, pages and cases.
     *
     * @param add puts a step behind the selected one
     * @param open opens a case
     * @param go goes on to a word
     * @param figures draws the figures of pages
     */
    public static List<Findable> all(Consumer<StepType> add, Consumer<DemoCase> open, Consumer<String> go, FigureViews figures) {
        Stream<Findable> steps = Catalog.all().stream().map(type -> new Findable(Kind.STEP, Catalog.searched(type), "",
                () -> new MarkdownView(explained(type)), () -> add.accept(type)));
        Stream<Findable> words = Glossary.read().entries().stream().map(entry -> new Findable(Kind.WORD, new Searched(entry.name(), entry.others(), List.of(), List.of()), "",
                () -> explained(entry, go), () -> { }));
        Stream<Findable> pages = Page.all().stream().map(page -> new Findable(Kind.PAGE, new Searched(page.title(), List.of(), List.of(), List.of(page.markdown())), "",
                () -> new MarkdownView(page.markdown(), figures::find), () -> { }));
        Stream<Findable> cases = DemoCases.all().stream().map(demo -> new Findable(Kind.CASE, new Searched(demo.title(), List.of(), List.of(demo.id()), List.of(demo.sentence())), "",
                () -> pictured(demo), () -> open.accept(demo)));
        return Stream.of(steps, words, pages, cases).flatMap(found -> found).toList();
    }

    private static Node explained(Glossary.Entry entry, Consumer<String> go) {
        String others = entry.others().isEmpty() ? "" : "Also: " + String.join(", ", entry.others()) + ".\n\n";
        VBox box = new VBox(new MarkdownView("# " + entry.name() + "\n\n" + others + entry.meaning()));
        FlowPane see = new FlowPane(new Label("See"));
        see.getStyleClass().add("page-see");
        for (String word : entry.see()) {
            Hyperlink link = new Hyperlink(word);
            link.setOnAction(event -> go.accept(word));
            see.getChildren().add(link);
        }
        box.getChildren().add(see);
        return box;
    }

    private static String explained(StepType type) {
        Arguments arguments = type.starter(Image.BYTE_MAXIMUM).arguments();
        StringBuilder text = new StringBuilder("# " + type.title() + "\n\n" + type.sentence() + "\n\n```\n" + type.formula(arguments) + "\n```\n\n");
        for (Parameter<?> key : type.parameters()) {
            text.append("- **").append(key.title()).append("** `").append(key.key()).append("`: ").append(escaped(key.range()))
                    .append(standard(key)).append('\n');
        }
        return text.toString();
    }

    private static <T> String standard(Parameter<T> key) {
        return key.defaultValue().map(value -> "; default: `" + key.print(value) + "`").orElse(key.isRequired() ? "" : "; optional");
    }

    /** Signs that Markdown would take for its own. */
    private static String escaped(String words) {
        return words.replaceAll("([*_\\[\\]<>`])", "\\\\$1");
    }

    private static Node pictured(DemoCase demo) {
        VBox box = new VBox(new MarkdownView("# " + demo.title() + "\n\n" + demo.sentence()), new Thumbnail(demo.image(), PICTURE));
        box.getStyleClass().add("page");
        return box;
    }
}
