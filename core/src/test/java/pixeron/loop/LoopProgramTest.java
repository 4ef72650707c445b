package pixeron.loop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.format.CellTable;
import pixeron.format.ImageFiles;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.catalog.Catalog;
import pixeron.step.catalog.StepLine;

/** Every program that is written down, run as it is: in Java and in Python it gives the numbers of the step, on any image. */
class LoopProgramTest {

    private static final List<String> LINES = List.of("add amount=30", "add amount=0.5", "subtract amount=1/3 rounding=truncate", "multiply factor=1.25 rounding=ceiling",
            "divide divisor=3 rounding=nearest-even", "divide divisor=4 rounding=floor overflow=wrap", "linear gain=-1.5 bias=200 overflow=wrap", "linear gain=2 bias=-90 area=\"1 1 3 2\"",
            "linear gain=1/3 bias=1/2 rounding=none overflow=keep", "invert", "depth maximum=15", "depth maximum=1000 rounding=floor", "log", "log scale=20", "log reference=image", "exponential", "power gamma=2", "power gamma=0.4", "stretch",
            "stretch low=10 high=M to-low=5", "stretch area=\"0 1 4 3\"", "clamp low=40 high=200", "slice low=50 high=120", "slice low=50 high=120 outside=0", "quantize levels=4",
            "posterize cuts=\"50 100\" values=\"0 128 255\"", "bit-plane bit=3", "bits-and mask=0x0F", "bits-or mask=12", "bits-xor mask=255", "shift by=-2", "shift by=1",
            "piecewise points=\"0 0 | 100 40 | 255 255\"", "lookup table=\"0 1 | 1 3 | 7 200\"", "formula expression=\"(r - min) / (max - min) * M\"",
            "formula expression=\"if(i < j, r, M - r) + mod(r, 7)\"", "formula expression=\"r - mean + N - H * W + L - M\"", "formula expression=\"sqrt(r) * 10 + abs(sin(r)) - round(r / 3) * 2\"",
            "formula expression=\"max(r / 2, min(x * 10, y * 20)) - floor(r / 7) + ceiling(r / 9)\"", "equalize", "equalize method=share-from-first", "equalize area=\"0 0 3 3\"",
            "threshold at=99", "threshold at=99 compare=at-least low=10 high=20", "band low=50 high=150", "threshold-otsu", "threshold-share percent=30", "threshold-share percent=100/3 area=\"1 0 3 3\"", "threshold-two-means", "threshold-two-means start=20 stop=0 area=\"0 1 4 3\"", "threshold-local size=3", "threshold-local size=3 border=inside offset=2",
            "kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"", "kernel weights=\"0 -1 0 | -1 5 -1 | 0 -1 0\" border=wrap", "kernel weights=\"1 2 3\" sum=convolution border=mirror-half offset=0.5",
            "kernel weights=\"1/2 0.25 | 3 -1\" divisor=3 border=mirror-whole", "kernel weights=\"1 1 | 1 1\" anchor=\"1 1\" border=keep", "box size=3", "box size=3 border=inside", "box size=2 border=crop",
            "box size=3 border=constant outside=100 area=\"1 0 3 4\"", "binomial size=3 border=repeat", "gaussian sigma=1 border=repeat", "sharpen", "laplacian neighbors=8 overflow=keep",
            "unsharp amount=1.5 size=3", "sobel part=x", "sobel part=sum", "prewitt part=root", "scharr part=y border=wrap", "roberts part=angle", "median size=3", "median size=3 border=zero",
            "median size=2", "minimum size=3", "maximum size=3 border=mirror-whole", "rank size=3 place=2", "erode shape=\"0 1 0 | 1 1 1 | 0 1 0\"",
            "dilate shape=\"1 1 0 | 0 1 0\" border=repeat", "crop row=1 column=1 height=2 width=2", "pad top=1 left=2 right=1 border=mirror-half", "pad bottom=2 border=constant outside=9",
            "move down=1 right=-1 border=wrap", "move down=-1 right=1", "flip direction=left-right", "flip direction=up-down area=\"0 0 2 2\"", "transpose", "tile down=2 right=2 mirrored=yes",
            "tile right=2", "resize scale=2", "resize scale=0.6 by=linear", "resize height=3 grid=corners", "resize width=7 by=linear grid=ends rounding=floor", "resize height=2 width=9 by=linear grid=corners rounding=none", "sine-noise amplitude=20 period-columns=3", "sine-noise amplitude=9.5 cycles-rows=1 cycles-columns=2 phase=30");

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

    /** A program of a step on one image, and another image that it is run on as well. */
    private record Case(String line, Image image, LoopProgram program, Operation right) {
    }

    private List<Case> cases() {
        List<Case> cases = new ArrayList<>();
        for (String line : LINES) {
            Step step = StepLine.parse(line);
            LoopProgram program = step.bind(images.get(0)).program().orElseThrow(() -> new AssertionError(line + " has no program"));
            for (Image image : images) {
                // What depends on the image is worked out by the program: that of the first image is right for the second.
                boolean isOfSize = line.startsWith("crop") || line.startsWith("pad") || line.startsWith("move") || line.startsWith("flip") || line.startsWith("transpose")
                        || line.startsWith("tile");
                Operation right = step.bind(image);
                cases.add(new Case(line, image, isOfSize ? right.program().orElseThrow() : program, right));
            }
        }
        return cases;
    }

    private void assertRight(Case one, Path out, String text) {
        HandSheet written = HandSheet.of(CellTable.read(out), one.right().frame()).withTolerance(Optional.of(LAST_PLACE));
        Check check = Check.of(written, one.right());
        assertThat(check.agree()).as("%s on %s%n%s%n%s", one.line(), one.image(), check.first(), text).isEqualTo(one.right().frame().count());
    }

    @Test
    void javaGivesTheNumbersOfTheStep() throws Exception {
        List<Case> cases = cases();
        List<String> sources = new ArrayList<>();
        for (int n = 0; n < cases.size(); n++) {
            Path of = Files.createDirectories(folder.resolve("c" + n).resolve("p" + n));
            String text = cases.get(n).program().java();
            // All are compiled at once, so each is in a package of its own.
            sources.add(Files.writeString(of.resolve(cases.get(n).program().className() + ".java"), "package p" + n + ";\n" + text).toString());
        }
        Path classes = Files.createDirectories(folder.resolve("classes"));
        List<String> words = new ArrayList<>(List.of("-d", classes.toString()));
        words.addAll(sources);
        java.io.ByteArrayOutputStream problems = new java.io.ByteArrayOutputStream();
        assertThat(ToolProvider.getSystemJavaCompiler().run(null, null, problems, words.toArray(String[]::new))).as(problems.toString()).isZero();
        try (URLClassLoader loader = new URLClassLoader(new URL[] {classes.toUri().toURL()})) {
            for (int n = 0; n < cases.size(); n++) {
                Path in = folder.resolve(n + "-in.csv");
                Path out = folder.resolve(n + "-out.csv");
                ImageFiles.write(in, cases.get(n).image(), false);
                loader.loadClass("p" + n + "." + cases.get(n).program().className()).getMethod("main", String[].class).invoke(null, (Object) new String[] {in.toString(), out.toString()});
                assertRight(cases.get(n), out, cases.get(n).program().java());
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
            ImageFiles.write(folder.resolve(n + "-in.csv"), cases.get(n).image(), false);
            all.append("sys.argv = ['x', r'").append(folder.resolve(n + "-in.csv")).append("', r'").append(folder.resolve(n + "-out.csv")).append("']\n");
            all.append("runpy.run_path(r'").append(program).append("')\n");
        }
        Path runner = Files.writeString(folder.resolve("all.py"), all);
        Process process = new ProcessBuilder("python3", runner.toString()).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(process.waitFor(2, TimeUnit.MINUTES)).isTrue();
        assertThat(process.exitValue()).as(said).isZero();
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

    /** Which steps have no program yet is known, and no other one lacks it. */
    @Test
    void whatHasNoProgramIsKnown() {
        Set<String> without = new TreeSet<>();
        for (StepType type : Catalog.all()) {
            try {
                Step step = type.starter(255);
                if (step.bind(images.get(0)).program().isEmpty()) {
                    without.add(type.name());
                }
            } catch (PixeronException | UnsupportedOperationException notOfAnImage) {
                without.add(type.name());
            }
        }
        assertThat(without).containsExactly(WITHOUT);
    }

    private static final String[] WITHOUT = {"close", "colour", "combine", "fourier", "fourier-inverse", "gaussian-noise", "gray", "join", "match", "notch", "open", "pass", "paste",
        "rank-keep", "salt-pepper", "swap", "turn", "uniform-noise"};

    @Test
    void aStartLeavesTheLoopOpen() {
        String text = StepLine.parse("equalize").bind(images.get(0)).program().orElseThrow().open().python();
        assertThat(text).contains("# here s is worked out from before, i and j", "s = 0", "for i in range(H):").doesNotContain("running");
        assertThat(StepLine.parse("equalize").bind(images.get(0)).program().orElseThrow().open().java()).contains("// here s is worked out");
    }

    /** Where nothing but whole numbers comes up, nothing else is in the program. */
    @Test
    void wholeNumbersStayWhole() {
        LoopProgram program = StepLine.parse("add amount=30").bind(images.get(0)).program().orElseThrow();
        assertThat(program.java()).doesNotContain("Fraction");
        assertThat(program.python()).doesNotContain("Fraction");
    }
}
