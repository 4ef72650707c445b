package pixeron.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.recipe.Recipe;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** Another image with steps of its own: what its name means, and what becomes of those who name it. */
class OtherImageStepsTest {

    private static final Origin PULL = new Origin("second pull.csv", "table", 1, List.of());

    /** 5 2 beside 1 4, which are halved to 3 1 1 2 (rounded, ties away from zero) and then inverted to 4 6 6 5. */
    private static Project project(String... lines) {
        Project project = Project.of("Forme", PULL, Image.of(7, new int[][] {{1, 2}, {3, 0}})).withImage("pull", PULL, Image.of(7, new int[][] {{5, 2}, {1, 4}}));
        return with(with(project.opened("pull"), "divide divisor=2", "invert").atMain(), lines);
    }

    private static Project with(Project project, String... lines) {
        Project all = project;
        for (String line : lines) {
            all = all.withChain(chain -> chain.withStep(chain.size(), StepLine.parse(line)));
        }
        return all;
    }

    private static Result last(Project project) {
        return project.chain().last(Progress.NONE).required();
    }

    private static Image levels(int... values) {
        return Image.of(7, new int[][] {{values[0], values[1]}, {values[2], values[3]}});
    }

    @Test
    void aNameMeansTheLastResultAndWithANumberThatOfAStep() {
        assertThat(last(project("combine with=pull by=sum"))).isEqualTo(levels(5, 7, 7, 5));
        assertThat(last(project("combine with=pull:1 by=sum"))).isEqualTo(levels(4, 3, 4, 2));
        assertThat(last(project("combine with=pull:0 by=sum"))).isEqualTo(levels(6, 4, 4, 4));
        assertThatThrownBy(() -> last(project("combine with=pull:3 by=sum"))).hasMessage("Step 1: The image pull has no step 3. It has 2 steps.");
        assertThatThrownBy(() -> last(project("combine with=proof:3 by=sum"))).hasMessage("Step 1: There is no image proof. The images are: pull.");
    }

    @Test
    void whatFailsInTheOtherImageSaysWhere() {
        Project failing = with(project("combine with=pull by=sum").opened("pull"), "combine with=nowhere by=sum").atMain();
        assertThatThrownBy(() -> last(failing)).hasMessage("Step 1: In the image pull, step 3: There is no image nowhere.");
    }

    @Test
    void aChangeInTheOtherImageReachesThoseThatNameItAndOnlyThem() {
        Project project = project("add amount=1", "combine with=pull by=sum");
        Project changed = with(project.opened("pull"), "multiply factor=0").atMain();
        assertThat(last(changed)).isEqualTo(levels(2, 3, 4, 1));
        assertThat(changed.chain().stage(0)).as("a step before the first that names it").isSameAs(project.chain().stage(0));
    }

    @Test
    void aNumberFollowsTheStepThatItNames() {
        Project project = project("combine with=pull:2 by=sum");
        Result before = last(project);
        Project moved = project.opened("pull").withChain(chain -> chain.withStep(2, StepLine.parse("add amount=1"))).withChain(chain -> chain.withStep(0,
                StepLine.parse("add amount=0"))).atMain();
        assertThat(moved.chain().links().get(0).step().line()).isEqualTo("combine with=pull:3 by=sum");
        assertThat(last(moved)).isEqualTo(before);
        assertThatThrownBy(() -> moved.opened("pull").withChain(chain -> chain.removed(2))).isInstanceOf(PixeronException.class)
                .hasMessage("Another step uses pull:3. Change that step first.");
    }

    @Test
    void anotherNameIsFollowedWithItsNumber() {
        Project renamed = project("combine with=pull:1 by=sum").opened("pull").renamed("pull", "proof");
        assertThat(renamed.open()).contains("proof");
        assertThat(renamed.atMain().chain().links().get(0).step().line()).isEqualTo("combine with=proof:1 by=sum");
        assertThat(last(renamed.atMain())).isEqualTo(levels(4, 3, 4, 2));
        assertThatThrownBy(() -> renamed.renamed("proof", "step")).hasMessageContaining("“step” is not a valid name for an image");
    }

    @Test
    void anImageCanNameThoseBeforeItSoThatNoneLeadsBackToItself() {
        Project two = project().withImage("third", PULL, levels(1, 1, 1, 1));
        assertThat(last(with(two.opened("third"), "combine with=pull by=sum"))).isEqualTo(levels(5, 7, 7, 6));
        assertThatThrownBy(() -> last(with(two.opened("pull"), "combine with=third by=sum"))).hasMessageContaining("Step 3: There is no image third.");
        assertThatThrownBy(() -> last(with(two.opened("pull"), "combine with=pull by=sum"))).hasMessageContaining("There is no image pull");
    }

    @Test
    void theOtherImageBecomesTheImageUnderTheSameSteps() {
        Project project = project("add amount=1").withSheet(0, sheet -> sheet.with(Map.of(new Pixel(0, 0), "6")));
        Project used = project.opened("pull").using("pull", Progress.NONE);
        assertThat(used.open()).isEmpty();
        assertThat(used.chain().input()).isEqualTo(levels(4, 6, 6, 5));
        assertThat(used.origin().notes()).containsExactly("after divide divisor=2", "after invert");
        assertThat(last(used)).isEqualTo(levels(5, 7, 7, 6));
        assertThat(used.sheet(0).cells()).hasSize(1);
        assertThat(used.images()).extracting(OtherImage::name).containsExactly("pull", "second-pull");
        assertThat(used.image("second-pull").input()).isEqualTo(project.chain().input());
        assertThat(used.using("second-pull", Progress.NONE).images()).as("the image that was there has steps").hasSize(3);
        assertThatThrownBy(() -> with(project.opened("pull"), "fourier").using("pull", Progress.NONE)).hasMessageContaining("is a spectrum");
    }

    @Test
    void theFileKeepsStepsBranchesAndValuesByHandOfEveryImageAndWhichIsOpen(@TempDir Path folder) {
        Project written = project("combine with=pull:1 by=sum").opened("pull").withSheet(1, sheet -> sheet.with(Map.of(new Pixel(1, 0), "6"))).branched(0);
        Path file = folder.resolve("two" + ProjectFile.ENDING);
        ProjectFile.write(file, new SavedProject(written, new View(0, new Pixel(1, 1))));
        SavedProject read = ProjectFile.read(file);
        assertThat(read.project()).isEqualTo(written);
        assertThat(read.project().open()).contains("pull");
        assertThat(read.view().picked()).isEqualTo(new Pixel(1, 1));
        assertThat(last(read.project().atMain())).as("the first branch is meant").isEqualTo(levels(4, 3, 4, 2));
    }

    @Test
    void aRecipeBringsTheOtherImagesWithTheirSteps() {
        Recipe recipe = Recipe.of(project("combine with=pull by=sum").opened("pull"), Optional.empty());
        assertThat(recipe.on(Chain.of(levels(0, 0, 0, 0))).last(Progress.NONE).required()).isEqualTo(levels(4, 6, 6, 5));
    }
}
