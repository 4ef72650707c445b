package pixeron.step.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.Following;
import pixeron.byhand.HandSheet;
import pixeron.byhand.Verdict;
import pixeron.format.CellTable;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
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
        Image after = StepLine.parse(line).bind(SORT).result(Progress.NONE);
        StringBuilder text = new StringBuilder();
        for (int n = 0; n < after.count(); n++) {
            text.append(n == 0 ? "" : n % after.columns() == 0 ? " | " : " ").append(after.value(n));
        }
        return text.toString();
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "crop row=1 column=1 height=2 width=3; 5 6 7 | 6 5 4",
        "crop row=0 column=3 height=3 width=1; 3 | 7 | 4",
        "move down=1 right=0; 0 0 0 0 | 0 1 2 3 | 4 5 6 7",
        "move down=0 right=-2 border=repeat; 2 3 3 3 | 6 7 7 7 | 5 4 4 4",
        "move down=0 right=1 border=wrap; 3 0 1 2 | 7 4 5 6 | 4 7 6 5",
        "move down=-1 right=0 border=mirror-half; 4 5 6 7 | 7 6 5 4 | 7 6 5 4",
        "move down=-1 right=0 border=mirror-whole; 4 5 6 7 | 7 6 5 4 | 4 5 6 7",
        "move down=5 right=5 border=constant outside=M; 7 7 7 7 | 7 7 7 7 | 7 7 7 7",
        "move down=1 right=1 area=\"1 1 1 2\"; 0 1 2 3 | 4 0 1 7 | 7 6 5 4"})
    void valuesAreMovedAndStayAsTheyAre(String line, String expected) {
        assertThat(values(line)).isEqualTo(expected);
    }

    @Test
    void whatComesInFromOutsideMayBeNoLevel() {
        Image after = StepLine.parse("move down=0 right=3 border=constant outside=-1/2").bind(SORT).result(Progress.NONE);
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
        Operation move = StepLine.parse("move down=1 right=0 border=zero").bind(SORT);
        assertThat(move.counterpart(new Pixel(0, 0))).isEmpty();
        assertThat(move.home(new Pixel(2, 0))).isEmpty();
    }

    @Test
    void theWorkingIsThatOfThePlaceAndTheLoopReadsBackwards() {
        Operation move = StepLine.parse("move down=1 right=-1 border=repeat").bind(SORT);
        assertThat(move.explain(new Pixel(0, 3)).lines().stream().map(Line::text)).containsExactly(
                "s(i, j) = r(i − down, j − right)", "y = i − down = 0 − 1 = −1", "x = j − right = 3 − (−1) = 4",
                "the image goes on there with r(0, 3)", "s = r(−1, 4) = 3");
        PseudoCode code = PseudoCode.of(move, Visits.of(ScanOrder.ROWS, 3, 4), new Pixel(0, 3));
        assertThat(code.lines()).extracting(line -> line.text()).contains("y ← i − down", "x ← j − right",
                "after[i][j] ← before[y][x], or what stands outside");
        assertThat(code.variables(code.moments().size())).extracting(variable -> variable.name() + variable.value())
                .contains("y−1", "x4", "after[i][j]3");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "crop row=2 column=1 height=2 width=1; would end at row 3, column 1; the image ends at row 2, column 3",
        "crop row=0 column=0 height=0 width=1; height=0 is not allowed; give a whole number from 1 on",
        "crop row=0 column=0 height=1 width=1 rounding=floor; crop has no key \"rounding\"",
        "crop row=0 column=0 height=1 width=1 area=\"0 0 1 1\"; crop has no key \"area\"",
        "move down=1/2 right=0; down=1/2 is not allowed; give a whole number",
        "move down=1 right=0 border=keep; border=keep is unknown",
        "move down=1 right=0 border=constant; border=constant needs outside",
        "move down=1 right=0 outside=3; outside belongs to border=constant"})
    void whatDoesNotFitIsSaid(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line).bind(SORT)).isInstanceOf(PixeronException.class)
                .hasMessageContaining(message.replaceAll("; (the|give) .*", ""));
    }

    /** A person's own value of the step before is looked for where the crop takes it from. */
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
