package pixeron.step.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.Following;
import pixeron.byhand.HandSheet;
import pixeron.byhand.Verdict;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.format.CellTable;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Rows;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
import pixeron.walk.PseudoCode;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;
import pixeron.working.Line;

/** Steps that move values, against numbers read off a small image by eye. */
class MovedTest {

    /** 0 1 2 3, then 4 5 6 7, then 7 6 5 4. */
    private static final Image SORT = Image.of(7, new int[][] {{0, 1, 2, 3}, {4, 5, 6, 7}, {7, 6, 5, 4}});

    private static String values(String line) {
        return Rows.of(StepLine.parse(line).bind(SORT).result(Progress.NONE));
    }

    /** Rows, columns and exchanged ones, of bytes, words and fractions, against the definition pixel by pixel. */
    @Property(tries = 200)
    void allAtOnceIsAsOneByOne(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        List<String> lines = List.of("flip direction=left-right", "flip direction=up-down area=\"0 0 1 1\"", "transpose", "tile down=2 right=3",
                "tile down=3 right=2 mirrored=yes", "pad top=2 left=3 border=mirror-whole", "pad bottom=1 right=4 border=constant outside=1/2",
                "translate down=-2 right=1 border=periodic", "translate down=3 right=-1", "crop row=0 column=0 height=1 width=1");
        for (String line : lines) {
            Operation operation = StepLine.parse(line).bind(before);
            Image all = operation.result(Progress.NONE);
            for (int n = 0; n < all.count(); n++) {
                assertThat(all.value(n)).as(line).isEqualTo(operation.value(all.pixel(n)));
                assertThat(operation.explain(all.pixel(n)).result()).isEqualTo(all.value(n));
            }
        }
    }

    @Property(tries = 100)
    void whatIsDoneTwiceIsUndone(@ForAll long seed) {
        Image before = StepArbitraries.image(new Random(seed));
        for (String line : List.of("flip direction=left-right", "flip direction=up-down", "transpose")) {
            Image once = StepLine.parse(line).bind(before).result(Progress.NONE);
            assertThat(StepLine.parse(line).bind(once).result(Progress.NONE)).as(line).isEqualTo(before);
        }
        Image padded = StepLine.parse("pad top=1 bottom=2 left=3 right=4 border=replicate").bind(before).result(Progress.NONE);
        assertThat(StepLine.parse("crop row=1 column=3 height=" + before.rows() + " width=" + before.columns()).bind(padded).result(Progress.NONE))
                .isEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"pad; adds nothing", "pad top=-1; a whole number of at least 0", "flip; direction", "flip direction=left; left-right, up-down",
        "tile down=0; a whole number of at least 1", "tile down=20000 right=20000; would have 60000 × 80000 pixels; at most", "pad top=1 border=constant; needs outside"})
    void badSizesAreSaidBeforeAnythingIsMade(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line).bind(SORT)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"flip direction=up-down; flip direction=left-right; flipped-other-way",
        "tile down=1 right=2 mirrored=yes; tile down=1 right=2; flipped-other-way", "pad top=1 left=1 border=replicate; pad top=1 left=1 border=mirror-whole; border-mirror-whole",
        "translate down=1 right=1; translate down=1 right=1 border=periodic; border-wrap", "pad top=1 border=constant outside=5; pad top=1 border=constant outside=3; border-constant"})
    void slipsOfPlaces(String right, String done, String id) {
        Operation operation = StepLine.parse(right).bind(SORT);
        Image written = StepLine.parse(done).bind(SORT).result(Progress.NONE);
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < written.count(); n++) {
            sheet = sheet.with(written.pixel(n), written.value(n).toString());
        }
        assertThat(SlipFinder.find(Check.of(sheet, operation), operation).slips()).first().extracting("id").isEqualTo(id);
    }

    /** A quarter to the right: what is in the first column comes into the first row, from below. */
    @Test
    void turnedForTransposed() {
        Operation operation = StepLine.parse("transpose").bind(SORT);
        int[][] turned = {{7, 4, 0}, {6, 5, 1}, {5, 6, 2}, {4, 7, 3}};
        HandSheet sheet = HandSheet.EMPTY;
        for (int i = 0; i < 4; i++) {
            for (int j = 0; j < 3; j++) {
                sheet = sheet.with(new Pixel(i, j), String.valueOf(turned[i][j]));
            }
        }
        Explanation found = SlipFinder.find(Check.of(sheet, operation), operation).slips().get(0);
        assertThat(found.id()).isEqualTo("turned-other-way");
        assertThat(found.text()).contains("to the right");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "crop row=1 column=1 height=2 width=3; 5 6 7 | 6 5 4",
        "crop row=0 column=3 height=3 width=1; 3 | 7 | 4",
        "translate down=1 right=0; 0 0 0 0 | 0 1 2 3 | 4 5 6 7",
        "translate down=0 right=-2 border=replicate; 2 3 3 3 | 6 7 7 7 | 5 4 4 4",
        "translate down=0 right=1 border=periodic; 3 0 1 2 | 7 4 5 6 | 4 7 6 5",
        "translate down=-1 right=0 border=mirror-half; 4 5 6 7 | 7 6 5 4 | 7 6 5 4",
        "translate down=-1 right=0 border=mirror-whole; 4 5 6 7 | 7 6 5 4 | 4 5 6 7",
        "translate down=5 right=5 border=constant outside=M; 7 7 7 7 | 7 7 7 7 | 7 7 7 7",
        "translate down=1 right=1 area=\"1 1 1 2\"; 0 1 2 3 | 4 0 1 7 | 7 6 5 4",
        "flip direction=left-right; 3 2 1 0 | 7 6 5 4 | 4 5 6 7",
        "flip direction=up-down; 7 6 5 4 | 4 5 6 7 | 0 1 2 3",
        // Read from the whole image, written in the area: columns 1 and 2 of row 0 get those of 2 and 1.
        "flip direction=left-right area=\"0 0 2 2\"; 3 2 2 3 | 7 6 6 7 | 7 6 5 4",
        "transpose; 0 4 7 | 1 5 6 | 2 6 5 | 3 7 4",
        "tile down=1 right=2; 0 1 2 3 0 1 2 3 | 4 5 6 7 4 5 6 7 | 7 6 5 4 7 6 5 4",
        "tile down=2 right=2 mirrored=yes; 0 1 2 3 3 2 1 0 | 4 5 6 7 7 6 5 4 | 7 6 5 4 4 5 6 7 | 7 6 5 4 4 5 6 7 | 4 5 6 7 7 6 5 4 | "
                + "0 1 2 3 3 2 1 0",
        "tile down=3 right=1 mirrored=yes; 0 1 2 3 | 4 5 6 7 | 7 6 5 4 | 7 6 5 4 | 4 5 6 7 | 0 1 2 3 | 0 1 2 3 | 4 5 6 7 | 7 6 5 4",
        "pad left=1; 0 0 1 2 3 | 0 4 5 6 7 | 0 7 6 5 4",
        "pad top=2 right=1 border=mirror-half; 4 5 6 7 7 | 0 1 2 3 3 | 0 1 2 3 3 | 4 5 6 7 7 | 7 6 5 4 4",
        "pad bottom=1 left=2 border=periodic; 2 3 0 1 2 3 | 6 7 4 5 6 7 | 5 4 7 6 5 4 | 2 3 0 1 2 3",
        "pad top=1 border=constant outside=M; 7 7 7 7 | 0 1 2 3 | 4 5 6 7 | 7 6 5 4"})
    void valuesAreMovedAndStayAsTheyAre(String line, String expected) {
        assertThat(values(line)).isEqualTo(expected);
    }

    @Test
    void whatComesInFromOutsideMayBeNoLevel() {
        Image after = StepLine.parse("translate down=0 right=3 border=constant outside=-1/2").bind(SORT).result(Progress.NONE);
        assertThat(after.isLevelImage()).isFalse();
        assertThat(after.value(0)).isEqualTo(Rational.of(-1, 2));
        assertThat(after.value(3)).isEqualTo(Rational.ZERO);
    }

    @Test
    void aResultHasItsOwnFrameSourcesAndHome() {
        Operation crop = StepLine.parse("crop row=1 column=2 height=2 width=2").bind(SORT);
        assertThat(crop.frame()).isEqualTo(new Frame(2, 2, 7));
        assertThat(crop.counterpart(new Pixel(1, 0))).contains(new Pixel(2, 2));
        assertThat(crop.sources(new Pixel(1, 0))).singleElement().satisfies(source -> {
            assertThat(source.pixel()).contains(new Pixel(2, 2));
            assertThat(source.value()).contains((Value) Rational.of(5));
        });
        assertThat(crop.home(new Pixel(2, 2))).contains(new Pixel(1, 0));
        assertThat(crop.home(new Pixel(0, 0))).isEmpty();
        assertThat(crop.contains(new Pixel(2, 0))).isFalse();
        Operation move = StepLine.parse("translate down=1 right=0 border=zero").bind(SORT);
        assertThat(move.counterpart(new Pixel(0, 0))).isEmpty();
        assertThat(move.home(new Pixel(2, 0))).isEmpty();
    }

    @Test
    void theWorkingIsThatOfThePlaceAndTheLoopReadsBackwards() {
        Operation move = StepLine.parse("translate down=1 right=-1 border=replicate").bind(SORT);
        assertThat(move.explain(new Pixel(0, 3)).lines().stream().map(Line::text)).containsExactly(
                "s(i, j) = r(i − down, j − right)", "y = i − down = 0 − 1 = −1", "x = j − right = 3 − (−1) = 4",
                "outside, this position has the value of r(0, 3)", "s = r(−1, 4) = 3");
        PseudoCode code = PseudoCode.of(move, Visits.of(ScanOrder.ROWS, 3, 4), new Pixel(0, 3));
        assertThat(code.lines()).extracting(line -> line.text()).contains("y ← i − down", "x ← j − right",
                "after[i][j] ← before[y][x], or the value outside");
        assertThat(code.variables(code.moments().size())).extracting(variable -> variable.name() + variable.value())
                .contains("y−1", "x4", "after[i][j]3");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "crop row=2 column=1 height=2 width=1; would end at row 3, column 1; the image ends at row 2, column 3",
        "crop row=0 column=0 height=0 width=1; height=0 is not allowed; Give a whole number of at least 1",
        "crop row=0 column=0 height=1 width=1 rounding=floor; crop has no parameter \"rounding\"",
        "crop row=0 column=0 height=1 width=1 area=\"0 0 1 1\"; crop has no parameter \"area\"",
        "translate down=1/2 right=0; down=1/2 is not allowed; give a whole number",
        "translate down=1 right=0 border=keep; border=keep is not valid",
        "translate down=1 right=0 border=constant; border=constant needs outside",
        "translate down=1 right=0 outside=3; Border value (outside) applies to border=constant only"})
    void whatDoesNotFitIsSaid(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line).bind(SORT)).isInstanceOf(PixeronException.class)
                .hasMessageContaining(message.replaceAll("; (the|give) .*", ""));
    }

    /** A user's own value of the step before is looked for where the crop takes it from. */
    @Test
    void valuesFollowThroughAResultOfAnotherSize() {
        Operation crop = StepLine.parse("crop row=1 column=1 height=1 width=3").bind(SORT);
        HandSheet earlier = HandSheet.EMPTY.with(new Pixel(1, 2), "9").with(new Pixel(0, 0), "5");
        Check check = Check.of(HandSheet.of(CellTable.parse("5,9,8"), crop.frame()), crop);
        assertThat(check.cells()).extracting(CellCheck::state).containsExactly(Verdict.AGREES, Verdict.DIFFERS,
                Verdict.DIFFERS);
        assertThat(Following.of(check, crop, earlier).pixels()).containsExactly(new Pixel(0, 1));
    }

    @Test
    void aCropOfAnOpenImageKeepsItsFractions() {
        Image open = Image.from(1, 3, 7, Rational.of(1, 3), Rational.of(-2), Rational.of(22, 7));
        Image after = StepLine.parse("crop row=0 column=2 height=1 width=1").bind(open).result(Progress.NONE);
        assertThat(after.value(0)).isEqualTo(Rational.of(22, 7));
        assertThat(List.of(Optional.of(after.isExact()))).containsExactly(Optional.of(true));
    }
}
