package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntBinaryOperator;
import org.junit.jupiter.api.Test;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;

/** For every slip values by hand from a little loop written here; its id must come first. */
class SlipIdsTest {

    private static final int[][] PROOF = {{12, 200, 34, 90, 77}, {5, 61, 140, 23, 250}, {99, 18, 73, 180, 44},
            {131, 7, 221, 66, 155}, {40, 84, 29, 110, 3}};
    private static final int[][] SORT = {{0, 1, 1, 2, 3}, {1, 2, 2, 3, 5}, {2, 2, 3, 5, 7}, {1, 0, 2, 5, 6}, {3, 2, 1, 1, 0}};

    private static List<Explanation> find(int[][] image, int maximum, String line, IntBinaryOperator written) {
        Image before = Image.of(maximum, image);
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < before.count(); n++) {
            sheet = sheet.with(before.pixel(n), String.valueOf(written.applyAsInt(n / before.columns(), n % before.columns())));
        }
        Step step = StepLine.parse(line);
        return SlipFinder.find(Check.of(sheet, step.bind(before)), step.bind(before)).slips();
    }

    private static void proof(String id, String line, IntBinaryOperator written) {
        assertThat(find(PROOF, 255, line, written)).as(line).isNotEmpty().first().extracting(Explanation::id).isEqualTo(id);
    }

    private static void sort(String id, String line, IntBinaryOperator written) {
        assertThat(find(SORT, 7, line, written)).as(line).isNotEmpty().first().extracting(Explanation::id).isEqualTo(id);
    }

    private static int clip(int value) {
        return Math.max(0, Math.min(255, value));
    }

    /** Nearest, halves away from zero, of top ÷ below. */
    private static int nearest(int top, int below) {
        return (int) Math.signum(top) * ((2 * Math.abs(top) + below) / (2 * below));
    }

    private static int running(int level) {
        return (int) Arrays.stream(SORT).flatMapToInt(Arrays::stream).filter(r -> r <= level).count();
    }

    /** As programs go wrong: loops that are too short, divisions of whole numbers, sums in a byte. */
    @Test
    void programsGoWrong() {
        proof("started-at-one", "add amount=30", (i, j) -> i == 0 || j == 0 ? 0 : clip(PROOF[i][j] + 30));
        proof("started-at-one", "box size=3 border=replicate", (i, j) -> i == 0 ? PROOF[i][j] : mean(i, j));
        proof("stopped-early", "invert", (i, j) -> j == 4 ? 0 : 255 - PROOF[i][j]);
        proof("stopped-early", "box size=3 border=replicate", (i, j) -> i == 4 || j == 4 ? PROOF[i][j] : mean(i, j));
        proof("integer-division", "box size=3 border=replicate", (i, j) -> {
            int sum = 0;
            for (int n = 0; n < 9; n++) {
                sum += at(i + n / 3 - 1, j + n % 3 - 1) / 9;
            }
            return sum;
        });
        proof("wrapped", "box size=3 border=replicate", (i, j) -> {
            int sum = 0;
            for (int n = 0; n < 9; n++) {
                sum = sum + at(i + n / 3 - 1, j + n % 3 - 1) & 0xFF;
            }
            return nearest(sum, 9);
        });
        // (r − low) · (M ÷ (high − low)) with 255 ÷ 247 = 1 in whole numbers; 7 · (C ÷ N), which is 0 but for the last level.
        proof("integer-division", "power gamma=2", (i, j) -> 255 * (PROOF[i][j] / 255) * (PROOF[i][j] / 255));
        sort("integer-division", "equalize", (i, j) -> 7 * (running(SORT[i][j]) / 25));
    }

    /** The same sheet as before, as a program gives that prints the image it has read. */
    @Test
    void nothingWasDone() {
        proof("unchanged", "invert", (i, j) -> PROOF[i][j]);
        // Only four levels are below 20: the others are right as they are.
        proof("unchanged", "clamp low=20", (i, j) -> PROOF[i][j]);
        proof("unchanged", "median size=3", (i, j) -> PROOF[i][j]);
        // Of two cells that differ it would be a guess.
        assertThat(find(PROOF, 255, "clamp low=6", (i, j) -> PROOF[i][j])).noneMatch(slip -> slip.id().equals("unchanged"));
        // With one cell that is neither right nor as it was, it is not claimed.
        assertThat(find(PROOF, 255, "invert", (i, j) -> i == 2 && j == 2 ? 1 : PROOF[i][j])).noneMatch(slip -> slip.id().equals("unchanged"));
    }

    @Test
    void rowAndColumnAreSwapped() {
        // Rows 1 to 2 and columns 3 to 4 belong; columns 1 to 2 and rows 3 to 4 were taken.
        proof("place-swapped", "add amount=5 area=\"1 3 2 2\"", (i, j) -> PROOF[i][j] + (i >= 3 && j >= 1 && j <= 2 ? 5 : 0));
        // Also with height and width: rows 0 to 2 of column 1 belong, columns 0 to 2 of row 1 were taken.
        proof("place-swapped", "add amount=5 area=\"0 1 3 1\"", (i, j) -> PROOF[i][j] + (i == 1 && j <= 2 ? 5 : 0));
        proof("place-swapped", "paste row=3 column=1 from=\"0 0 2 2\"", (i, j) -> i >= 1 && i <= 2 && j >= 3 ? PROOF[i - 1][j - 3] : PROOF[i][j]);
        Operation crop = StepLine.parse("crop row=1 column=3 height=2 width=2").bind(Image.of(255, PROOF));
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < 4; n++) {
            sheet = sheet.with(new Pixel(n / 2, n % 2), String.valueOf(PROOF[3 + n / 2][1 + n % 2]));
        }
        assertThat(SlipFinder.find(Check.of(sheet, crop), crop).slips()).first().extracting(Explanation::id).isEqualTo("place-swapped");
    }

    /** 255 · ln r ÷ ln 256, of levels from 3 on. */
    @Test
    void theOneOfTheLogarithmIsForgotten() {
        proof("one-plus-forgotten", "log", (i, j) -> (int) Math.round(255 * Math.log(PROOF[i][j]) / Math.log(256)));
    }

    /** Every condition is alone: what is below 160 gets 150, whatever came before; levels of 160 on get 255. */
    @Test
    void theElseIsMissing() {
        proof("no-else", "posterize cuts=\"40 80 160\" values=\"20 60 150 255\"", (i, j) -> PROOF[i][j] < 160 ? 150 : 255);
    }

    /** (r · 3) in a byte, then 20 less; (r − 3) · 255 in a byte, then divided by 247; the quotient 0 but for the largest, times 255. */
    @Test
    void aByteRunsOver() {
        proof("byte-overflow", "linear gain=3 bias=-20", (i, j) -> clip(PROOF[i][j] * 3 % 256 - 20));
        proof("byte-overflow", "stretch", (i, j) -> nearest((PROOF[i][j] - 3) * 255 % 256, 247));
        proof("integer-division", "stretch", (i, j) -> (PROOF[i][j] - 3) / 247 * 255);
    }

    private static int mean(int i, int j) {
        int sum = 0;
        for (int n = 0; n < 9; n++) {
            sum += at(i + n / 3 - 1, j + n % 3 - 1);
        }
        return nearest(sum, 9);
    }

    /** Without the cell to the left, of the eight others the fourth and fifth are halfway; the sum of |x| and |y| lacks it too. */
    @Test
    void aNeighborIsMissedInWindowsWithoutWeights() {
        proof("neighbor-missed", "median size=3 border=replicate", (i, j) -> {
            int[] cells = new int[8];
            int n = 0;
            for (int a = -1; a <= 1; a++) {
                for (int b = -1; b <= 1; b++) {
                    if (a != 0 || b != -1) {
                        cells[n++] = at(i + a, j + b);
                    }
                }
            }
            Arrays.sort(cells);
            return nearest(cells[3] + cells[4], 2);
        });
        proof("neighbor-missed", "sobel part=sum border=replicate", (i, j) -> clip(Math.abs(at(i - 1, j + 1) + 2 * at(i, j + 1)
                + at(i + 1, j + 1) - at(i - 1, j - 1) - at(i + 1, j - 1)) + Math.abs(at(i + 1, j - 1) + 2 * at(i + 1, j)
                        + at(i + 1, j + 1) - at(i - 1, j - 1) - 2 * at(i - 1, j) - at(i - 1, j + 1))));
    }

    /** The proof with its edge repeated. */
    private static int at(int i, int j) {
        return PROOF[Math.max(0, Math.min(4, i))][Math.max(0, Math.min(4, j))];
    }

    @Test
    void roundingAndOverflow() {
        proof("rounded-nearest", "divide divisor=3 rounding=floor", (i, j) -> nearest(PROOF[i][j], 3));
        proof("ties-to-even", "divide divisor=2", (i, j) -> PROOF[i][j] % 4 == 3 ? PROOF[i][j] / 2 + 1 : PROOF[i][j] / 2);
        proof("rounded-down", "divide divisor=3", (i, j) -> PROOF[i][j] / 3);
        proof("rounded-up", "divide divisor=3", (i, j) -> (PROOF[i][j] + 2) / 3);
        proof("not-clipped", "add amount=120", (i, j) -> PROOF[i][j] + 120);
        proof("wrapped", "add amount=120", (i, j) -> (PROOF[i][j] + 120) % 256);
        proof("signed-byte", "invert", (i, j) -> (byte) (255 - PROOF[i][j]));
    }

    @Test
    void pointSteps() {
        proof("count-for-maximum", "invert", (i, j) -> clip(256 - PROOF[i][j]));
        proof("count-for-maximum", "equalize", (i, j) -> clip(nearest(256 * (int) Arrays.stream(PROOF)
                .flatMapToInt(Arrays::stream).filter(r -> r <= PROOF[i][j]).count(), 25)));
        sort("maximum-for-count", "quantize levels=3", (i, j) -> Math.min(7, nearest(SORT[i][j] * 3 / 7 * 7, 2)));
        proof("wrong-operation", "add amount=40", (i, j) -> clip(PROOF[i][j] - 40));
        proof("wrong-operation", "multiply factor=2", (i, j) -> nearest(PROOF[i][j], 2));
        proof("wrong-operation", "erode shape=\"1 1 1\"", (i, j) -> Math.max(PROOF[i][j], Math.max(PROOF[i][Math.max(0, j - 1)],
                PROOF[i][Math.min(4, j + 1)])));
        proof("parameter-off-by-one", "add amount=40", (i, j) -> clip(PROOF[i][j] + 41));
        sort("strictness", "threshold at=2", (i, j) -> SORT[i][j] >= 2 ? 7 : 0);
        sort("strictness", "slice low=2 high=5", (i, j) -> SORT[i][j] > 2 && SORT[i][j] <= 5 ? 7 : SORT[i][j]);
        sort("strictness", "threshold-percentile percent=50", (i, j) -> SORT[i][j] >= 2 ? 7 : 0);
        sort("black-white-swapped", "threshold at=2", (i, j) -> SORT[i][j] > 2 ? 0 : 7);
        sort("black-white-swapped", "band low=2 high=3", (i, j) -> SORT[i][j] == 2 || SORT[i][j] == 3 ? 0 : 7);
    }

    @Test
    void equalization() {
        proof("stretch-for-equalize", "equalize", (i, j) -> nearest((PROOF[i][j] - 3) * 255, 247));
        sort("share-not-running", "equalize", (i, j) -> nearest(7 * (running(SORT[i][j]) - running(SORT[i][j] - 1)), 25));
        sort("share-from-first", "equalize", (i, j) -> nearest(7 * (running(SORT[i][j]) - running(0)), 25 - running(0)));
        sort("share-plain", "equalize method=share-from-first", (i, j) -> nearest(7 * running(SORT[i][j]), 25));
        sort("running-count-slip", "equalize", (i, j) -> nearest(7 * (running(SORT[i][j]) + (SORT[i][j] >= 2 ? -3 : 0)), 25));
        sort("miscounted", "equalize", (i, j) -> nearest(7 * (running(SORT[i][j]) - (SORT[i][j] >= 2 ? 5 : 0)), 20));
        // Each share to one decimal: 3, 6, 7, 4, 0, 3, 1, 1 of 25 are 0.1 0.2 0.3 0.2 0 0.1 0 0
        int[] tenths = {1, 3, 6, 8, 8, 9, 9, 9};
        sort("rounded-early", "equalize", (i, j) -> nearest(7 * tenths[SORT[i][j]], 10));
    }

    private static int at(String border, int i, int j) {
        boolean isInside = i >= 0 && j >= 0 && i < 5 && j < 5;
        return switch (border) {
            case "zero" -> isInside ? PROOF[i][j] : 0;
            case "constant" -> isInside ? PROOF[i][j] : 50;
            case "repeat" -> PROOF[Math.max(0, Math.min(4, i))][Math.max(0, Math.min(4, j))];
            case "wrap" -> PROOF[Math.floorMod(i, 5)][Math.floorMod(j, 5)];
            default -> PROOF[i < 0 ? -i : i > 4 ? 8 - i : i][j < 0 ? -j : j > 4 ? 8 - j : j];
        };
    }

    private static int sum(String border, int[][] weights, int i, int j) {
        int sum = 0;
        for (int a = -1; a <= 1; a++) {
            for (int b = -1; b <= 1; b++) {
                sum += weights[a + 1][b + 1] * at(border, i + a, j + b);
            }
        }
        return sum;
    }

    private static final int[][] ONES = {{1, 1, 1}, {1, 1, 1}, {1, 1, 1}};
    private static final int[][] UNEVEN = {{1, 2, 0}, {3, 4, 1}, {0, 1, 2}};
    private static final String KERNEL = "kernel weights=\"1 2 0 | 3 4 1 | 0 1 2\"";

    @Test
    void borders() {
        for (String border : List.of("zero", "repeat", "wrap", "mirror-whole")) {
            String given = border.equals("zero") ? " border=replicate" : "";
            proof("border-" + border, "box size=3" + given, (i, j) -> nearest(sum(border, ONES, i, j), 9));
        }
        proof("border-constant", "box size=3", (i, j) -> nearest(sum("constant", ONES, i, j), 9));
        proof("border-keep", "box size=3", (i, j) -> i % 4 == 0 || j % 4 == 0 ? PROOF[i][j] : nearest(sum("zero", ONES, i, j), 9));
        proof("border-inside", "box size=3", (i, j) -> nearest(sum("zero", ONES, i, j),
                (i % 4 == 0 ? 2 : 3) * (j % 4 == 0 ? 2 : 3)));
        // Of a window of five cells both mirrors differ, of one of three the half mirror is the repeated edge.
        proof("border-mirror-half", "box size=5", (i, j) -> {
            int sum = 0;
            for (int a = -2; a <= 2; a++) {
                for (int b = -2; b <= 2; b++) {
                    int row = i + a < 0 ? -1 - i - a : i + a > 4 ? 9 - i - a : i + a;
                    int column = j + b < 0 ? -1 - j - b : j + b > 4 ? 9 - j - b : j + b;
                    sum += PROOF[row][column];
                }
            }
            return nearest(sum, 25);
        });
    }

    @Test
    void weights() {
        int[][] turned = {{2, 1, 0}, {1, 4, 3}, {0, 2, 1}};
        int[][] transposed = {{1, 3, 0}, {2, 4, 1}, {0, 1, 2}};
        int[][] missed = {{1, 2, 0}, {0, 4, 1}, {0, 1, 2}};
        int[][] twice = {{1, 2, 0}, {3, 4, 1}, {0, 1, 4}};
        int[][] sharp = {{0, 1, 0}, {-1, 5, -1}, {0, -1, 0}};
        proof("kernel-turned", KERNEL, (i, j) -> nearest(sum("zero", turned, i, j), 14));
        proof("kernel-transposed", KERNEL, (i, j) -> nearest(sum("zero", transposed, i, j), 14));
        proof("divisor-missing", KERNEL, (i, j) -> clip(sum("zero", UNEVEN, i, j)));
        proof("divisor-missing", KERNEL, (i, j) -> sum("zero", UNEVEN, i, j));
        proof("offset-missing", KERNEL + " offset=20", (i, j) -> nearest(sum("zero", UNEVEN, i, j), 14));
        proof("neighbor-missed", KERNEL, (i, j) -> nearest(sum("zero", missed, i, j), 14));
        proof("neighbor-missed", KERNEL, (i, j) -> nearest(sum("zero", missed, i, j), 11));
        proof("neighbor-twice", KERNEL, (i, j) -> nearest(sum("zero", twice, i, j), 14));
        proof("sign-slip", "sharpen", (i, j) -> clip(sum("zero", sharp, i, j)));
        proof("rounded-early", KERNEL, (i, j) -> nearest(7 * sum("zero", UNEVEN, i, j), 100));
    }

    @Test
    void writingDown() {
        int[][] cells = Arrays.stream(PROOF).map(int[]::clone).toArray(int[][]::new);
        for (int i = 0; i < 5; i++) {
            for (int j = 0; j < 5; j++) {
                int sum = 0;
                for (int a = -1; a <= 1; a++) {
                    for (int b = -1; b <= 1; b++) {
                        boolean isInside = i + a >= 0 && j + b >= 0 && i + a < 5 && j + b < 5;
                        sum += isInside ? cells[i + a][j + b] : 0;
                    }
                }
                cells[i][j] = nearest(sum, 9);
            }
        }
        proof("written-in-place", "box size=3", (i, j) -> cells[i][j]);
        proof("rows-columns-swapped", "invert", (i, j) -> 255 - PROOF[j][i]);
        proof("shifted-by-one", "invert", (i, j) -> j == 0 ? 0 : 255 - PROOF[i][j - 1]);
        proof("digits-swapped", "add amount=3", (i, j) -> i == 2 && j == 3 ? 138 : clip(PROOF[i][j] + 3));
        proof("one-unit-off", "add amount=3", (i, j) -> i == 2 && j == 3 ? 184 : clip(PROOF[i][j] + 3));
        assertThat(find(PROOF, 255, "add amount=3", (i, j) -> i == 2 && j == 3 ? 17 : clip(PROOF[i][j] + 3))).isEmpty();
    }

    /** Every limit that there is, each once the other way round. */
    @Test
    void aLimitCountsOnItsOtherSide() {
        sort("strictness", "posterize cuts=\"2 5\" values=\"0 3 7\"", (i, j) -> SORT[i][j] <= 2 ? 0 : SORT[i][j] <= 5 ? 3 : 7);
        sort("strictness", "slice low=2 high=3 inside=7 outside=0", (i, j) -> SORT[i][j] > 2 && SORT[i][j] <= 3 ? 7 : 0);
        sort("strictness", "band low=2 high=5", (i, j) -> SORT[i][j] > 2 && SORT[i][j] < 5 ? 7 : 0);
        sort("strictness", "threshold at=2 compare=at-least", (i, j) -> SORT[i][j] > 2 ? 7 : 0);
        sort("strictness", "formula expression=\"if(r < 2, 7, r)\"", (i, j) -> SORT[i][j] <= 2 ? 7 : SORT[i][j]);
        // 9 of 25 are at most 1, which is just 36 %; who wants more than that goes on to 2.
        assertThat(running(1)).isEqualTo(9);
        sort("strictness", "threshold-percentile percent=36", (i, j) -> SORT[i][j] > 2 ? 7 : 0);
    }

    @Test
    void whatShouldGoRoundStays() {
        sort("not-clipped", "add amount=4 overflow=wrap", (i, j) -> SORT[i][j] + 4);
    }

    @Test
    void mIsTakenForTheNumberOfLevels() {
        sort("maximum-for-count", "add amount=4 overflow=wrap", (i, j) -> Math.floorMod(SORT[i][j] + 4, 7));
        proof("maximum-for-count", KERNEL + " divisor=1 overflow=wrap", (i, j) -> sum("zero", UNEVEN, i, j) % 255);
        sort("maximum-for-count", "formula expression=\"L - 1 - r\" overflow=keep", (i, j) -> 7 - 1 - SORT[i][j]);
    }

    @Test
    void rowsAndColumnsOfAFormulaAreCountedFromOne() {
        sort("counted-from-one", "formula expression=\"r + 2*i\" overflow=keep", (i, j) -> SORT[i][j] + 2 * (i + 1));
        proof("degrees-for-radians", "formula expression=\"100 + 90*sin(r)\"", (i, j) ->
                (int) Math.round(100 + 90 * Math.sin(Math.toRadians(PROOF[i][j]))));
    }

    /** Row 1, column 2 on: who begins at row 2, column 3 has other numbers altogether. */
    @Test
    void aCropIsCountedFromOne() {
        String line = "crop row=1 column=1 height=3 width=3";
        Image before = Image.of(255, PROOF);
        for (int one : new int[] {1, -1}) {
            HandSheet sheet = HandSheet.EMPTY;
            for (int n = 0; n < 9; n++) {
                sheet = sheet.with(new Pixel(n / 3, n % 3), String.valueOf(PROOF[n / 3 + 1 + one][n % 3 + 1 + one]));
            }
            Operation crop = StepLine.parse(line).bind(before);
            assertThat(SlipFinder.find(Check.of(sheet, crop), crop).slips()).first().extracting(Explanation::id)
                    .isEqualTo("counted-from-one");
        }
    }

    @Test
    void grayIsMadeByAnotherRule() {
        Image red = Image.of(255, new int[][] {{200, 10, 77}, {31, 140, 9}});
        Image green = Image.of(255, new int[][] {{20, 110, 70}, {131, 14, 90}});
        Image blue = Image.of(255, new int[][] {{90, 240, 7}, {3, 144, 190}});
        Image alpha = Image.of(255, new int[][] {{255, 0, 128}, {255, 64, 255}});
        Operation opaque = gray("gray rule=luma-601", new ColorImage(red, green, blue, Optional.empty()));
        HandSheet mean = HandSheet.EMPTY;
        for (int n = 0; n < 6; n++) {
            mean = mean.with(red.pixel(n), String.valueOf(nearest(red.level(n) + green.level(n) + blue.level(n), 3)));
        }
        Explanation found = new SlipFinder(opaque).find(Check.of(mean, opaque), Progress.NONE).slips().get(0);
        assertThat(found.id()).isEqualTo("other-gray-rule");
        assertThat(found.text()).contains("mean");
        Operation clear = gray("gray rule=mean", new ColorImage(red, green, blue, Optional.of(alpha)));
        assertThat(new SlipFinder(clear).find(Check.of(mean, clear), Progress.NONE).slips().get(0).id())
                .isEqualTo("transparency-ignored");
    }

    private static Operation gray(String line, ColorImage picture) {
        return (Operation) Binding.of(StepLine.parse(line), picture);
    }
}
