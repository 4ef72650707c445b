package pixeron.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.byhand.table.HandTable;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.project.Origin;
import pixeron.project.OwnKernel;
import pixeron.project.Project;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.catalog.StepLine;

/** Whatever is done can be undone, one thing after the other, down to the beginning, and done again. */
class UndoTest {

    private static final List<String> LINES = List.of("add amount=3", "equalize", "box size=3", "crop row=0 column=0 height=2 width=2",
            "threshold at=4", "median size=3 border=inside", "stretch");

    private final Bench bench = new Bench(new Background(Runnable::run, Runnable::run), problem -> {
        throw problem;
    });
    private Random random;

    private int step() {
        return random.nextInt(bench.project().chain().size());
    }

    private Pixel pixel() {
        return new Pixel(random.nextInt(2), random.nextInt(2));
    }

    /** One of the things that change the work. */
    private void doSomething() {
        boolean hasSteps = bench.project().chain().size() > 0;
        switch (hasSteps ? random.nextInt(11) : 0) {
            case 0 -> bench.addStep(StepLine.parse(LINES.get(random.nextInt(LINES.size()))));
            case 1 -> {
                int at = step();
                bench.editChain(at - 1, chain -> chain.removed(at));
            }
            case 2 -> {
                int from = step();
                int to = step();
                bench.editChain(to, chain -> chain.moved(from, to));
            }
            case 3 -> {
                int at = step();
                bench.edit(project -> project.withChain(chain -> chain.switched(at, !chain.stage(at).link().isOn())));
            }
            case 4 -> {
                int at = step();
                bench.editChain(at, chain -> chain.replaced(at, StepLine.parse(LINES.get(random.nextInt(LINES.size())))));
            }
            case 5, 6 -> {
                bench.select(step());
                String value = String.valueOf(random.nextInt(9));
                bench.hand().edit(sheet -> sheet.with(pixel(), value));
            }
            case 7 -> {
                bench.select(step());
                String value = String.valueOf(random.nextInt(8));
                bench.hand().editTable(bench.hand().target(), "histogram", table -> with(table, value));
            }
            case 8 -> {
                bench.select(-1);
                Rational level = Rational.of(random.nextInt(8));
                bench.draw(null, image -> ((Image) image).with(new int[] {random.nextInt(12)}, level));
            }
            case 9 -> {
                int at = step();
                bench.edit(project -> project.branches().size() < 4 ? project.branched(at) : project.withoutBranch());
            }
            default -> bench.edit(project -> project.withKernel(new OwnKernel("own " + random.nextInt(3),
                    "kernel weights=\"1 " + random.nextInt(5) + "\"")));
        }
        bench.past().endMerge();
    }

    private static HandTable with(HandTable table, String value) {
        return table.with(Map.of(new HandTable.Place(value, "n"), value));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void everythingGoesBackAndForth(long seed) {
        random = new Random(seed);
        Project first = Project.of("Proof", new Origin("new", "new", 1, List.of()), Image.ofLevels(3, 4, 7, n -> n * 5 % 8));
        bench.open(new SavedProject(first, new View(-1, new Pixel(0, 0))), Optional.empty(), true);
        List<Project> states = new ArrayList<>(List.of(first));
        while (states.size() < 40) {
            doSomething();
            Project now = bench.project();
            if (!now.equals(states.get(states.size() - 1))) {
                states.add(now);
            }
        }
        assertThat(bench.past().savedProperty().get()).isFalse();
        for (int n = states.size() - 2; n >= 0; n--) {
            undoUntilOther(states.get(n + 1));
            assertThat(bench.project()).as("back at %d", n).isEqualTo(states.get(n));
            assertThat(bench.shown().project()).as("it is what is shown").isSameAs(bench.project());
        }
        assertThat(bench.past().undoableProperty().get()).isFalse();
        assertThat(bench.past().savedProperty().get()).isTrue();
        for (int n = 1; n < states.size(); n++) {
            while (bench.project().equals(states.get(n - 1))) {
                bench.redo();
            }
            assertThat(bench.project()).as("again at %d", n).isEqualTo(states.get(n));
        }
        assertThat(bench.past().redoableProperty().get()).isFalse();
    }

    /** A change that writes the same value again is a step back of its own that shows nothing else. */
    private void undoUntilOther(Project same) {
        while (bench.project().equals(same)) {
            bench.undo();
        }
    }
}
