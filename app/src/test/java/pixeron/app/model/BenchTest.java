package pixeron.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.chain.Stage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.Operation;
import pixeron.step.catalog.StepLine;

/** The state of the bench without a window: layers, places of results of another size, edits and what they belong to. */
class BenchTest {

    /** 6 × 6, the level says row and column: 10·row + column. */
    private static final Image GRID = Image.ofLevels(6, 6, 255, n -> n / 6 * 10 + n % 6);
    private static final String CROP = "crop row=2 column=1 height=3 width=4";

    private final Bench bench = new Bench(new Background(Runnable::run, Runnable::run), problem -> {
        throw problem;
    });

    @BeforeEach
    void open() {
        Project project = Project.of("Grid", new Origin("new", "new", 1, List.of()), GRID);
        bench.open(new SavedProject(project, new View(-1, new Pixel(0, 0))), Optional.empty(), true);
    }

    private Operation operation(int position) {
        return bench.project().chain().stage(position).operation(pixeron.step.Progress.NONE).orElseThrow();
    }

    @Test
    void aPickedPixelIsFollowedThroughACrop() {
        bench.pick(new Pixel(3, 2));
        bench.addStep(StepLine.parse(CROP));
        assertThat(bench.shown().grid()).isEqualTo(new Frame(3, 4, 255));
        assertThat(bench.shown().gridBefore()).isEqualTo(new Frame(6, 6, 255));
        assertThat(bench.pickedProperty().get()).as("row 3 − 2, column 2 − 1").isEqualTo(new Pixel(1, 1));
        assertThat(bench.pickedBeforeProperty().get()).isEqualTo(new Pixel(3, 2));
        bench.addStep(StepLine.parse("invert"));
        assertThat(bench.pickedProperty().get()).isEqualTo(new Pixel(1, 1));
        bench.select(0);
        assertThat(bench.pickedBeforeProperty().get()).isEqualTo(new Pixel(3, 2));
        bench.select(-1);
        assertThat(bench.pickedProperty().get()).isEqualTo(new Pixel(3, 2));
        bench.select(0);
        bench.editChain(0, chain -> chain.replaced(0, StepLine.parse("crop row=3 column=1 height=3 width=4")));
        assertThat(bench.pickedProperty().get()).as("what is read stays, its place is another").isEqualTo(new Pixel(0, 1));
    }

    @Test
    void aPixelThatIsCutOffIsPickedInBeforeOnly() {
        bench.addStep(StepLine.parse(CROP));
        bench.pickBefore(new Pixel(0, 5));
        assertThat(bench.goneProperty().get()).isTrue();
        assertThat(bench.pickedBeforeProperty().get()).isEqualTo(new Pixel(0, 5));
        bench.pickBefore(new Pixel(2, 1));
        assertThat(bench.goneProperty().get()).isFalse();
        assertThat(bench.pickedProperty().get()).isEqualTo(new Pixel(0, 0));
        bench.pick(new Pixel(9, 9));
        assertThat(bench.pickedProperty().get()).as("drawn to the edge of the result").isEqualTo(new Pixel(2, 3));
        assertThat(bench.pickedBeforeProperty().get()).isEqualTo(new Pixel(4, 4));
    }

    @Test
    void levelsAreLitOnBothSheetsWhereTheyAre() {
        bench.addStep(StepLine.parse(CROP));
        bench.light(Optional.of(new Search.Levels(true, 21, 22)));
        Shown.Lit lit = bench.shown().lit().orElseThrow();
        assertThat(lit.after().orElseThrow().contains(0)).isTrue();
        assertThat(lit.before().orElseThrow().contains(2 * 6 + 1)).isTrue();
        assertThat(lit.before().orElseThrow().count()).isEqualTo(2);
        bench.light(Optional.of(new Search.Levels(false, 0, 21)));
        assertThat(bench.shown().lit().orElseThrow().after().orElseThrow().count()).as("only 21 is in the result").isEqualTo(1);
    }

    @Test
    void lightingPixelsCalculatesNothingElse() {
        bench.addStep(StepLine.parse("add amount=3"));
        bench.hand().edit(sheet -> sheet.with(new Pixel(0, 0), "9").with(new Pixel(0, 1), "9"));
        Shown before = bench.shown();
        bench.light(Optional.of(new Search.Levels(false, 0, 9)));
        assertThat(bench.shown()).isNotSameAs(before);
        assertThat(bench.shown().results()).isSameAs(before.results());
        assertThat(bench.shown().marks()).isSameAs(before.marks());
        assertThat(bench.shown().lit()).isPresent();
    }

    @Test
    void anEditOfALateStepBindsNoEarlyOneAgain() {
        bench.addStep(StepLine.parse("add amount=3"));
        bench.addStep(StepLine.parse("invert"));
        Operation first = operation(0);
        Stage stage = bench.project().chain().stage(0);
        bench.editChain(1, chain -> chain.replaced(1, StepLine.parse("multiply factor=2")));
        assertThat(bench.project().chain().stage(0)).isSameAs(stage);
        assertThat(operation(0)).isSameAs(first);
        Operation second = operation(1);
        bench.hand().edit(sheet -> sheet.with(new Pixel(0, 0), "9"));
        assertThat(operation(1)).as("a value by hand binds nothing").isSameAs(second);
        assertThat(bench.shown().operation()).containsSame(second);
    }

    /** A value that is typed while another step is selected belongs to the step where typing began. */
    @Test
    void anEditIsWrittenToTheStepItWasBegunIn() {
        bench.addStep(StepLine.parse("add amount=3"));
        bench.addStep(StepLine.parse("invert"));
        bench.select(0);
        Target begun = bench.hand().target();
        bench.select(1);
        bench.editChain(1, chain -> chain.moved(0, 1));
        bench.hand().edit(begun, sheet -> sheet.with(new Pixel(1, 1), "14"));
        assertThat(bench.project().sheet(0).isEmpty()).isTrue();
        assertThat(bench.project().sheet(1).cells()).containsOnlyKeys(new Pixel(1, 1));
        bench.editChain(0, chain -> chain.removed(1));
        bench.hand().edit(begun, sheet -> sheet.with(new Pixel(2, 2), "1"));
        assertThat(bench.project().sheet(0).isEmpty()).as("its step is gone").isTrue();
    }

    @Test
    void aWalkGoesOverTheResultOnly() {
        bench.addStep(StepLine.parse(CROP));
        bench.walking().toggle();
        assertThat(bench.walking().walk().visits().count()).isEqualTo(12);
        bench.walking().to(5);
        assertThat(bench.pickedProperty().get()).isEqualTo(new Pixel(1, 0));
        assertThat(bench.pickedBeforeProperty().get()).isEqualTo(new Pixel(3, 1));
        assertThat(bench.walking().mistakeKind()).isEmpty();
        assertThat(bench.walking().isSeen(new Pixel(2, 3))).isFalse();
        bench.walking().leave();
        assertThat(bench.walking().isSeen(new Pixel(2, 3))).isTrue();
    }
}
