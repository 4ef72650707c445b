package pixeron.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.format.CellTable;
import pixeron.format.ImageFiles;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Rational;
import pixeron.step.Bound;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.WholeType;
import pixeron.step.catalog.Catalog;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;

/** Every program that is written down, run as it is: in Java and in Python it gives the numbers of the step, on any image. */
class LoopProgramTest {

    private static final List<String> LINES = List.of("add amount=30", "add amount=0.5", "subtract amount=1/3 rounding=truncate", "multiply factor=1.25 rounding=ceiling",
            "divide divisor=3 rounding=nearest-even", "divide divisor=4 rounding=floor overflow=wrap", "linear gain=-1.5 bias=200 overflow=wrap", "linear gain=2 bias=-90 area=\"1 1 3 2\"",
            "linear gain=1/3 bias=1/2 rounding=none overflow=keep", "invert", "depth maximum=15", "depth maximum=1000 rounding=floor", "log", "log scale=20", "log reference=image", "exponential", "power gamma=2", "power gamma=0.4", "stretch",
            "stretch low=10 high=M to-low=5", "stretch area=\"0 1 4 3\"", "clamp low=40 high=200", "slice low=50 high=120", "slice low=50 high=120 outside=0", "quantize levels=4",
            "posterize cuts=\"50 100\" values=\"0 128 255\"", "bit-plane bit=3", "bits-and mask=0x0F", "bits-or mask=12", "bits-xor mask=255", "bit-shift by=-2", "bit-shift by=1",
            "piecewise points=\"0 0 | 100 40 | 255 255\"", "lookup table=\"0 1 | 1 3 | 7 200\"", "formula expression=\"(r - min) / (max - min) * M\"",
            "formula expression=\"if(i < j, r, M - r) + mod(r, 7)\"", "formula expression=\"r - mean + N - H * W + L - M\"", "formula expression=\"sqrt(r) * 10 + abs(sin(r)) - round(r / 3) * 2\"",
            "formula expression=\"max(r / 2, min(x * 10, y * 20)) - floor(r / 7) + ceiling(r / 9)\"", "equalize", "equalize method=share-from-first", "equalize area=\"0 0 3 3\"",
            "threshold at=99", "threshold at=99 compare=at-least low=10 high=20", "band low=50 high=150", "threshold-otsu", "threshold-percentile percent=30", "threshold-percentile percent=100/3 area=\"1 0 3 3\"", "threshold-iterative", "threshold-iterative start=20 stop=0 area=\"0 1 4 3\"", "threshold-local size=3", "threshold-local size=3 border=inside offset=2",
            "kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"", "kernel weights=\"0 -1 0 | -1 5 -1 | 0 -1 0\" border=periodic", "kernel weights=\"1 2 3\" sum=convolution border=mirror-half offset=0.5",
            "kernel weights=\"1/2 0.25 | 3 -1\" divisor=3 border=mirror-whole", "kernel weights=\"1 1 | 1 1\" anchor=\"1 1\" border=keep", "box size=3", "box size=3 border=inside", "box size=2 border=crop",
            "box size=3 border=constant outside=100 area=\"1 0 3 4\"", "binomial size=3 border=replicate", "gaussian sigma=1 border=replicate", "sharpen", "laplacian neighbors=8 overflow=keep",
            "unsharp amount=1.5 size=3", "sobel part=x", "sobel part=sum", "prewitt part=root", "scharr part=y border=periodic", "roberts part=angle", "median size=3", "median size=3 border=zero",
            "median size=2", "minimum size=3", "maximum size=3 border=mirror-whole", "rank size=3 place=2", "erode shape=\"0 1 0 | 1 1 1 | 0 1 0\"",
            "dilate shape=\"1 1 0 | 0 1 0\" border=replicate", "crop row=1 column=1 height=2 width=2", "pad top=1 left=2 right=1 border=mirror-half", "pad bottom=2 border=constant outside=9",
            "translate down=1 right=-1 border=periodic", "translate down=-1 right=1", "flip direction=left-right", "flip direction=up-down area=\"0 0 2 2\"", "transpose", "tile down=2 right=2 mirrored=yes",
            "tile right=2", "resize scale=2", "resize scale=0.6 by=linear", "resize height=3 grid=corners", "resize width=7 by=linear grid=ends rounding=floor", "resize height=2 width=9 by=linear grid=corners rounding=none", "periodic-noise amplitude=20 period-columns=3", "periodic-noise amplitude=9.5 cycles-rows=1 cycles-columns=2 phase=30",
            "resize height=3 by=mean", "resize width=9 by=mean rounding=floor", "resize scale=1/3 by=mean rounding=none", "stretch cut=10", "stretch cut=12.5 area=\"1 0 3 3\"",
            "open shape=\"0 1 0 | 1 1 1 | 0 1 0\"", "close shape=\"1 1 0 | 0 1 0\" border=replicate", "open shape=\"1 1\" border=crop", "close shape=\"1 1 | 1 1\" border=constant outside=100 area=\"1 0 3 4\"",
            "close shape=\"1 1 1\" border=keep", "rotate degrees=30", "rotate degrees=-200.5 by=linear border=mirror-half", "rotate degrees=90 border=periodic", "rotate degrees=45 by=linear size=keep border=constant outside=M",
            "rotate degrees=180 by=linear size=keep", "rotate degrees=10 border=mirror-whole size=keep", "rotate degrees=77 by=linear rounding=none overflow=keep border=replicate",
            "set-pixels at=\"0 1 255 | 2 2 7 | 0 1 9\"", "line from=\"3 0\" to=\"1 3\" value=200", "line from=\"2 2\" to=\"2 2\" value=0", "rectangle area=\"0 1 4 3\" value=M",
            "rectangle area=\"1 0 2 2\" value=3 filled=yes", "salt-pepper count=5", "salt-pepper count=7 white=30 high=300 seed=-3 area=\"1 0 3 4\"", "salt-pepper count=0", "salt-pepper count=4 white=0 low=-5 overflow=wrap", "salt-pepper count=2 white=100",
            "uniform-noise from=-20 to=20", "uniform-noise from=-2147483648 to=2147483647 overflow=wrap seed=9223372036854775807", "gaussian-noise deviation=12", "gaussian-noise deviation=0 mean=3.5",
            "gaussian-noise deviation=0.5 mean=-1/3 rounding=none overflow=keep seed=-9223372036854775808",
            "low-rank keep=2", "low-rank keep=4 rounding=floor", "low-rank energy=70", "low-rank energy=99 measure=squares rounding=none overflow=keep",
            "match counts=\"" + "1 ".repeat(255) + "1\"", "match counts=\"5 " + "0 ".repeat(100) + "3 1 " + "0 ".repeat(152) + "4\" rule=first-at-least area=\"0 1 4 3\"");
    /** With another image of the same size, or of the size that a join needs. */
    private static final List<String> OF_TWO = List.of("combine with=pull by=sum", "combine with=pull by=difference overflow=keep", "combine with=pull by=absolute-difference area=\"0 0 2 2\"",
            "combine with=pull by=product", "combine with=pull by=quotient rounding=floor", "combine with=pull by=mean rounding=nearest-even", "combine with=pull by=blend share=0.3",
            "combine with=pull by=minimum", "combine with=pull by=maximum", "combine with=pull by=and", "combine with=pull by=or", "combine with=pull by=xor overflow=wrap",
            "formula expression=\"(r + 2 * t) / 3 + i\" with=pull", "match with=pull", "match with=pull rule=first-at-least", "join with=pull side=right", "join with=pull side=below",
            "join with=pull side=left", "join with=pull side=above", "paste with=pull row=1 column=2", "paste with=pull row=-1 column=-1 from=\"0 1 3 2\" area=\"0 0 2 2\"",
            "paste row=2 column=0 from=\"0 1 2 2\"");
    /** On values that are no levels: negative ones, and thirds. */
    private static final List<String> OF_OPEN = List.of("add amount=1/2", "multiply factor=1.5 rounding=nearest-even", "linear gain=1/3 bias=1/2 rounding=none overflow=keep", "invert", "stretch",
            "stretch area=\"1 1 2 2\"", "clamp low=10 high=60", "threshold at=20", "band low=-5 high=40", "threshold-local size=3 offset=2", "formula expression=\"abs(r) + min - mean / 2 + i\"",
            "kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\" border=replicate", "box size=3 border=inside rounding=floor", "median size=3", "median size=3 border=mirror-half", "sobel part=root", "erode shape=\"0 1 0 | 1 1 1 | 0 1 0\"",
            "open shape=\"1 1 | 1 1\"", "crop row=1 column=1 height=2 width=2", "pad top=1 left=2 border=periodic", "flip direction=up-down", "rotate degrees=30 by=linear border=constant outside=7",
            "rotate degrees=77", "resize height=3 by=mean", "resize scale=1.5 by=linear", "salt-pepper count=4", "uniform-noise from=-3 to=3", "gaussian-noise deviation=2", "periodic-noise amplitude=9 period-rows=3",
            "low-rank keep=2", "fourier", "join with=step:0 side=below", "combine with=step:0 by=mean", "depth maximum=100", "posterize cuts=\"2 5.5\" values=\"0 3 1/3\"", "piecewise points=\"0 0 | 20 40 | 60 10\"", "lookup table=\"0 1 | 1/3 3\"");
    /** On 16 bits. */
    private static final List<String> OF_SIXTEEN_BITS = List.of("posterize cuts=\"1000 50000.5\" values=\"0 3 65535\"", "piecewise points=\"10 0 | 30000 40 | 60000 60001\" rounding=floor",
            "lookup table=\"7 1 | 65535 3\"", "bit-plane bit=13", "bit-plane bit=2 as=bit", "bits-and mask=0xFF0F", "bits-or mask=12", "bits-xor mask=40000", "bit-shift by=-7", "bit-shift by=3 overflow=wrap", "invert",
            "equalize", "sobel part=root");
    private static final List<String> OF_WAVES = List.of("frequency-filter keep=low radius=2", "frequency-filter keep=high radius=1.5", "frequency-filter keep=band radius=1 to=2", "frequency-filter keep=stop radius=1 to=1.5",
            "frequency-filter keep=low radius=1.5 shape=gaussian", "frequency-filter keep=high radius=2 shape=butterworth order=3", "notch u=1 v=-1", "notch u=-1 v=7 radius=1.2", "fourier-inverse",
            "fourier-inverse rounding=floor", "fourier-inverse rounding=none overflow=keep");
    private static final List<String> OF_COLOR = List.of("gray", "gray rule=luma-601", "gray rule=luma-709 rounding=floor transparent=over-black", "gray rule=lightness transparent=ignored",
            "gray rule=maximum", "gray rule=blue", "gray rule=alpha", "gray rule=weights weights=\"1/2 -0.25 2\" overflow=wrap", "gray area=\"1 1 2 2\"", "reorder order=\"blue red green\"",
            "reorder order=\"alpha red green blue\"", "equalize", "add amount=30 channels=\"red alpha\"", "merge red=step:0 green=7 blue=M", "convert to=hsv", "convert to=hsv scale=levels rounding=floor",
            "convert to=hsl", "convert to=hsl scale=half", "convert to=cmyk", "convert to=cmyk scale=unit", "convert to=ycbcr", "convert to=ycbcr scale=levels overflow=wrap");
    /** Models that are converted back to red, green and blue. */
    private static final List<String> OF_MODELS = List.of("convert to=hsv", "convert to=hsl scale=levels", "convert to=cmyk", "convert to=ycbcr scale=levels", "convert to=ycbcr");

    /** Roots and angles of different languages may differ in their last place. */
    private static final Rational LAST_PLACE = Rational.of(1, 1_000_000_000);

    @TempDir
    private Path folder;

    private final List<Image> images = new ArrayList<>();

    @BeforeEach
    void makeImages() {
        Random random = new Random(7);
        images.add(Image.ofLevels(5, 4, 255, n -> random.nextInt(256)));
        images.add(Image.ofLevels(4, 6, 255, n -> random.nextInt(9) * 31));
    }

    /** A program of a step, and images that it is run on, in the order of its files. */
    private record Case(String line, List<Image> images, LoopProgram program, Operation right) {

        /** Returns the words behind the program: a file for each image, and one for the result. */
        List<String> files(Path folder, int number) {
            List<String> files = new ArrayList<>();
            for (int n = 0; n < images.size(); n++) {
                Path in = folder.resolve(number + "-in" + n + ".csv");
                ImageFiles.write(in, images.get(n), false);
                files.add(in.toString());
            }
            files.add(folder.resolve(number + "-out.csv").toString());
            return files;
        }
    }

    private List<Case> cases() {
        List<Case> cases = new ArrayList<>();
        for (String line : LINES) {
            Step step = StepLine.parse(line);
            LoopProgram program = step.bind(images.get(0)).program().orElseThrow(() -> new AssertionError(line + " has no program"));
            for (Image image : images) {
                // What depends on the image is calculated by the program: that of the first image is right for the second.
                boolean isOfSize = List.of("crop", "pad", "move", "flip", "transpose", "tile").contains(step.type().name());
                Operation right = step.bind(image);
                cases.add(new Case(line, List.of(image), isOfSize ? right.program().orElseThrow() : program, right));
            }
        }
        for (String line : OF_TWO) {
            LoopProgram program = null;
            for (Image image : images) {
                boolean isOfAnySize = line.startsWith("join") || line.startsWith("paste") || line.startsWith("match");
                int more = !isOfAnySize ? 0 : 2;
                boolean isBeside = line.endsWith("right") || line.endsWith("left");
                Random random = new Random(image.count());
                Image pull = Image.ofLevels(image.rows() + (isBeside ? 0 : more), image.columns() + (isBeside ? more : 0), 255, n -> 1 + random.nextInt(255));
                Operation right = StepLine.parse(line).bind(new Inputs(image, name -> pull));
                program = program == null ? right.program().orElseThrow(() -> new AssertionError(line + " has no program")) : program;
                cases.add(new Case(line, program.inputs().size() == 1 ? List.of(image) : List.of(image, pull), program, right));
            }
        }
        Image image = images.get(1);
        List<Image> open = List.of(opened("laplacian neighbors=4 overflow=keep"), opened("divide divisor=3 rounding=none overflow=keep"));
        for (String line : OF_OPEN) {
            for (Image before : open) {
                Operation right = StepLine.parse(line).bind(before);
                LoopProgram program = right.program().orElseThrow(() -> new AssertionError(line + " has no program for values that are no levels"));
                cases.add(new Case(line, Collections.nCopies(program.inputs().size(), before), program, right));
            }
        }
        Random random = new Random(11);
        Image fine = Image.ofLevels(5, 4, 65535, n -> n % 7 == 0 ? 7 : random.nextInt(65536));
        for (String line : OF_SIXTEEN_BITS) {
            Operation right = StepLine.parse(line).bind(fine);
            cases.add(new Case(line, List.of(fine), right.program().orElseThrow(() -> new AssertionError(line + " has no program on 16 bits")), right));
        }
        Bound waves = Binding.of(StepLine.parse("fourier"), image);
        waves.faces().forEach(face -> {
            Operation right = waves.face(face).orElseThrow();
            cases.add(new Case("fourier, " + face, List.of(image), right.program().orElseThrow(), right));
        });
        Spectrum spectrum = (Spectrum) waves.result(Progress.NONE);
        for (String line : OF_WAVES) {
            Bound bound = Binding.of(StepLine.parse(line), spectrum);
            bound.faces().forEach(face -> {
                Operation right = bound.face(face).orElseThrow();
                cases.add(new Case(line + ", " + face, List.of(spectrum.face(SpectrumFace.REAL), spectrum.face(SpectrumFace.IMAGINARY)), right.program().orElseThrow(), right));
            });
        }
        for (String line : OF_COLOR) {
            ColorImage color = color();
            Bound bound = Binding.of(StepLine.parse(line), new Inputs(line.startsWith("merge") ? images.get(0) : color, name -> images.get(0)));
            for (String face : bound.faces()) {
                Operation right = bound.face(face).orElseThrow();
                LoopProgram program = right.program().orElseThrow(() -> new AssertionError(line + " has no program for " + face));
                List<Image> read = program.inputs().stream().map(input -> color.face(input.grid().replace("of_", "")).orElse(right.before())).toList();
                cases.add(new Case(line + ", " + face, read, program, right));
            }
        }
        for (String line : OF_MODELS) {
            Result model = Binding.of(StepLine.parse(line), color()).result(Progress.NONE);
            Bound back = Binding.of(StepLine.parse("convert to=rgb"), model);
            for (String face : List.of("red", "green", "blue")) {
                Operation right = back.face(face).orElseThrow();
                LoopProgram program = right.program().orElseThrow();
                cases.add(new Case(line + ", back, " + face, program.inputs().stream().map(input -> model.face(input.grid()).orElseThrow()).toList(), program, right));
            }
        }
        return cases;
    }

    private Image opened(String line) {
        return StepLine.parse(line).bind(images.get(1)).result(Progress.NONE);
    }

    private static ColorImage color() {
        Random random = new Random(9);
        List<Image> channels = IntStream.range(0, 4).mapToObj(k -> Image.ofLevels(4, 5, 255, n -> random.nextInt(256))).toList();
        return ColorImage.of(channels);
    }

    private void assertRight(Case one, Path out, String text) {
        HandSheet written = HandSheet.of(CellTable.read(out), one.right().frame()).withTolerance(Optional.of(LAST_PLACE));
        Check check = Check.of(written, one.right());
        assertThat(check.agree()).as("%s on %s%n%s%n%s", one.line(), one.images(), check.first(), text).isEqualTo(one.right().frame().count());
    }

    /** All programs at once, each in a package of its own. */
    private URLClassLoader compiled(List<Case> cases) throws IOException {
        List<String> words = new ArrayList<>(List.of("-d", Files.createDirectories(folder.resolve("classes")).toString()));
        for (int n = 0; n < cases.size(); n++) {
            Path of = Files.createDirectories(folder.resolve("c" + n).resolve("p" + n));
            String text = "package p" + n + ";\n" + cases.get(n).program().java();
            words.add(Files.writeString(of.resolve(cases.get(n).program().className() + ".java"), text).toString());
        }
        ByteArrayOutputStream problems = new ByteArrayOutputStream();
        assertThat(ToolProvider.getSystemJavaCompiler().run(null, null, problems, words.toArray(String[]::new))).as(problems.toString()).isZero();
        return new URLClassLoader(new URL[] {folder.resolve("classes").toUri().toURL()});
    }

    /** Returns the file with the result. */
    private Path run(URLClassLoader loader, Case one, int number) throws ReflectiveOperationException {
        String[] files = one.files(folder, number).toArray(String[]::new);
        loader.loadClass("p" + number + "." + one.program().className()).getMethod("main", String[].class).invoke(null, (Object) files);
        return Path.of(files[files.length - 1]);
    }

    @Test
    void javaGivesTheNumbersOfTheStep() throws Exception {
        List<Case> cases = cases();
        try (URLClassLoader loader = compiled(cases)) {
            for (int n = 0; n < cases.size(); n++) {
                assertRight(cases.get(n), run(loader, cases.get(n), n), cases.get(n).program().java());
            }
        }
    }

    @Test
    void pythonGivesTheNumbersOfTheStep() throws IOException, InterruptedException {
        assumeThat(hasPython()).isTrue();
        List<Case> cases = cases();
        StringBuilder all = new StringBuilder("import runpy, sys\n");
        for (int n = 0; n < cases.size(); n++) {
            Path program = Files.writeString(folder.resolve("p" + n + ".py"), cases.get(n).program().python());
            all.append("sys.argv = ['x', r'").append(String.join("', r'", cases.get(n).files(folder, n))).append("']\n");
            all.append("runpy.run_path(r'").append(program).append("')\n");
        }
        Path runner = Files.writeString(folder.resolve("all.py"), all);
        Process process = new ProcessBuilder("python3", runner.toString()).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        for (int n = 0; n < cases.size(); n++) {
            assertRight(cases.get(n), folder.resolve(n + "-out.csv"), cases.get(n).program().python());
        }
    }

    private static boolean hasPython() {
        try {
            return new ProcessBuilder("python3", "--version").start().waitFor() == 0;
        } catch (IOException | InterruptedException none) {
            return false;
        }
    }

    /** A step that is added later has one as well. */
    @Test
    void everyStepHasAProgram() {
        Spectrum spectrum = (Spectrum) Binding.of(StepLine.parse("fourier"), images.get(0)).result(Progress.NONE);
        for (StepType type : Catalog.all()) {
            Step step = type.starter(255);
            Result before = Stream.of(images.get(0), color(), spectrum).filter(one -> !(type instanceof WholeType whole) || whole.takes(one)).findFirst().orElseThrow();
            Bound bound = Binding.of(step, before);
            bound.faces().forEach(face -> assertThat(bound.face(face).orElseThrow().program()).as(step.line()).isPresent());
        }
    }

    /** Left open, a program can be run as it is: how large its result is, it knows. */
    @Test
    void everyStartCanBeRun() throws Exception {
        List<Case> cases = cases().stream().map(one -> new Case(one.line(), one.images(), one.program().open(), one.right())).toList();
        try (URLClassLoader loader = compiled(cases)) {
            for (int n = 0; n < cases.size(); n++) {
                String zeros = String.join(",", Collections.nCopies(cases.get(n).right().frame().columns(), "0"));
                assertThat(Files.readAllLines(run(loader, cases.get(n), n))).as(cases.get(n).line()).isEqualTo(Collections.nCopies(cases.get(n).right().frame().rows(), zeros));
            }
        }
    }

    @Test
    void aStartLeavesTheLoopOpen() {
        String text = StepLine.parse("equalize").bind(images.get(0)).program().orElseThrow().open().python();
        assertThat(text).contains("# s is calculated here from before, i and j", "s = 0", "for i in range(H):").doesNotContain("running");
        assertThat(StepLine.parse("equalize").bind(images.get(0)).program().orElseThrow().open().java()).contains("// s is calculated here");
    }

    /** Where nothing but whole numbers comes up, nothing else is in the program. */
    @Test
    void wholeNumbersStayWhole() {
        LoopProgram program = StepLine.parse("add amount=30").bind(images.get(0)).program().orElseThrow();
        assertThat(program.java()).doesNotContain("Fraction");
        assertThat(program.python()).doesNotContain("Fraction");
    }
}
