package pixeron.byhand.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.Verdict;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.format.CellTable;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;

/** Values by hand for all channels, made by calculations of their own: each slip is found by its id. */
class ColorSlipsTest {

    private static final int SIZE = 4;
    private static final ColorImage PROOF = new ColorImage(channel(37, 200), channel(91, 120), channel(53, 60), Optional.empty());

    private static Image channel(int step, int start) {
        return Image.ofLevels(SIZE, SIZE, 255, n -> (start + n * step) % 256);
    }

    private interface Packed {
        /** Returns what is written for a pixel with these channels, as 0xRRGGBB. */
        long of(int red, int green, int blue);
    }

    private static Abreast right(String line) {
        Bound bound = Binding.of(StepLine.parse(line), PROOF);
        return new Abreast(bound, PROOF, (ColorImage) bound.result(Progress.NONE));
    }

    private static Findings found(String line, Packed written) {
        Abreast right = right(line);
        List<List<String>> texts = new ArrayList<>();
        for (int row = 0; row < SIZE; row++) {
            List<String> cells = new ArrayList<>();
            for (int column = 0; column < SIZE; column++) {
                int n = row * SIZE + column;
                cells.add(String.format("0x%06X", written.of(PROOF.red().level(n), PROOF.green().level(n), PROOF.blue().level(n)) & 0xFFFFFF));
            }
            texts.add(cells);
        }
        HandSheet sheet = ColorCells.sheet(texts, right);
        return new SlipFinder(right).find(Check.of(sheet, right), Progress.NONE);
    }

    private static long packed(int red, int green, int blue) {
        return (long) red << 16 | (long) green << 8 | blue;
    }

    private static int clip(int value) {
        return Math.max(0, Math.min(255, value));
    }

    private static String first(Findings found) {
        Explanation slip = found.slips().get(0);
        return slip.id() + " " + slip.explains() + " of " + slip.of();
    }

    @Test
    void whatIsRightAgrees() {
        assertThat(found("add amount=40", (r, g, b) -> packed(clip(r + 40), clip(g + 40), clip(b + 40))).slips()).isEmpty();
        assertThat(found("invert channels=red", (r, g, b) -> packed(255 - r, g, b)).slips()).isEmpty();
    }

    @Test
    void channelsThatAreExchanged() {
        Findings swapped = found("add amount=40", (r, g, b) -> packed(clip(b + 40), clip(g + 40), clip(r + 40)));
        assertThat(swapped.slips().get(0).id()).isEqualTo("channels-swapped");
        assertThat(swapped.slips().get(0).text()).contains("red and blue are swapped");
        assertThat(found("invert", (r, g, b) -> packed(255 - g, 255 - r, 255 - b)).slips().get(0).text())
                .contains("red and green are swapped");
    }

    @Test
    void aChannelTakenWithAnothersMaskOrShift() {
        Findings mask = found("invert", (r, g, b) -> packed(255 - r, 255 - b, 255 - b));
        assertThat(mask.slips().get(0).id()).isEqualTo("mask-slip");
        assertThat(mask.slips().get(0).text()).contains("green is read with the mask and shift of blue");
        // Masked 0xFF00, but shifted by 16: nothing is left of green, and 255 − 0 is written.
        Findings shift = found("invert", (r, g, b) -> packed(255 - r, 255, 255 - b));
        assertThat(shift.slips().get(0).id()).isEqualTo("mask-slip");
        assertThat(shift.slips().get(0).text()).contains("green has the correct mask, but is shifted as red");
    }

    /** Only what is before is mistaken; t stays that of its own channel. */
    @Test
    void withAnotherImageTheOtherOneIsTheSame() {
        Findings mask = found("combine with=step:0 by=mean", (r, g, b) -> packed(r, (g + b + 1) / 2, b));
        assertThat(mask.slips().get(0).id()).isEqualTo("mask-slip");
        assertThat(mask.slips().get(0).text()).contains("green is read with the mask and shift of blue");
        assertThat(mask.wrong()).isEmpty();
    }

    /** 40 is added to all three bytes of the packed number at once; who exceeds 255 lifts the channel above by one. */
    @Test
    void whatExceedsRunsIntoTheNextChannel() {
        Findings carried = found("add amount=40", (r, g, b) -> packed(r, g, b) + packed(40, 40, 40));
        assertThat(first(carried)).startsWith("carried-over");
        assertThat(carried.wrong()).isEmpty();
        Findings red = found("add amount=90 channels=green", (r, g, b) -> packed(r, g, b) + (90L << 8));
        assertThat(first(red)).startsWith("carried-over");
    }

    /** With an area the result stays in color, and slips of gray are looked for in each channel. */
    @Test
    void grayOfAnAreaIsCheckedInEveryChannel() {
        Findings mean = found("gray rule=red area=\"0 0 4 4\"", (r, g, b) -> {
            int gray = (2 * (r + g + b) + 3) / 6;
            return packed(gray, gray, gray);
        });
        assertThat(first(mean)).isEqualTo("other-gray-rule 48 of 48");
        assertThat(mean.wrong()).isEmpty();
    }

    private static String ofGray(String line, Packed written) {
        Operation right = (Operation) Binding.of(StepLine.parse(line), PROOF);
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < SIZE * SIZE; n++) {
            sheet = sheet.with(new Pixel(n / SIZE, n % SIZE), String.valueOf(written.of(PROOF.red().level(n), PROOF.green().level(n), PROOF.blue().level(n))));
        }
        return SlipFinder.find(Check.of(sheet, right), right).slips().get(0).id();
    }

    @Test
    void grayGoesWrongAsInPrograms() {
        assertThat(ofGray("gray", (r, g, b) -> r / 3 + g / 3 + b / 3)).isEqualTo("integer-division");
        assertThat(ofGray("gray rounding=floor", (r, g, b) -> (r + g + b) % 256 / 3)).isEqualTo("byte-overflow");
        assertThat(ofGray("gray rule=luma-601", (r, g, b) -> Math.round((299 * b + 587 * g + 114 * r) / 1000.0))).isEqualTo("channels-swapped");
        assertThat(ofGray("gray rule=lightness", (r, g, b) -> Math.max(r, Math.max(g, b)) / 2 + Math.min(r, Math.min(g, b)) / 2)).isEqualTo("integer-division");
    }

    /** Alpha stays; who writes 0xAARRGGBB with alpha turned as well has changed it too. */
    @Test
    void alphaIsChangedToo() {
        ColorImage image = new ColorImage(PROOF.red(), PROOF.green(), PROOF.blue(), Optional.of(channel(13, 30)));
        Bound bound = Binding.of(StepLine.parse("invert"), image);
        Abreast right = new Abreast(bound, image, (ColorImage) bound.result(Progress.NONE));
        List<List<String>> texts = new ArrayList<>();
        for (int row = 0; row < SIZE; row++) {
            List<String> cells = new ArrayList<>();
            for (int column = 0; column < SIZE; column++) {
                Pixel at = new Pixel(row, column);
                cells.add(image.faces().stream().map(face -> String.valueOf(255 - face.image().level(face.image().offset(at)))).reduce((a, b) -> a + " " + b).orElseThrow());
            }
            texts.add(cells);
        }
        Findings found = new SlipFinder(right).find(Check.of(ColorCells.sheet(texts, right), right), Progress.NONE);
        assertThat(first(found)).isEqualTo("alpha-too 16 of 16");
    }

    /** What a plain slip explains is not said to come from a packed sum as well. */
    @Test
    void noRarerSlipBesideAPlainOne() {
        Findings unclipped = found("add amount=60", (r, g, b) -> packed((r + 60) % 256, (g + 60) % 256, (b + 60) % 256));
        assertThat(unclipped.slips().get(0).certainty().words()).doesNotContain("packed");
        Findings unchanged = found("invert", (r, g, b) -> packed(r, g, b));
        assertThat(first(unchanged)).isEqualTo("unchanged 48 of 48");
    }

    /** In an image of one column three numbers are one cell, with or without commas between them. */
    @Test
    void numbersOfOneColumnAreOneCell() {
        Image column = Image.of(255, new int[][] {{1}, {2}});
        ColorImage image = new ColorImage(column, column, column, Optional.empty());
        Bound bound = Binding.of(StepLine.parse("invert"), image);
        Abreast right = new Abreast(bound, image, (ColorImage) bound.result(Progress.NONE));
        HandSheet sheet = ColorCells.sheet(CellTable.parse("254 254 7\n253 9 253\n").rows(), right);
        Check check = Check.of(sheet, right);
        assertThat(check.filled()).isEqualTo(6);
        assertThat(check.differing()).extracting(CellCheck::pixel).containsExactly(right.place("blue", new Pixel(0, 0)), right.place("green", new Pixel(1, 0)));
        assertThat(ColorCells.sheet(CellTable.parse("254,254,7\n\n").rows(), right).cells()).hasSize(3);
    }

    /** A slip of the step itself is told over all channels together: 7.5 → 7 in each of them. */
    @Test
    void slipsOfTheStepAreFoundInAllChannelsTogether() {
        Findings down = found("multiply factor=1/2", (r, g, b) -> packed(r / 2, g / 2, b / 2));
        assertThat(down.slips()).hasSize(1);
        assertThat(down.slips().get(0).id()).isEqualTo("rounded-down");
        assertThat(down.slips().get(0).text()).startsWith("All " + down.slips().get(0).of());
        Findings wrapped = found("add amount=60", (r, g, b) -> packed((r + 60) % 256, (g + 60) % 256, (b + 60) % 256));
        assertThat(wrapped.slips().get(0).id()).isEqualTo("wrapped");
        Findings opposite = found("add amount=60", (r, g, b) -> packed(clip(r - 60), clip(g - 60), clip(b - 60)));
        assertThat(opposite.slips().get(0).id()).isEqualTo("wrong-operation");
    }

    @Test
    void cellsArePackedOrThreeNumbersOrBlank() {
        Abreast right = right("invert");
        HandSheet sheet = ColorCells.sheet(List.of(List.of("0xFF010203", " 4 5/2  6 ", ""), List.of("0x10")), right);
        assertThat(sheet.cells()).hasSize(9);
        assertThat(sheet.cells().get(right.place("green", new Pixel(0, 1))).text()).isEqualTo("5/2");
        assertThat(sheet.cells().get(right.place("blue", new Pixel(1, 0))).text()).isEqualTo("16");
        assertThat(right.face(right.place("blue", new Pixel(1, 0)))).isEqualTo("blue");
        assertThat(right.pixel(right.place("blue", new Pixel(1, 3)))).isEqualTo(new Pixel(1, 3));
        assertThat(right.frame().columns()).isEqualTo(3 * SIZE);
        HandSheet odd = ColorCells.sheet(List.of(List.of("1 x 3")), right);
        assertThat(Check.of(odd, right).cells().get(1).state()).isEqualTo(Verdict.NOT_UNDERSTOOD);
    }

    @ParameterizedTest
    @ValueSource(strings = {"12", "1 2", "0xGG", "0x123456789", "1 2 3 4"})
    void otherCellsAreRefusedWithWhatWouldBeRight(String text) {
        assertThatThrownBy(() -> ColorCells.sheet(List.of(List.of("", text)), right("invert"))).isInstanceOf(PixeronException.class)
                .hasMessageContaining("row 0, column 1").hasMessageContaining("three numbers");
    }

    @Test
    void aChannelThatIsTakenOverIsExplainedAsThat() {
        Abreast right = right("invert channels=red");
        Pixel place = right.place("blue", new Pixel(0, 0));
        assertThat(right.explain(place).lines().get(0).text()).isEqualTo("60   as it is");
        assertThat(right.explain(right.place("red", new Pixel(0, 0))).result().toString()).isEqualTo("55");
    }
}
