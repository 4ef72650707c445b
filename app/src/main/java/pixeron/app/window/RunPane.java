package pixeron.app.window;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.ProgressNote;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.app.model.Target;
import pixeron.byhand.HandSheet;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.SlipTitles;
import pixeron.chain.Chain;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.program.ProgramCheck;
import pixeron.program.ProgramCommand;
import pixeron.program.ProgramLimits;
import pixeron.step.Progress;

/** Where a user's own program is run in place of values by hand: the command is shown before it is run the first time. */
final class RunPane extends StackPane {

    private static final int MOST_CASES = 1000;

    private final Bench bench;
    private final ProgramLimits limits;
    private final Consumer<RuntimeException> trouble;
    private final Background running = new Background();
    private final TextField command = new TextField("python3 mine.py {in} {out}");
    private final TextField cases = new TextField("10");
    private final Label note = new Label();
    private final Button run = new Button("Run");
    private final TextArea said = new TextArea();
    private String approved = "";

    /**
     * @param limits of each run
     * @param chooseFile lets the user choose their program
     * @param trouble says what must not happen
     */
    RunPane(Bench bench, ProgramLimits limits, Supplier<Optional<Path>> chooseFile, Consumer<RuntimeException> trouble) {
        this.bench = bench;
        this.limits = limits;
        this.trouble = trouble;
        getStyleClass().add("help");
        Label title = new Label("Run a program");
        title.getStyleClass().add("card-title");
        Label words = new Label("Your program reads the image from {in}, a CSV file (or {in.pgm}, {in.ppm}, {in.png}, {in.npy}). It writes a table or an array to {out} (or a picture to {out.png}); without {out}, Pixeron reads what it prints. Color tables contain packed pixels. The values appear in By hand, with marks and slips.");
        words.setWrapText(true);
        words.getStyleClass().add("found-sentence");
        command.getStyleClass().add("number-field");
        command.setAccessibleText("The command that runs your program");
        HBox.setHgrow(command, Priority.ALWAYS);
        Button choose = new Button("Choose…");
        choose.setTooltip(new Tooltip("Choose your program file; Pixeron fills in the command"));
        choose.setOnAction(event -> chooseFile.get().ifPresent(file -> command.setText(commandFor(file))));
        HBox line = new HBox(command, choose);
        line.getStyleClass().add("set-line");
        cases.setPrefColumnCount(4);
        cases.setAccessibleText("Number of random images");
        HBox many = new HBox(new Label("Also test"), cases, new Label("random images of the same size"));
        many.getStyleClass().add("set-line");
        note.setWrapText(true);
        run.getStyleClass().add("accent");
        run.setOnAction(event -> start());
        Button close = new Button("Close");
        close.setOnAction(event -> leave());
        HBox buttons = new HBox(run, close, new ProgressNote("Running…", "Stops the program", running, running::cancel));
        buttons.getStyleClass().add("buttons");
        said.setEditable(false);
        said.getStyleClass().add("program-text");
        said.setAccessibleText("Results");
        VBox box = new VBox(title, words, line, many, note, buttons, said);
        box.getStyleClass().addAll("help-box", "run-box");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(box);
        command.textProperty().subscribe(text -> {
            run.setText("Run");
            note.setText("");
        });
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                leave();
                event.consume();
            } else if (event.getCode() == KeyCode.ENTER && event.getTarget() instanceof TextField) {
                run.fire();
                event.consume();
            }
        });
        setVisible(false);
    }

    private static String commandFor(Path file) {
        String name = file.toString();
        String quoted = "\"" + name + "\"";
        return (name.endsWith(".py") ? "python3 " + quoted : name.endsWith(".java") ? "java " + quoted : quoted) + " {in} {out}";
    }

    void open() {
        setVisible(true);
        command.requestFocus();
    }

    private void leave() {
        running.cancel();
        setVisible(false);
    }

    private int caseCount() {
        String text = cases.getText().strip();
        int count = text.isEmpty() ? 0 : text.matches("\\d{1,6}") ? Integer.parseInt(text) : -1;
        if (count < 0 || count > MOST_CASES) {
            throw PixeronException.of("“%s” is not a valid number of random images. Use 0 to %d.", Decimals.shortened(text), MOST_CASES);
        }
        return count;
    }

    private void start() {
        try {
            ProgramCommand parsed = ProgramCommand.parse(command.getText());
            int count = caseCount();
            if (!command.getText().equals(approved)) {
                approved = command.getText();
                note.setText("Pixeron will run: " + String.join("  ", parsed.words()) + "\nIt runs in a separate folder, for at most " + limits.seconds() + " seconds each time. Only run programs that you trust.");
                run.setText("Run");
                return;
            }
            run(parsed, count);
        } catch (PixeronException problem) {
            note.setText("▲ " + problem.getMessage());
        }
    }

    /** The channel that is looked at; all of them while a pixel is looked at as a whole. */
    private String face() {
        Optional<Seen> after = bench.shown() == null ? Optional.empty() : bench.shown().seenAfter();
        return after.filter(seen -> seen.hasColor() && !bench.looking().isWhole()).map(seen -> seen.name(bench.shown().channel())).orElse(Image.VALUE);
    }

    /** What came of all runs, and what is told of it: slips are looked for before the window shows it. */
    private record Ran(ProgramCheck.Outcome outcome, String told) {
    }

    private void run(ProgramCommand parsed, int count) {
        Chain whole = bench.project().chain();
        Chain upTo = whole;
        while (upTo.size() > bench.position() + 1) {
            upTo = upTo.removed(upTo.size() - 1);
        }
        ProgramCheck check = new ProgramCheck(parsed, upTo, new ProgramCheck.Conditions(1, limits, Path.of(System.getProperty("user.home")), face()));
        Target target = bench.hand().target();
        note.setText("");
        said.setText("");
        running.start(progress -> {
            ProgramCheck.Outcome outcome = check.run(count, true, progress);
            return new Ran(outcome, told(outcome, progress));
        }, ran -> show(ran, target), problem -> {
            if (problem instanceof PixeronException) {
                note.setText("▲ " + problem.getMessage());
            } else {
                trouble.accept(problem);
            }
        });
    }

    private void show(Ran ran, Target target) {
        ProgramCheck.Outcome outcome = ran.outcome();
        ProgramCheck.Case own = outcome.all().get(0);
        if (!own.sheet().isEmpty() && own.right() instanceof Abreast faces) {
            Map<String, UnaryOperator<HandSheet>> channels = new LinkedHashMap<>();
            faces.apart(own.sheet()).forEach((face, sheet) -> channels.put(face, old -> sheet.withTolerance(old.tolerance())));
            bench.hand().edit(target, channels);
        } else if (!own.sheet().isEmpty()) {
            bench.hand().take(target, own.sheet());
        }
        long right = outcome.all().stream().filter(ProgramCheck.Case::isRight).count();
        note.setText(right == outcome.all().size() ? "✓ Correct on this image" + (outcome.all().size() > 1 ? " and on " + (right - 1) + " random images." : ".")
                : "▲ Correct on " + right + " of " + outcome.all().size() + " images. The values for this image are in By hand.");
        said.setText(ran.told());
    }

    private static String told(ProgramCheck.Outcome outcome, Progress progress) {
        ProgramCheck.Case own = outcome.all().get(0);
        StringBuilder text = new StringBuilder();
        outcome.all().stream().filter(one -> !one.isRight()).limit(5).forEach(one -> text.append(line(one, progress)).append('\n'));
        outcome.smallest().ifPresent(one -> text.append("\nSmallest failing image:\n").append(one.image().faces().stream().map(face ->
                grid(face.name().equals(Image.VALUE) ? "image" : face.name(), face.image().frame(), face.image()::value)).collect(Collectors.joining()))
                .append(one.problem().map(problem -> problem + "\n").orElseGet(() -> grid("right", one.right().frame(), one.right()::value) + written(one.sheet(), one))));
        if (!own.said().isBlank()) {
            text.append("\nOutput of the program:\n").append(own.said());
        }
        return text.toString();
    }

    private static String line(ProgramCheck.Case one, Progress progress) {
        String which = one.number() == 0 ? "this image" : "image " + one.number();
        return which + ": " + one.problem().orElseGet(() -> one.check().differing().size() + " of " + one.check().filled() + " differ" + one.findings(progress).slips().stream()
                .findFirst().map(slip -> ". " + slip.text() + " (" + SlipTitles.of(slip.ids()) + ")").orElse(""));
    }

    private static String grid(String name, Frame frame, Function<Pixel, Value> values) {
        return name + ":\n" + IntStream.range(0, frame.rows()).mapToObj(i -> IntStream.range(0, frame.columns()).mapToObj(j ->
                Decimals.cell(values.apply(new Pixel(i, j)))).collect(Collectors.joining(" "))).collect(Collectors.joining("\n")) + "\n";
    }

    private static String written(HandSheet sheet, ProgramCheck.Case one) {
        return "written:\n" + IntStream.range(0, one.right().frame().rows()).mapToObj(i -> IntStream.range(0, one.right().frame().columns()).mapToObj(j ->
                Optional.ofNullable(sheet.cells().get(new Pixel(i, j))).map(value -> value.text()).orElse("·")).collect(Collectors.joining(" ")))
                .collect(Collectors.joining("\n")) + "\n";
    }
}
