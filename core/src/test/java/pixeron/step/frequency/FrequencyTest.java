package pixeron.step.frequency;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.offset;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.ComplexCells;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.image.Rows;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;
import pixeron.working.LoopWriter;
import pixeron.working.Table;

/** Images as sums of waves: numbers calculated on paper, and what must hold of any image. */
class FrequencyTest {

    private static final Image ROW = Image.of(7, new int[][] {{1, 2, 3, 4}});
    private static final Image SQUARE = Image.of(7, new int[][] {{1, 2}, {3, 5}});
    /** A wave of a quarter of the width on a ground of 100, and a slower one down the rows. */
    private static final Image WAVES = Image.ofLevels(6, 8, 255, n -> (int) Math.round(100 + 40 * Math.sin(Math.PI * (n % 8) / 2)
            + 12 * Math.cos(2 * Math.PI * (n / 8) / 6)));

    private static Bound bound(String line, Result before) {
        return Binding.of(StepLine.parse(line), before);
    }

    private static Spectrum spectrum(String line, Result before) {
        return (Spectrum) bound(line, before).result(Progress.NONE);
    }

    private static Result chain(Image image, String... lines) {
        Result result = image;
        for (String line : lines) {
            result = bound(line, result).result(Progress.NONE);
        }
        return result;
    }

    private static Operation face(String line, Result before, String face) {
        return bound(line, before).face(face).orElseThrow();
    }

    private static Image random(Random random, int maximum) {
        return Image.ofLevels(1 + random.nextInt(12), 1 + random.nextInt(12), maximum, n -> random.nextInt(maximum + 1));
    }

    /** 1 + 2·(−i) + 3·(−1) + 4·i = −2 + 2i; 1 − 2 + 3 − 4 = −2; their sum 10. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"real; -2 -2 10 -2", "imaginary; 0 -2 0 2", "magnitude; 2 2.828427 10 2.828427", "phase; 180 -135 0 135",
        "log; 1.098612 1.342454 2.397895 1.342454"})
    void aRowByHand(String face, String expected) {
        Image image = spectrum("fourier", ROW).face(face).orElseThrow();
        assertThat(IntStream.range(0, 4).mapToObj(n -> Decimals.print(exact(image.value(n)))).collect(Collectors.joining(" "))).isEqualTo(expected);
    }

    private static Rational exact(Value value) {
        return value instanceof Rational rational ? rational : Decimals.parse(String.valueOf(Math.rint(1e6 * value.asDouble()) / 1e6).replace("E-6", "/1000000"));
    }

    @Test
    void aSquareByHand() {
        assertThat(Rows.of(spectrum("fourier", SQUARE).face(SpectrumFace.REAL))).isEqualTo("1 -5 | -3 11");
        assertThat(Rows.of(spectrum("fourier", SQUARE).face(SpectrumFace.PHASE))).isEqualTo("0 180 | 180 0");
        Image thirds = Image.from(1, 2, 7, Rational.of(1, 3), Rational.of(2, 3));
        assertThat(face("fourier", thirds, "real").value(new Pixel(0, 1))).isEqualTo(Rational.ONE);
        // 1 − 2·½ − 4·½ = −2, and (−2 + 4)·√3 ÷ 2.
        Spectrum three = spectrum("fourier", Image.of(7, new int[][] {{1, 2, 4}}));
        assertThat(three.value(SpectrumFace.REAL, new Pixel(0, 2))).isEqualTo(Rational.of(-2));
        assertThat(three.value(SpectrumFace.IMAGINARY, new Pixel(0, 2)).asDouble()).isCloseTo(Math.sqrt(3), offset(1e-12));
        // Nothing is where there is no wave: no phase of what only rounding left.
        assertThat(spectrum("fourier", Image.ofLevels(5, 7, 255, n -> 77)).face(SpectrumFace.PHASE).value(3)).isEqualTo(Rational.ZERO);
    }

    /** M · log ÷ largest log: 7 · ln 6 ÷ ln 12 = 5.05, 7 · ln 4 ÷ ln 12 = 3.9, 7 · ln 2 ÷ ln 12 = 1.95. */
    @Test
    void thePicture() {
        assertThat(Rows.of(spectrum("fourier", SQUARE).picture())).isEqualTo("2 5 | 4 7");
        assertThat(Rows.of(spectrum("fourier", Image.ofLevels(2, 2, 7, n -> 0)).picture())).isEqualTo("0 0 | 0 0");
    }

    /** Zero at 11: 1, −5, −3 alone are ¼ of their sums with signs; without −3 and its conjugate (itself) the columns have equal means. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"notch u=0 v=0; 1 -5 | -3 0", "notch u=0 v=1; 1 -5 | 0 11", "notch u=3 v=-2; 1 0 | -3 11", "notch u=0 v=0 radius=1; 1 0 | 0 0",
        "notch u=0 v=0 radius=2; 0 0 | 0 0", "frequency-filter keep=low radius=1; 0 -5 | -3 11", "frequency-filter keep=high radius=1; 1 0 | 0 0", "frequency-filter keep=band radius=1 to=1; 0 -5 | -3 0",
        "frequency-filter keep=stop radius=1 to=1.4; 1 0 | 0 11", "frequency-filter keep=stop radius=1 to=1.5; 0 0 | 0 11", "frequency-filter keep=low radius=1 shape=butterworth; 0.2 -2.5 | -1.5 11",
        "frequency-filter keep=high radius=1 shape=butterworth order=1; 0.666667 -2.5 | -1.5 0", "frequency-filter keep=low radius=1 shape=gaussian; 0.367879 -3.032653 | -1.819592 11"})
    void filtersByHand(String line, String expected) {
        Image image = spectrum(line, spectrum("fourier", SQUARE)).face(SpectrumFace.REAL);
        assertThat(IntStream.range(0, 2).mapToObj(row -> IntStream.range(0, 2).mapToObj(column -> Decimals.print(exact(image.value(new Pixel(row, column)))))
                .collect(Collectors.joining(" "))).collect(Collectors.joining(" | "))).isEqualTo(expected);
    }

    /** (11 − 3 − 5) ÷ 4 = 0.75, (11 + 3 − 5) ÷ 4 = 2.25, (11 − 3 + 5) ÷ 4 = 3.25, (11 + 3 + 5) ÷ 4 = 4.75. */
    @Test
    void backWithoutOneWave() {
        Image exact = (Image) chain(SQUARE, "fourier", "notch u=1 v=1", "fourier-inverse rounding=none");
        assertThat(IntStream.range(0, 4).mapToDouble(exact::asDouble)).containsExactly(0.75, 2.25, 3.25, 4.75);
        assertThat(Rows.of((Image) chain(SQUARE, "fourier", "notch u=1 v=1", "fourier-inverse"))).isEqualTo("1 2 | 3 5");
    }

    @Property(tries = 150)
    void thereAndBackIsTheImage(@ForAll long seed) {
        Random random = new Random(seed);
        Image image = random.nextInt(4) == 0 ? StepArbitraries.image(random) : random(random, random.nextBoolean() ? 255 : 65535);
        Image back = (Image) chain(image, "fourier", "fourier-inverse rounding=none overflow=keep");
        for (int n = 0; n < image.count(); n++) {
            assertThat(back.value(n).asDouble()).isCloseTo(image.value(n).asDouble(), offset(1e-9 * image.maximumLevel()));
        }
        if (image.isLevelImage()) {
            assertThat(back).isEqualTo(image);
        }
    }

    @Test
    void thereAndBackIsALargeImage() {
        Random random = new Random(7);
        Image image = Image.ofLevels(1024, 1024, 65535, n -> random.nextInt(65536));
        assertThat(chain(image, "fourier", "fourier-inverse")).isEqualTo(image);
        Image odd = Image.ofLevels(333, 259, 65535, n -> random.nextInt(65536));
        assertThat(chain(odd, "fourier", "fourier-inverse rounding=none")).isEqualTo(odd);
    }

    /** The fast way gives what the definition says; Parseval; a coefficient is the conjugate of its conjugate. */
    @Property(tries = 100)
    void coefficientsAreSums(@ForAll long seed) {
        Random random = new Random(seed);
        Image image = random(random, 255);
        Spectrum spectrum = spectrum("fourier", image);
        double squares = 0;
        for (int n = 0; n < image.count(); n++) {
            Pixel pixel = image.pixel(n);
            Frequency at = spectrum.frequency(pixel);
            double real = 0;
            double imaginary = 0;
            for (int k = 0; k < image.count(); k++) {
                double angle = -2 * Math.PI * ((double) at.u() * (k / image.columns()) / image.rows() + (double) at.v() * (k % image.columns()) / image.columns());
                real += image.level(k) * Math.cos(angle);
                imaginary += image.level(k) * Math.sin(angle);
            }
            assertThat(spectrum.real(pixel)).isCloseTo(real, offset(1e-8));
            assertThat(spectrum.imaginary(pixel)).isCloseTo(imaginary, offset(1e-8));
            Complex exact = Sum.of(image, at);
            assertThat(exact.real().asDouble()).isCloseTo(real, offset(1e-8));
            assertThat(exact.imaginary().asDouble()).isCloseTo(imaginary, offset(1e-8));
            squares += real * real + imaginary * imaginary;
        }
        double sum = IntStream.range(0, image.count()).mapToDouble(n -> (double) image.level(n) * image.level(n)).sum();
        assertThat(squares / image.count()).isCloseTo(sum, offset(1e-6 * Math.max(1, sum)));
    }

    /** What a kernel does on a torus, a factor does on the spectrum: F · K. */
    @Property(tries = 60)
    void aKernelIsAProductOfSpectra(@ForAll long seed) {
        Random random = new Random(seed);
        Image image = Image.ofLevels(3 + random.nextInt(9), 3 + random.nextInt(9), 255, n -> random.nextInt(256));
        int[] weights = random.ints(9, -3, 9).toArray();
        String rows = IntStream.range(0, 3).mapToObj(row -> IntStream.range(0, 3).mapToObj(column -> String.valueOf(weights[3 * row + column]))
                .collect(Collectors.joining(" "))).collect(Collectors.joining(" | "));
        Spectrum done = spectrum("fourier", chain(image, "kernel weights=\"" + rows + "\" divisor=1 sum=convolution border=periodic rounding=none overflow=keep"));
        Value[] placed = new Value[image.count()];
        Arrays.fill(placed, Rational.ZERO);
        for (int n = 0; n < weights.length; n++) {
            placed[Math.floorMod(n / 3 - 1, image.rows()) * image.columns() + Math.floorMod(n % 3 - 1, image.columns())] = Rational.of(weights[n]);
        }
        Spectrum kernel = spectrum("fourier", Image.from(image.rows(), image.columns(), 255, placed));
        Spectrum before = spectrum("fourier", image);
        for (int n = 0; n < image.count(); n++) {
            Pixel pixel = image.pixel(n);
            assertThat(done.real(pixel)).isCloseTo(before.real(pixel) * kernel.real(pixel) - before.imaginary(pixel) * kernel.imaginary(pixel), offset(1e-6));
            assertThat(done.imaginary(pixel)).isCloseTo(before.real(pixel) * kernel.imaginary(pixel) + before.imaginary(pixel) * kernel.real(pixel), offset(1e-6));
        }
    }

    /** A flip of both sides conjugates all but for a turn, so magnitudes mirror; a move round the edge only turns phases. */
    @Property(tries = 60)
    void flipsAndMoves(@ForAll long seed) {
        Random random = new Random(seed);
        Image image = random(random, 255);
        Spectrum before = spectrum("fourier", image);
        Spectrum flipped = spectrum("fourier", chain(image, "flip direction=left-right"));
        int down = random.nextInt(5);
        int right = random.nextInt(5);
        Spectrum moved = spectrum("fourier", chain(image, "translate down=" + down + " right=" + right + " border=periodic"));
        Frame frame = image.frame();
        for (int n = 0; n < image.count(); n++) {
            Pixel pixel = image.pixel(n);
            Frequency at = before.frequency(pixel);
            assertThat(flipped.magnitude(pixel)).isCloseTo(before.magnitude(Spectrum.place(frame, at.u(), -at.v())), offset(1e-8));
            double angle = -2 * Math.PI * ((double) at.u() * down / image.rows() + (double) at.v() * right / image.columns());
            assertThat(moved.real(pixel)).isCloseTo(before.real(pixel) * Math.cos(angle) - before.imaginary(pixel) * Math.sin(angle), offset(1e-8));
        }
    }

    /** The wave of period 4 over 8 columns is v = 2, that of period 6 over 6 rows u = 1; each stands once. */
    @Test
    void peaksAreTheWaves() {
        Table peaks = bound("fourier", WAVES).face("real").orElseThrow().tables().get(0);
        assertThat(peaks.columns()).containsExactly("rank", "u", "v", "magnitude", "period-rows", "period-columns", "angle");
        assertThat(peaks.rows().get(0).stream().map(value -> value == null ? "" : value.toString()).toList()).containsExactly("1", "0", "2", "960", "", "4", "0");
        assertThat(peaks.rows().get(1).stream().map(value -> value == null ? "" : value.toString()).toList()).containsExactly("2", "1", "0", "288", "6", "", "90");
        assertThat(peaks.rows()).hasSize(2);
        assertThat(peaks.explain(0, "period-columns").get(1).text()).isEqualTo("  = 8 ÷ |2|");
    }

    /** One bright pixel holds all waves alike: reading order, each pair by its member with u > 0, or u = 0 and v > 0. */
    @Test
    void equalPeaksStandInReadingOrder() {
        Image one = Image.ofLevels(4, 4, 7, n -> n == 5 ? 7 : 0);
        Table peaks = bound("fourier", one).face("log").orElseThrow().tables().get(0);
        assertThat(peaks.rows().stream().map(row -> row.get(1) + "," + row.get(2)).toList()).containsExactly("-2,-2", "-2,0", "-2,1", "0,-2", "0,1", "1,-2", "1,-1", "1,0", "1,1");
        assertThat(peaks.value(6, "angle").orElseThrow()).isEqualTo(Rational.of(135));
        Image wide = Image.ofLevels(9, 9, 7, n -> n == 5 ? 7 : 0);
        assertThat(bound("fourier", wide).face("log").orElseThrow().tables().get(0).rows()).hasSize(20);
        assertThat(bound("fourier", Image.ofLevels(3, 3, 7, n -> 5)).face("log").orElseThrow().tables().get(0).rows()).isEmpty();
    }

    /** Every face is calculated to what it shows, its loop ends there, and what is right is not called a slip. */
    @Property(tries = 60)
    void whatHoldsForEveryFace(@ForAll long seed) {
        Random random = new Random(seed);
        Image image = StepArbitraries.image(random);
        Spectrum spectrum = spectrum("fourier", image);
        List<String> lines = List.of("fourier", "notch u=" + random.nextInt(4) + " v=" + random.nextInt(4) + " radius=" + random.nextInt(2),
                "frequency-filter keep=low radius=" + random.nextInt(4), "frequency-filter keep=band radius=1 to=" + (1 + random.nextInt(3)), "frequency-filter keep=high radius=2 shape=gaussian");
        String line = lines.get(random.nextInt(lines.size()));
        Operation face = face(line, line.equals("fourier") ? image : spectrum, SpectrumFace.values()[random.nextInt(5)].word());
        Pixel pixel = image.pixel(random.nextInt(image.count()));
        Value value = face.value(pixel);
        assertThat(face.explain(pixel).result()).isEqualTo(value);
        assertThat(face.result(Progress.NONE).value(pixel).compareValue(value)).isZero();
        LoopWriter out = new LoopWriter();
        face.follow(pixel, out);
        assertThat(out.moments().get(out.moments().size() - 1).variables()).anyMatch(variable -> variable.name().equals("after[i][j]")
                && variable.value().equals(Decimals.working(value)));
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < image.count(); n++) {
            sheet = sheet.with(image.pixel(n), Decimals.table(face.value(image.pixel(n))));
        }
        Check check = Check.of(sheet, face);
        assertThat(check.differing()).isEmpty();
        assertThat(SlipFinder.find(check, face)).isEqualTo(Findings.NONE);
    }

    private static List<String> slips(Operation right, Function<Pixel, String> written) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < right.frame().count(); n++) {
            sheet = sheet.with(right.frame().pixel(n), written.apply(right.frame().pixel(n)));
        }
        return SlipFinder.find(Check.of(sheet, right), right).slips().stream().map(Explanation::id).toList();
    }

    private static final Image NOISY = Image.of(255, new int[][] {{106, 152, 249, 131}, {253, 147, 202, 107}, {119, 166, 224, 148}, {248, 26, 81, 218}, {60, 129, 179, 90}});

    /** What a user writes is summed up here by a loop of its own. */
    private static double[] sum(Frequency at, boolean isCentered, double sign, double perTurn, boolean isReduced) {
        double u = isCentered ? at.u() : Math.floorMod(at.u() + NOISY.rows() / 2, NOISY.rows());
        double v = isCentered ? at.v() : Math.floorMod(at.v() + NOISY.columns() / 2, NOISY.columns());
        double[] parts = new double[2];
        for (int n = 0; n < NOISY.count(); n++) {
            double turn = u * (n / 4) / 5 + v * (n % 4) / 4;
            double angle = sign * perTurn * (isReduced ? turn - Math.floor(turn) : turn);
            parts[0] += NOISY.level(n) * Math.cos(angle);
            parts[1] += NOISY.level(n) * Math.sin(angle);
        }
        return parts;
    }

    private static String text(double number) {
        return String.format(Locale.ROOT, "%.2f", number);
    }

    @Test
    void slipsOfSpectra() {
        Operation real = face("fourier", NOISY, "real");
        Operation imaginary = face("fourier", NOISY, "imaginary");
        Operation phase = face("fourier", NOISY, "phase");
        Spectrum spectrum = (Spectrum) chain(NOISY, "fourier");
        double turn = 2 * Math.PI;
        assertThat(slips(real, pixel -> text(sum(spectrum.frequency(pixel), false, -1, turn, false)[0]))).containsExactly("not-centered");
        assertThat(slips(imaginary, pixel -> text(sum(spectrum.frequency(pixel), true, 1, turn, false)[1]))).containsExactly("sign-of-angle");
        assertThat(slips(real, pixel -> text(sum(spectrum.frequency(pixel), true, -1, Math.toRadians(turn), false)[0]))).containsExactly("degrees-for-radians");
        assertThat(slips(real, pixel -> text(sum(spectrum.frequency(pixel), true, -1, 360, false)[0]))).containsExactly("degrees-for-radians");
        assertThat(slips(phase, pixel -> text(Math.toRadians(phase.value(pixel).asDouble())))).containsExactly("degrees-for-radians");
        assertThat(slips(real, pixel -> text(IntStream.range(0, 4).mapToDouble(j -> NOISY.level(4 * pixel.row() + j)
                * Math.cos(turn * spectrum.frequency(pixel).v() * j / 4)).sum()))).containsExactly("one-direction-only");
    }

    @Test
    void slipsOfFilters() {
        Spectrum spectrum = (Spectrum) chain(NOISY, "fourier");
        Operation notch = face("notch u=1 v=1", spectrum, "real");
        Pixel mate = Spectrum.place(NOISY.frame(), -1, -1);
        assertThat(slips(notch, pixel -> text(pixel.equals(mate) ? spectrum.real(pixel) : notch.value(pixel).asDouble()))).containsExactly("pair-forgotten");
        // One other cell that differs is no forgotten conjugate.
        assertThat(slips(notch, pixel -> text(pixel.equals(new Pixel(2, 2)) ? -3 : notch.value(pixel).asDouble()))).isEmpty();
        Operation wide = face("notch u=1 v=1 radius=1", spectrum, "imaginary");
        Operation strict = face("notch u=1 v=1 radius=1/2", spectrum, "imaginary");
        assertThat(slips(wide, pixel -> text(strict.value(pixel).asDouble()))).containsExactly("strictness");
        Operation band = face("frequency-filter keep=band radius=1 to=2", spectrum, "real");
        Operation open = face("frequency-filter keep=band radius=1.1 to=2", spectrum, "real");
        assertThat(slips(band, pixel -> text(open.value(pixel).asDouble()))).containsExactly("strictness");
        Operation other = face("frequency-filter keep=band radius=1.1 to=1.9", spectrum, "real");
        assertThat(slips(band, pixel -> text(other.value(pixel).asDouble()))).containsExactly("strictness");
        assertThat(slips(band, pixel -> text(band.value(new Pixel((pixel.row() + 2) % 5, (pixel.column() + 2) % 4)).asDouble()))).containsExactly("not-centered");
    }

    @Test
    void slipsOfTheWayBack() {
        Spectrum spectrum = (Spectrum) chain(NOISY, "fourier", "notch u=1 v=1");
        Operation back = (Operation) bound("fourier-inverse", spectrum);
        Operation exact = (Operation) bound("fourier-inverse rounding=none overflow=keep", spectrum);
        assertThat(slips(back, pixel -> "255")).containsExactly("not-divided");
        assertThat(slips(back, pixel -> String.valueOf(Math.round(20 * exact.value(pixel).asDouble())))).containsExactly("not-divided");
        assertThat(slips(back, pixel -> back.value(new Pixel((5 - pixel.row()) % 5, (4 - pixel.column()) % 4)).toString())).containsExactly("sign-of-angle");
        assertThat(slips(exact, pixel -> text(IntStream.range(0, 20).mapToDouble(n -> {
            Frequency at = spectrum.frequency(new Pixel(n / 4, n % 4));
            double angle = 360 * (at.u() * pixel.row() / 5.0 + at.v() * pixel.column() / 4.0);
            return (spectrum.real(new Pixel(n / 4, n % 4)) * Math.cos(angle) - spectrum.imaginary(new Pixel(n / 4, n % 4)) * Math.sin(angle)) / 20;
        }).sum()))).containsExactly("degrees-for-radians");
        Spectrum three = (Spectrum) chain(Image.of(255, new int[][] {{10, 20, 40}, {80, 3, 6}}), "fourier");
        Operation sixth = (Operation) bound("fourier-inverse rounding=none overflow=keep", three);
        assertThat(slips(sixth, pixel -> text(sixth.value(pixel).asDouble() * 6 * 0.17))).containsExactly("rounded-early");
    }

    @Test
    void bothPartsInOneCell() {
        assertThat(ComplexCells.find("3-4i").orElseThrow()).containsEntry(SpectrumFace.REAL, "3").containsEntry(SpectrumFace.IMAGINARY, "-4");
        assertThat(ComplexCells.find(" \u22122.5 + i ").orElseThrow()).containsEntry(SpectrumFace.REAL, "-2.5").containsEntry(SpectrumFace.IMAGINARY, "1");
        assertThat(ComplexCells.find("-1/3i").orElseThrow()).containsEntry(SpectrumFace.REAL, "0").containsEntry(SpectrumFace.IMAGINARY, "-1/3");
        assertThat(List.of("34", "3-4", "", "i3", "3i4", "sin(i)").stream().map(ComplexCells::find).toList()).allMatch(Optional::isEmpty);
        HandSheet sheet = HandSheet.EMPTY.with(new Pixel(0, 1), "-5+2i").with(new Pixel(1, 1), "11");
        assertThat(ComplexCells.apart(sheet, "magnitude").keySet()).containsExactlyInAnyOrder("real", "imaginary", "magnitude");
        assertThat(ComplexCells.apart(sheet, "real").get("real").cells()).hasSize(2);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"notch u=1 v=1; notch needs a spectrum. Add a Fourier transform before it", "fourier-inverse; fourier-inverse needs a spectrum",
        "frequency-filter keep=low radius=-1; radius=-1 is not allowed; give a number of at least 0", "frequency-filter radius=2; keep", "frequency-filter keep=band radius=2; keep=band needs an upper radius, to=…",
        "frequency-filter keep=low radius=2 to=3; Upper radius (to) applies to keep=band and keep=stop, not to keep=low", "frequency-filter keep=band radius=2 to=1; to=1 is below radius=2", "frequency-filter keep=low radius=2 order=3; order applies to shape=butterworth", "frequency-filter keep=low radius=2 order=2; order applies to shape=butterworth",
        "frequency-filter keep=band radius=1 to=2 shape=gaussian; shape=gaussian works with keep=low and keep=high, not with keep=band", "frequency-filter keep=low radius=0 shape=gaussian; needs a radius above 0",
        "frequency-filter keep=low radius=1 shape=butterworth order=0; a whole number of at least 1", "notch u=1/2 v=0; a whole number", "notch u=1 v=0 radius=-1; at least 0",
        "fourier rounding=floor; rounding", "notch u=1 v=1 area=\"0 0 1 1\"; area"})
    void badLinesAreSaid(String line, String message) {
        assertThatThrownBy(() -> bound(line, SQUARE)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    @Test
    void everythingElseRefusesASpectrum() {
        Spectrum spectrum = spectrum("fourier", SQUARE);
        for (String line : List.of("invert", "fourier", "low-rank keep=1", "crop row=0 column=0 height=1 width=1", "combine with=step:0 by=sum", "merge red=self green=self blue=self")) {
            assertThatThrownBy(() -> bound(line, spectrum)).as(line).isInstanceOf(PixeronException.class).hasMessageContaining("spectrum");
        }
        assertThatThrownBy(() -> bound("fourier", ColorImage.of(List.of(SQUARE, SQUARE, SQUARE)))).hasMessageContaining("Add a gray step before it");
        assertThatThrownBy(() -> bound("low-rank keep=1", ColorImage.of(List.of(SQUARE, SQUARE, SQUARE)))).hasMessageContaining("Add a gray step before it");
    }
}
