package pixeron.step.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.image.Rows;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
import pixeron.walk.PseudoCode;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;
import pixeron.working.Line;

/** Resizing and turning, against numbers calculated apart from the program. */
class SampledTest {

    private static final Image SORT = Image.of(7, new int[][] {{0, 1, 2, 3}, {4, 5, 6, 7}, {7, 6, 5, 4}});

    private static Image result(String line, Image before) {
        return StepLine.parse(line).bind(before).result(Progress.NONE);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "resize scale=2; 0 0 1 1 2 2 3 3 | 0 0 1 1 2 2 3 3 | 4 4 5 5 6 6 7 7 | 4 4 5 5 6 6 7 7 | 7 7 6 6 5 5 4 4 | 7 7 6 6 5 5 4 4",
        "resize height=2 width=2; 1 3 | 6 4", "resize height=2 width=2 grid=corners; 0 2 | 4 6", "resize height=2 width=2 grid=ends; 0 3 | 7 4",
        "resize height=5 width=5 by=linear; 0 1 2 2 3 | 2 2 3 4 5 | 4 5 6 6 7 | 6 6 6 5 5 | 7 6 6 5 4",
        "resize height=5 width=5 by=linear grid=corners; 0 1 2 2 3 | 2 3 4 5 5 | 5 5 6 6 6 | 6 6 5 5 5 | 7 6 5 5 4",
        "resize height=5 width=5 by=linear grid=ends; 0 1 2 2 3 | 2 3 4 4 5 | 4 5 6 6 7 | 6 6 6 6 6 | 7 6 6 5 4",
        "resize height=2 width=3 by=mean; 2 3 4 | 6 6 5", "resize height=1 by=mean; 4",
        "resize height=2 width=3 by=mean rounding=none; 19/12 17/6 49/12 | 71/12 11/2 61/12",
        "rotate degrees=90; 3 7 4 | 2 6 5 | 1 5 6 | 0 4 7", "rotate degrees=-90; 7 4 0 | 6 5 1 | 5 6 2 | 4 7 3",
        "rotate degrees=540; 4 5 6 7 | 7 6 5 4 | 3 2 1 0", "rotate degrees=90 size=keep; 3 7 4 0 | 2 6 5 0 | 1 5 6 0",
        "rotate degrees=90 size=keep by=linear border=replicate; 3 5 6 5 | 2 4 6 6 | 1 3 6 7",
        "rotate degrees=30; 0 0 0 3 0 | 0 1 2 7 0 | 0 5 6 5 4 | 0 4 6 5 0 | 0 7 0 0 0",
        "rotate degrees=30 size=keep by=linear border=replicate; 1 2 4 7 | 1 4 6 5 | 4 6 6 5"})
    void valuesAreThoseOfTheDefinition(String line, String expected) {
        assertThat(Rows.of(result(line, SORT))).isEqualTo(expected);
    }

    /** (1, 1) of five rows and columns: y = 1.5 × 3 ÷ 5 − ½ = 0.4, x = 1.5 × 4 ÷ 5 − ½ = 0.7. */
    @Test
    void theWorkingGoesFromThePlaceToTheSum() {
        Operation operation = StepLine.parse("resize height=5 width=5 by=linear").bind(SORT);
        List<String> lines = operation.explain(new Pixel(1, 1)).lines().stream().map(line -> line.label() + ": " + line.text()).toList();
        assertThat(lines).contains("row: y = (i + 0.5) × H ÷ h − 0.5 = (1 + 0.5) × 3 ÷ 5 − 0.5 = 1.5 × 3 ÷ 5 − 0.5 = 4.5 ÷ 5 − 0.5 = 0.9 − 0.5 = 0.4", "row part: a = y − ⌊y⌋ = 0.4 − 0 = 0.4", "column part: b = x − ⌊x⌋ = 0.7 − 0 = 0.7");
        assertThat(lines).anyMatch(line -> line.contains("s = 0.18 × 0 + 0.42 × 1 + 0.12 × 4 + 0.28 × 5"));
        assertThat(operation.exact(new Pixel(1, 1))).isEqualTo(Rational.of(23, 10));
        List<Source> sources = operation.sources(new Pixel(1, 1));
        assertThat(sources).extracting(source -> source.weight().orElseThrow().toString()).containsExactly("9/50", "21/50", "3/25", "7/25");
        PseudoCode code = PseudoCode.of(operation, Visits.of(ScanOrder.ROWS, 5, 5), new Pixel(1, 1));
        assertThat(code.lines()).extracting(row -> row.text()).anyMatch(text -> text.startsWith("s ← (1 − a)(1 − b) × before"));
        Operation mean = StepLine.parse("resize height=2 width=3 by=mean").bind(SORT);
        assertThat(mean.explain(new Pixel(0, 0)).lines()).extracting(Line::text)
                .contains("from i × H ÷ h = 0 × 3 ÷ 2 = 0 to before 1.5", "s = sum ÷ area = (19/6) ÷ 2 = 19/12 ≈ 1.5833");
    }

    /** Whatever is done at once is done as each pixel is explained. */
    @Property(tries = 250)
    void allAtOnceIsAsExplained(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        List<String> by = List.of("nearest", "linear", "mean");
        String how = by.get(random.nextInt(3));
        String grid = how.equals("mean") ? "" : " grid=" + List.of("centres", "corners", "ends").get(random.nextInt(3));
        String rounding = random.nextInt(3) == 0 ? " rounding=" + List.of("none", "floor", "nearest-even").get(random.nextInt(3)) : "";
        String line = random.nextInt(3) == 0
                ? "rotate degrees=" + (random.nextBoolean() ? 90 * random.nextInt(5) : random.nextInt(700) - 350) + " by=" + (random.nextBoolean() ? "linear" : "nearest")
                        + " size=" + (random.nextBoolean() ? "fit" : "keep") + " border=" + List.of("zero", "repeat", "wrap", "mirror-half").get(random.nextInt(4))
                : "resize height=" + (1 + random.nextInt(9)) + " width=" + (1 + random.nextInt(9)) + " by=" + how + grid;
        Operation operation = StepLine.parse(line + rounding).bind(before);
        Image all = operation.result(Progress.NONE);
        for (int n = 0; n < all.count(); n++) {
            Pixel pixel = all.pixel(n);
            assertThat(all.value(n).asDouble()).as(line + " " + pixel).isEqualTo(operation.value(pixel).asDouble());
            assertThat(operation.explain(pixel).result()).isEqualTo(operation.value(pixel));
        }
    }

    /** Levels with flat parts and few differences, at angles that lay many points just between pixels. */
    @Property(tries = 60)
    void turnedInDoublesItIsAsTurnedOneByOne(@ForAll long seed) {
        Random random = new Random(seed);
        int steps = 1 + random.nextInt(4);
        // Now and then so large that squares of it are turned at once.
        int least = random.nextInt(8) == 0 ? 70 : 4;
        Image before = Image.ofLevels(least + random.nextInt(12), least + random.nextInt(12), 255, n -> n % 7 < 4 ? 40 : random.nextInt(steps) + 39);
        String line = "rotate degrees=" + List.of("30", "45", "-60", "1/3", "36.87", "135", "90").get(random.nextInt(7)) + " by="
                + (random.nextBoolean() ? "linear" : "nearest") + " size=" + (random.nextBoolean() ? "fit" : "keep")
                + List.of("", " rounding=floor", " rounding=ceiling", " rounding=nearest-even").get(random.nextInt(4))
                + List.of("", " border=periodic", " border=constant outside=40", " border=constant outside=1/3").get(random.nextInt(4));
        Operation operation = StepLine.parse(line).bind(before);
        Image all = operation.result(Progress.NONE);
        for (int n = 0; n < all.count(); n++) {
            assertThat(all.value(n)).as(line + " " + all.pixel(n)).isEqualTo(operation.value(all.pixel(n)));
        }
    }

    @Property(tries = 100)
    void turnedAllTheWayRoundItIsTheImageAgain(@ForAll long seed) {
        Image before = StepArbitraries.image(new Random(seed));
        Image turned = before;
        for (int n = 0; n < 4; n++) {
            turned = result("rotate degrees=90 rounding=none overflow=keep", turned);
        }
        assertThat(turned).isEqualTo(before);
        assertThat(result("rotate degrees=180 rounding=none overflow=keep", before)).isEqualTo(result("flip direction=up-down",
                result("flip direction=left-right", before)));
        // A whole ratio keeps the mean exactly.
        Image larger = result("resize scale=3", before);
        assertThat(ImageFacts.of(result("resize height=" + before.rows() + " width=" + before.columns() + " by=mean rounding=none overflow=keep", larger)).mean())
                .isEqualTo(ImageFacts.of(larger).mean());
    }

    /** Turned there and back the middle is the same. */
    @Test
    void turnedBackTheMiddleIsTheSame() {
        Image before = Image.ofLevels(21, 21, 255, n -> n / 21 / 3 * 30 + n % 21 / 3 * 4);
        Image there = result("rotate degrees=20", before);
        Image back = result("rotate degrees=-20", there);
        int down = (back.rows() - 21) / 2;
        assertThat(back.value(new Pixel(10 + down, 10 + (back.columns() - 21) / 2))).isEqualTo(before.value(new Pixel(10, 10)));
    }

    @Test
    void sizesFollowFromOneSideAFactorOrTheAngle() {
        Image photo = Image.ofLevels(30, 40, 255, n -> n % 200);
        assertThat(StepLine.parse("resize height=10").bind(photo).frame()).isEqualTo(new Frame(10, 13, 255));
        assertThat(StepLine.parse("resize width=1").bind(photo).frame()).isEqualTo(new Frame(1, 1, 255));
        assertThat(StepLine.parse("resize scale=1/100").bind(photo).frame()).isEqualTo(new Frame(1, 1, 255));
        // 30 cos 30° + 40 sin 30° = 45.98, 40 cos 30° + 30 sin 30° = 49.64
        assertThat(StepLine.parse("rotate degrees=30").bind(photo).frame()).isEqualTo(new Frame(46, 50, 255));
        assertThat(StepLine.parse("rotate degrees=30 size=keep").bind(photo).notes()).anyMatch(note -> note.contains("do not affect the result"));
        assertThat(StepLine.parse("rotate degrees=90").bind(photo).notes()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"resize; needs height, width, both, or scale", "resize scale=2 height=3; Scale cannot be combined with height or width",
        "resize scale=0; a number above 0", "resize height=0; Give a whole number of at least 1", "resize scale=2 by=mean grid=ends; by=mean goes with grid=centers only",
        "resize scale=10000; At most", "resize scale=1000000000; At most", "turn; degrees", "rotate degrees=1 border=keep; zero, constant"})
    void badSizesAreSaidBeforeAnythingIsMade(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line).bind(SORT)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"rotate degrees=90; rotate degrees=-90; turned-other-way",
        "resize height=5 width=5 by=linear; resize height=5 width=5 by=linear grid=ends; other-grid",
        "resize height=2 width=2; resize height=2 width=2 grid=corners; other-grid",
        "resize height=5 width=7 by=linear; resize height=5 width=7; nearest-for-linear", "resize height=5 width=7; resize height=5 width=7 by=linear; nearest-for-linear",
        "rotate degrees=30 by=linear; rotate degrees=30; nearest-for-linear", "rotate degrees=40 border=replicate; rotate degrees=40 border=periodic; border-wrap",
        "resize height=2 width=3 by=mean; resize height=2 width=3 by=mean rounding=truncate; rounded-down"})
    void slipsOfPlaces(String right, String done, String id) {
        Image before = Image.ofLevels(6, 6, 255, n -> (n * 37 + n * n * 5) % 256);
        Operation operation = StepLine.parse(right).bind(before);
        assertThat(found(operation, result(done, before))).isEqualTo(id);
    }

    private static String found(Operation operation, Image written) {
        return explained(operation, written).get(0).id();
    }

    private static List<Explanation> explained(Operation operation, Image written) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < written.count(); n++) {
            sheet = sheet.with(written.pixel(n), written.value(n).toString());
        }
        return SlipFinder.find(Check.of(sheet, operation), operation).slips();
    }

    /** The number 30 as radians: c = 0.154251, s = −0.988032; and sizes divided the wrong way round. */
    @Test
    void angleAndRatioTakenWrong() {
        Image before = Image.ofLevels(5, 5, 255, n -> (n * 53) % 256);
        Operation turn = StepLine.parse("rotate degrees=30 size=keep").bind(before);
        int[][] sheet = new int[5][5];
        for (int i = 0; i < 5; i++) {
            for (int j = 0; j < 5; j++) {
                double y = 2 + (j - 2) * Math.sin(30) + (i - 2) * Math.cos(30);
                double x = 2 + (j - 2) * Math.cos(30) - (i - 2) * Math.sin(30);
                int row = (int) Math.floor(y + 0.5);
                int column = (int) Math.floor(x + 0.5);
                sheet[i][j] = row < 0 || column < 0 || row > 4 || column > 4 ? 0 : before.level(row * 5 + column);
            }
        }
        assertThat(found(turn, Image.of(255, sheet))).isEqualTo("degrees-for-radians");
        Operation resize = StepLine.parse("resize height=8 width=8 grid=corners").bind(before);
        int[][] wrong = new int[8][8];
        for (int i = 0; i < 8; i++) {
            for (int j = 0; j < 8; j++) {
                wrong[i][j] = before.level(Math.min(4, i * 8 / 5) * 5 + Math.min(4, j * 8 / 5));
            }
        }
        assertThat(found(resize, Image.of(255, wrong))).isEqualTo("other-grid");
    }

    /** Values written with rounded places, weights, cosines and parts, calculated apart from the program. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "resize height=7 width=6 by=linear; 0 18 43 65 90 108 | 14 32 58 79 104 122 | 86 104 130 151 176 194 | 144 162 187 209 234 252 | 187 191 196 200 205 209 | 241 227 207 189 169 155 | 252 234 209 187 162 144; y and x are rounded to 1 decimal",
        "resize height=5 width=5 by=linear; 0 25 54 83 108 | 58 83 112 140 166 | 144 169 198 227 252 | 209 205 198 191 187 | 252 227 198 169 144; weights are rounded to 1 decimal",
        "rotate degrees=30 by=linear; 0 0 18 45 0 | 1 24 86 191 48 | 0 94 198 198 101 | 26 188 212 110 15 | 0 106 47 0 0; c and s are rounded to 1 decimal",
        "resize height=2 width=3 by=mean; 68 112 166 | 230 198 205; weights are rounded to 1 decimal",
        "resize height=2 width=3 by=mean; 72 54 180 | 198 198 198; the parts inside are rounded to a whole number"})
    void roundingOnTheWayIsNamed(String line, String written, String words) {
        Image before = Image.of(255, new int[][] {{0, 36, 72, 108}, {144, 180, 216, 252}, {252, 216, 180, 144}});
        Operation operation = StepLine.parse(line).bind(before);
        int[][] levels = Arrays.stream(written.split(" \\| ")).map(row -> Arrays.stream(row.split(" ")).mapToInt(Integer::parseInt).toArray())
                .toArray(int[][]::new);
        Explanation first = explained(operation, Image.of(255, levels)).get(0);
        assertThat(first.id()).isEqualTo("rounded-early");
        assertThat(first.text()).contains(words);
    }

    @Test
    void whatIsReadNowhereGoesNowhere() {
        Operation operation = StepLine.parse("resize height=1 width=2").bind(SORT);
        assertThat(operation.home(new Pixel(0, 0))).isEmpty();
        assertThat(operation.home(new Pixel(1, 1))).contains(new Pixel(0, 0));
        Value value = operation.value(new Pixel(0, 0));
        assertThat(value).isEqualTo(Rational.of(5));
    }
}
