package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.mark.Marked;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.project.Project;
import pixeron.report.Block;
import pixeron.report.Mark;
import pixeron.report.Report;
import pixeron.report.ReportFile;

/** What a user gets back. The exercise has three parts: a column of the levels (8 points), the equalized proof (10), the thresholded one (4). */
class FeedbackTest {

    @TempDir
    private Path folder;
    private ClassOfAnswers answers;

    @BeforeEach
    void makeExercise() {
        answers = new ClassOfAnswers(folder, Exercises.threeParts(1));
    }

    private static <B extends Block> List<B> blocks(Report report, Class<B> kind) {
        return report.blocks().stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    private static String words(Report report) {
        return blocks(report, Block.Words.class).stream().map(Block.Words::text).collect(Collectors.joining("\n"));
    }

    private static List<Block.Cell> cells(Block.Grid grid) {
        return grid.rows().stream().flatMap(List::stream).toList();
    }

    @Test
    void theFirstSlipStandsWithBothWorkings() {
        Part.OfCells threshold = (Part.OfCells) answers.variants().variant(2).parts().get(2);
        Marked slipped = answers.answer("Lee", 2, Simulated.slipped(answers.variants().variant(2), threshold).get("black-white-swapped"));
        Report feedback = answers.marker().feedback(slipped, true);
        assertThat(words(feedback)).contains("Lee · " + slipped.code().orElseThrow() + " · 18 of 22 points").contains("high and low are swapped").contains("20 of 20 cells filled, 0 correct, 20 differ.");
        List<Block.Work> workings = blocks(feedback, Block.Workings.class).get(0).workings();
        assertThat(workings).hasSize(2);
        assertThat(workings.get(0).lines()).isNotEqualTo(workings.get(1).lines());
        List<Block.Grid> last = blocks(feedback, Block.Grids.class).get(1).grids();
        assertThat(cells(last.get(0))).allMatch(cell -> cell.mark().isWrong());
        assertThat(cells(last.get(1)).stream().map(Block.Cell::text)).isEqualTo(threshold.pixels().stream()
                .map(pixel -> Decimals.table(threshold.operation().value(pixel))).toList());
        assertThat(ReportFile.pages(feedback)).isBetween(1, 2);
    }

    /** One wrong value of step 1, and what step 2 makes of it: the second follows, and counts unless it is said otherwise. */
    @Test
    void whatFollowsIsSaidWithItsSource() {
        Variant variant = answers.variants().variant(1);
        Part.OfCells threshold = (Part.OfCells) variant.parts().get(2);
        Pixel pixel = threshold.pixels().get(0);
        boolean isWhite = threshold.operation().value(pixel).signum() > 0;
        Project work = Simulated.right(variant).withByHand(0, "value", written -> written.withSheet(sheet -> sheet.with(pixel, isWhite ? "0" : "7")))
                .withByHand(1, "value", written -> written.withSheet(sheet -> sheet.with(pixel, isWhite ? "0" : "7")));
        Marked marked = answers.answer("Kim", 1, work);
        Report feedback = answers.marker().feedback(marked, true);
        assertThat(words(feedback)).contains("21.5 of 22 points").contains("First mistake: step 1, row 0, column 0").contains("↳ Cells that follow from your values of step 1: 1. They count as correct.");
        assertThat(cells(blocks(feedback, Block.Grids.class).get(1).grids().get(0)).get(0).mark()).isEqualTo(Mark.FOLLOWS);
        assertThat(words(answers.marker().feedback(marked, false))).contains("21.3 of 22 points").contains("They do not count.");
    }

    @Test
    void whatIsRightOrBlankIsToldToo() {
        Report right = answers.marker().feedback(answers.right("Kim", 1), true);
        assertThat(words(right)).contains("22 of 22 points").doesNotContain("slip");
        assertThat(blocks(right, Block.Heading.class).stream().map(Block.Heading::text)).contains("2. Result of step 1 (histogram equalization): 10 of 10 points");
        Report blank = answers.marker().feedback(answers.answer("Max", 3, answers.variants().variant(3).project()), true);
        assertThat(blocks(blank, Block.Grids.class)).isEmpty();
    }

    /** Forty parts of five rows, all of them wrong: still two pages, with the first slip and its workings. */
    @Test
    void isNeverLongerThanTwoPages() {
        Exercise three = Exercises.threeParts(1);
        for (int count : new int[] {8, 40, 200}) {
            Exercise many = new Exercise(three.title(), three.task(), three.image(), three.steps(), three.choices(),
                    IntStream.range(0, count).mapToObj(n -> Exercises.all(1 + n % 2, 1)).toList(), three.wish(), 3);
            ClassOfAnswers handedIn = new ClassOfAnswers(folder, many);
            Variant variant = handedIn.variants().variant(1);
            Marked marked = handedIn.answer("Kim " + count, 1, Simulated.slipped(variant, (Part.OfCells) variant.parts().get(1)).get("black-white-swapped"));
            Report feedback = handedIn.marker().feedback(marked, true);
            assertThat(ReportFile.pages(feedback)).isBetween(1, 2);
            assertThat(blocks(feedback, Block.Workings.class)).hasSize(1);
            assertThat(words(feedback)).contains("high and low are swapped");
        }
    }
}
