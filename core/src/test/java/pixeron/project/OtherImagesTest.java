package pixeron.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import pixeron.PixeronException;
import pixeron.chain.Stage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.step.Inputs;
import pixeron.step.Mend;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** The shelf of a project: names that steps follow, and two images brought to one size. */
class OtherImagesTest {

    private static final Origin DEMO = new Origin("demo data", "demo", 1, List.of());

    private static Project project(int rows, int columns, int otherRows, int otherColumns, String... lines) {
        Project project = Project.of("Forme", DEMO, Image.ofLevels(rows, columns, 255, n -> n % 200)).withImage("second pull.png", DEMO,
                Image.ofLevels(otherRows, otherColumns, 255, n -> n % 100));
        for (String line : lines) {
            project = project.withChain(chain -> chain.withStep(chain.size(), StepLine.parse(line)));
        }
        return project;
    }

    private static String lines(Project project) {
        return project.chain().links().stream().map(link -> link.step().line()).collect(Collectors.joining("; "));
    }

    private static Project mended(Project project, int position, int which) {
        Stage stage = project.chain().stage(position);
        Inputs inputs = stage.inputs(Progress.NONE).orElseThrow();
        List<Mend> mends = stage.link().step().type().mends(stage.link().step(), inputs);
        return Mending.mended(project, position, stage.link().step().references().get(0), inputs, mends.get(which), Progress.NONE);
    }

    private static Frame result(Project project) {
        return project.chain().stage(project.chain().size() - 1).after(Progress.NONE).required().frame();
    }

    @Test
    void stepsOfAllBranchesFollowANewName() {
        Project project = project(2, 2, 2, 2, "combine with=second-pull by=sum", "combine with=step:1 by=mean").branched(0).renamed("second-pull", "moved");
        assertThat(lines(project)).isEqualTo("combine with=moved by=sum");
        assertThat(lines(project.onBranch("A"))).isEqualTo("combine with=moved by=sum; combine with=step:1 by=mean");
        assertThat(result(project.onBranch("A"))).isEqualTo(new Frame(2, 2, 255));
        assertThatThrownBy(() -> project.renamed("moved", "self")).isInstanceOf(PixeronException.class).hasMessageContaining("not a valid name");
        Project two = project.withImage("third", DEMO, Image.of(255, new int[][] {{7}}));
        assertThatThrownBy(() -> two.renamed("moved", "third")).isInstanceOf(PixeronException.class).hasMessageContaining("There is already an image named third.");
    }

    @Test
    void theLargerOneIsResizedOrCut() {
        Project large = project(8, 10, 4, 5, "invert", "combine with=second-pull by=sum");
        assertThat(lines(mended(large, 1, 0))).isEqualTo("invert; resize height=4 by=mean; combine with=second-pull by=sum");
        assertThat(result(mended(large, 1, 0))).isEqualTo(new Frame(4, 5, 255));
        assertThat(lines(mended(large, 1, 1))).isEqualTo("invert; crop row=0 column=0 height=4 width=5; combine with=second-pull by=sum");
        Project small = mended(project(4, 4, 8, 10, "combine with=second-pull by=sum"), 0, 0);
        assertThat(lines(small)).isEqualTo("combine with=second-pull-resize by=sum");
        assertThat(small.images().get(1).origin().file()).isEqualTo("second-pull, resize height=4 by=mean");
        // 10 × 4 ÷ 8 = 5 columns, and the image has 4: what is left is cut.
        assertThat(small.images().get(1).input().frame()).isEqualTo(new Frame(4, 5, 255));
        Project done = mended(small, 0, 0);
        assertThat(lines(done)).isEqualTo("combine with=second-pull-resize-crop by=sum");
        assertThat(result(done)).isEqualTo(new Frame(4, 4, 255));
    }
}
