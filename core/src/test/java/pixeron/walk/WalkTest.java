package pixeron.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
import pixeron.working.Line;
import pixeron.working.Moment;

class WalkTest {

    private static Visits visits(Random random, int rows, int columns) {
        int kind = random.nextInt(3);
        List<Pixel> path = new ArrayList<>();
        for (int n = 0; n < random.nextInt(12); n++) {
            // Some come twice, some lie outside.
            path.add(new Pixel(random.nextInt(rows + 1), random.nextInt(columns + 1)));
        }
        return kind < 2 ? Visits.of(ScanOrder.values()[kind], rows, columns) : Visits.along(path, rows, columns);
    }

    @Property(tries = 300)
    void everyPixelIsVisitedExactlyOnce(@ForAll long seed) {
        Random random = new Random(seed);
        int rows = 1 + random.nextInt(6);
        int columns = 1 + random.nextInt(6);
        Visits visits = visits(random, rows, columns);
        Set<Pixel> seen = new HashSet<>();
        for (int place = 0; place < visits.count(); place++) {
            Pixel pixel = visits.pixel(place);
            assertThat(seen.add(pixel)).isTrue();
            assertThat(visits.place(pixel)).isEqualTo(place);
        }
        assertThat(seen).hasSize(rows * columns);
    }

    @Example
    void theSaidOrders() {
        assertThat(order(Visits.of(ScanOrder.ROWS, 2, 3))).isEqualTo("00 01 02 10 11 12");
        assertThat(order(Visits.of(ScanOrder.COLUMNS, 2, 3))).isEqualTo("00 10 01 11 02 12");
        Visits path = Visits.along(List.of(new Pixel(1, 1), new Pixel(0, 2), new Pixel(1, 1), new Pixel(7, 0)), 2, 3);
        assertThat(order(path)).isEqualTo("11 02 00 01 10 12");
        assertThat(path.heads()).containsExactly("for each pixel (i, j) of the path, then of the rest");
        assertThat(path.nextLine(0)).isEqualTo(2);
        assertThat(Visits.of(ScanOrder.COLUMNS, 2, 3).nextLine(3)).isEqualTo(4);
        assertThat(Visits.of(ScanOrder.COLUMNS, 2, 3).heads()).containsExactly("for each column j from 0 to 2",
                "for each row i from 0 to 1");
    }

    private static String order(Visits visits) {
        List<String> all = new ArrayList<>();
        for (int n = 0; n < visits.count(); n++) {
            all.add("" + visits.pixel(n).row() + visits.pixel(n).column());
        }
        return String.join(" ", all);
    }

    @Property(tries = 300)
    void goingBackRestoresExactly(@ForAll long seed) {
        Random random = new Random(seed);
        Visits visits = visits(random, 1 + random.nextInt(5), 1 + random.nextInt(5));
        Walk walk = Walk.start(visits);
        assertThat(walk.back()).isEqualTo(walk);
        for (int n = 0; n < visits.count(); n++) {
            Walk next = walk.forward();
            assertThat(next.written()).isEqualTo(walk.written() + 1);
            assertThat(next.back()).isEqualTo(walk);
            // In single moments one comes to the same place.
            Walk slow = walk.isWritten() ? walk.next() : walk;
            int moments = 1 + random.nextInt(4);
            for (int moment = 0; moment < moments; moment++) {
                assertThat(slow.isWritten()).isFalse();
                assertThat(slow.back().written()).isLessThanOrEqualTo(walk.written());
                slow = slow.oneMoment(moments);
            }
            assertThat(slow).isEqualTo(next);
            walk = next;
        }
        assertThat(walk.isAtEnd()).isTrue();
        assertThat(walk.forward()).isEqualTo(walk);
        Walk line = Walk.start(visits);
        int lines = 0;
        while (!line.isAtEnd()) {
            assertThat(line.toNextLine().written()).isGreaterThan(line.written());
            line = line.toNextLine();
            lines++;
        }
        assertThat(lines).isLessThanOrEqualTo(visits.count());
    }

    /** What is written pixel by pixel, until the end of the walk, is what the step gives for all of them. */
    @Property(tries = 200)
    void atTheEndOfTheWalkStandsTheResult(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, before);
        Operation operation = step.bind(before);
        Image after = operation.result(Progress.NONE);
        Visits visits = visits(random, after.rows(), after.columns());
        Value[] written = new Value[after.count()];
        for (Walk walk = Walk.start(visits).forward();; walk = walk.forward()) {
            Pixel pixel = walk.current();
            assertThat(walk.isWritten(pixel)).isTrue();
            PseudoCode code = PseudoCode.of(operation, visits, pixel);
            Moment last = code.moments().get(code.moments().size() - 1);
            assertThat(code.line(Walk.ALL)).isEqualTo(last.row());
            assertThat(code.lines().get(last.row()).text()).contains("after[i][j] ←");
            assertThat(code.variables(Walk.ALL)).contains(new Moment.Variable("after[i][j]",
                    Decimals.working(operation.value(pixel))));
            written[after.offset(pixel)] = operation.value(pixel);
            if (walk.isAtEnd()) {
                break;
            }
        }
        assertThat(Image.from(after.rows(), after.columns(), after.maximumLevel(), written)).isEqualTo(after);
    }

    @Example
    void theLoopsOfAKernel() {
        Image before = Image.of(255, new int[][] {{1, 2}, {3, 4}});
        PseudoCode code = PseudoCode.of(StepLine.parse("kernel weights=\"1 3\"").bind(before),
                Visits.of(ScanOrder.ROWS, 2, 2), new Pixel(1, 0));
        assertThat(code.lines().stream().map(row -> "  ".repeat(row.depth()) + row.text())).containsExactly(
                "for each row i from 0 to 1", "  for each column j from 0 to 1", "    sum ← 0",
                "    for each weight w at (a, b)", "      sum ← sum + w × before[i+a][j+b]", "    s ← sum ÷ 4",
                "    s ← s nearest, ties away from zero", "    s ← s clipped to 0–255", "    after[i][j] ← s");
        assertThat(code.line(0)).isEqualTo(1);
        assertThat(code.line(3)).isEqualTo(4);
        assertThat(code.cells(3)).isEqualTo(1);
        assertThat(code.variables(5).stream().map(v -> v.name() + " = " + v.value())).containsExactly("i = 1", "j = 0",
                "sum = 15", "a = 0", "b = 1", "r = 4", "w = 3");
    }

    /** Against a loop over an array that is overwritten. */
    @Property(tries = 60)
    void inPlaceIsAPlainLoopThatOverwrites(@ForAll long seed) {
        Random random = new Random(seed);
        int rows = 1 + random.nextInt(4);
        int columns = 1 + random.nextInt(4);
        Image before = Image.ofLevels(rows, columns, 255, n -> random.nextInt(256));
        Operation operation = StepLine.parse("kernel weights=\"1 1 | 1 0\" anchor=\"1 1\" border=replicate rounding=floor")
                .bind(before);
        Visits visits = visits(random, rows, columns);
        int[][] cells = new int[rows][columns];
        for (int n = 0; n < before.count(); n++) {
            cells[n / columns][n % columns] = before.level(n);
        }
        for (int n = 0; n < visits.count(); n++) {
            int i = visits.pixel(n).row();
            int j = visits.pixel(n).column();
            int up = Math.max(0, i - 1);
            int left = Math.max(0, j - 1);
            cells[i][j] = (cells[up][left] + cells[up][j] + cells[i][left]) / 3;
        }
        InPlace inPlace = InPlace.of(operation, visits, Progress.NONE).orElseThrow();
        assertThat(inPlace.image()).isEqualTo(Image.of(255, cells));
        for (int n = 0; n < before.count(); n++) {
            Pixel pixel = before.pixel(n);
            assertThat(inPlace.value(pixel)).isEqualTo(inPlace.explain(pixel).result())
                    .isEqualTo(Rational.of(cells[pixel.row()][pixel.column()]));
        }
    }

    @Example
    void aStepOfItsOwnPixelAloneHasNoMistakeInPlace() {
        Operation operation = StepLine.parse("invert").bind(Image.of(7, new int[][] {{1, 2}}));
        assertThat(InPlace.of(operation, Visits.of(ScanOrder.ROWS, 1, 2), Progress.NONE)).isEmpty();
    }

    /** Each of the four pixels lies in the middle of 2 × 2, so three quarters of the places stay empty. */
    @Example
    void writtenForwardsAnEnlargedImageHasHoles() {
        Operation operation = StepLine.parse("resize scale=2").bind(Image.of(255, new int[][] {{10, 20}, {30, 40}}));
        assertThat(Mistake.Kind.of(operation)).contains(Mistake.Kind.FORWARDS);
        Forwards forwards = Forwards.of(operation, Progress.NONE).orElseThrow();
        assertThat(forwards.image()).isEqualTo(Image.of(255, new int[][] {{0, 0, 0, 0}, {0, 10, 0, 20}, {0, 0, 0, 0}, {0, 30, 0, 40}}));
        assertThat(forwards.holes()).isEqualTo(12);
        assertThat(forwards.explain(new Pixel(3, 1)).lines()).extracting(Line::text).contains("i = floor((y + 0.5) × h ÷ H) = floor((1 + 0.5) × 4 ÷ 2) = floor(1.5 × 4 ÷ 2) = floor(6 ÷ 2) = floor(3) = 3",
                "s = r(1, 0) = 30");
        assertThat(forwards.explain(new Pixel(0, 3)).lines()).extracting(Line::label).containsExactly("hole");
        PseudoCode code = PseudoCode.of(forwards, Visits.of(ScanOrder.ROWS, 4, 4), new Pixel(1, 3));
        assertThat(code.lines().get(0).text()).isEqualTo("for each row y of the input image, from 0 to 1");
        assertThat(code.variables(Walk.ALL)).extracting(variable -> variable.name() + variable.value()).contains("y0", "x1", "after[i][j]20");
    }

    /** Against a loop over the image before; turned by quarters, and as large as it was, nothing is missing. */
    @Property(tries = 60)
    void writtenForwardsIsAPlainLoopOverTheImageBefore(@ForAll long seed) {
        Random random = new Random(seed);
        int rows = 1 + random.nextInt(5);
        int columns = 1 + random.nextInt(5);
        int height = 1 + random.nextInt(8);
        int width = 1 + random.nextInt(8);
        Image before = Image.ofLevels(rows, columns, 255, n -> 1 + random.nextInt(255));
        int[][] cells = new int[height][width];
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                cells[y * height / rows][x * width / columns] = before.level(y * columns + x);
            }
        }
        Forwards forwards = Forwards.of(StepLine.parse("resize height=" + height + " width=" + width + " grid=corners").bind(before), Progress.NONE).orElseThrow();
        assertThat(forwards.image()).isEqualTo(Image.of(255, cells));
        for (int n = 0; n < height * width; n++) {
            Pixel pixel = forwards.image().pixel(n);
            assertThat(forwards.isWritten(pixel)).isEqualTo(cells[pixel.row()][pixel.column()] != 0);
            assertThat(forwards.explain(pixel).result()).isEqualTo(forwards.value(pixel));
        }
        Operation turn = StepLine.parse("rotate degrees=" + 90 * random.nextInt(4)).bind(before);
        assertThat(Forwards.of(turn, Progress.NONE).orElseThrow().image()).isEqualTo(turn.result(Progress.NONE));
    }

    @Example
    void termsAppearOneByOneAndTheResultIsCovered() {
        Operation kernel = StepLine.parse("kernel weights=\"1 3\"").bind(Image.of(255, new int[][] {{5, 6}}));
        String seen = PartialWorking.lines(kernel.explain(new Pixel(0, 0)), 1, "wait").stream()
                .map(line -> line.label() + ":" + line.text().strip()).collect(java.util.stream.Collectors.joining("|"));
        assertThat(seen).isEqualTo("window:5 6|weights:1 3|w·r:5  …|covered:wait");
        Operation invert = StepLine.parse("invert").bind(Image.of(7, new int[][] {{1, 2}}));
        assertThat(PartialWorking.lines(invert.explain(new Pixel(0, 0)), 0, "wait").stream().map(Line::label))
                .containsExactly("formula", "covered");
    }
}
