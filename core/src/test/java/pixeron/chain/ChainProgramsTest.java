package pixeron.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.format.ImageFiles;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.loop.ChainProgram;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** The programs of whole chains, run as they are: they write the last result, in gray and in color, with other images and their steps. */
class ChainProgramsTest {

    private static final List<List<String>> GRAY = List.of(List.of("add amount=30", "equalize", "threshold-otsu"), List.of(),
            List.of("multiply factor=1/3 rounding=none", "multiply factor=3", "box size=3 border=mirror-half"), List.of("crop row=0 column=0 height=2 width=3", "invert"),
            List.of("periodic-noise amplitude=20 period-rows=3", "fourier", "frequency-filter keep=low radius=1.5", "fourier-inverse", "median size=3"),
            List.of("invert", "merge red=step:0 green=7 blue=self", "posterize cuts=\"90\" values=\"0 255\""),
            List.of("invert", "add amount=1", "combine with=step:1 by=mean"), List.of("uniform-noise from=-9 to=9 seed=3", "resize scale=2 by=linear", "clamp low=20 high=200"),
            List.of("combine with=pull by=absolute-difference", "combine with=pull:1 by=sum", "combine with=pull:0 by=maximum"));
    private static final List<List<String>> COLOR = List.of(List.of("invert"), List.of("add amount=\"40 -20 9\"", "multiply factor=0 channels=green", "reorder order=\"blue red green\""),
            List.of("gray rule=luma-601", "threshold at=99"), List.of("box size=3 border=replicate channels=\"red blue\"", "gray rule=mean area=\"0 0 2 2\""),
            List.of("set-pixels at=\"1 2 0xD22828\"", "line from=\"0 0\" to=\"3 3\" value=0x000000", "flip direction=left-right"));

    @TempDir
    private Path folder;

    private static Chain chain(Result input, List<String> lines) {
        Random random = new Random(5);
        Map<String, Chain> others = new LinkedHashMap<>();
        others.put("pull", with(Chain.of(Image.ofLevels(4, 5, 255, n -> random.nextInt(256))), List.of("divide divisor=2", "invert")));
        return with(Chain.of(input).withOthers(others), lines);
    }

    private static Chain with(Chain chain, List<String> lines) {
        Chain all = chain;
        for (String line : lines) {
            all = all.withStep(all.size(), StepLine.parse(line));
        }
        return all;
    }

    private static List<Chain> chains() {
        Random random = new Random(9);
        Image[] levels = new Image[5];
        for (int n = 0; n < levels.length; n++) {
            levels[n] = Image.ofLevels(4, 5, 255, k -> random.nextInt(256));
        }
        List<Chain> all = new ArrayList<>();
        GRAY.forEach(lines -> all.add(chain(levels[0], lines)));
        COLOR.forEach(lines -> all.add(chain(new ColorImage(levels[1], levels[2], levels[3], all.size() % 2 == 0 ? Optional.of(levels[4]) : Optional.empty()), lines)));
        return all;
    }

    private static String table(Result result) {
        if (result instanceof Image image) {
            return IntStream.range(0, image.rows()).mapToObj(i -> IntStream.range(0, image.columns()).mapToObj(j -> String.valueOf(image.level(i * image.columns() + j)))
                    .collect(Collectors.joining(","))).collect(Collectors.joining("\n"));
        }
        ColorImage color = (ColorImage) result;
        return IntStream.range(0, color.rows()).mapToObj(i -> IntStream.range(0, color.columns()).mapToObj(j -> PackedPixel.find(color,
                color.frame().pixel(i * color.columns() + j)).orElseThrow().hexadecimal()).collect(Collectors.joining(","))).collect(Collectors.joining("\n"));
    }

    private static ChainProgram program(Chain chain, int number) {
        return ChainPrograms.of(chain, "Chain" + number, chain.size(), Progress.NONE);
    }

    /** The files behind a program: those that it reads, and the one that it writes. */
    private List<String> files(Chain chain, ChainProgram program, int number) throws IOException {
        List<String> files = new ArrayList<>();
        for (ChainProgram.Source source : program.sources()) {
            Path file = folder.resolve(number + "-" + source.file());
            Result input = source.file().equals("in.csv") ? chain.input() : chain.others().get(source.file().replace(".csv", "")).input();
            if (input instanceof Image image) {
                ImageFiles.write(file, image, false);
            } else {
                Files.writeString(file, table(input));
            }
            files.add(file.toString());
        }
        files.add(folder.resolve(number + "-out.csv").toString());
        return files;
    }

    private void assertRight(Chain chain, List<String> files, String text) throws IOException {
        String written = Files.readString(Path.of(files.get(files.size() - 1))).strip().replace("\r", "");
        assertThat(written).as("%s%n%s", chain.links(), text).isEqualTo(table(chain.last(Progress.NONE).required()));
    }

    @Test
    void javaWritesTheLastResult() throws Exception {
        List<Chain> chains = chains();
        List<Path> sources = new ArrayList<>();
        for (int n = 0; n < chains.size(); n++) {
            Path file = folder.resolve("j" + n).resolve("Chain" + n + ".java");
            Files.createDirectories(file.getParent());
            Files.writeString(file, program(chains.get(n), n).java());
            sources.add(file);
        }
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        for (int n = 0; n < chains.size(); n++) {
            String[] words = {"-d", folder.resolve("out" + n).toString(), sources.get(n).toString()};
            assertThat(ToolProvider.getSystemJavaCompiler().run(null, said, said, words)).as(said.toString(StandardCharsets.UTF_8)).isZero();
            try (URLClassLoader loader = new URLClassLoader(new URL[] {folder.resolve("out" + n).toUri().toURL()})) {
                List<String> files = files(chains.get(n), program(chains.get(n), n), n);
                loader.loadClass("Chain" + n).getMethod("main", String[].class).invoke(null, (Object) files.toArray(String[]::new));
                assertRight(chains.get(n), files, program(chains.get(n), n).java());
            }
        }
    }

    @Test
    void pythonWritesTheLastResult() throws Exception {
        assumeThat(hasPython()).isTrue();
        List<Chain> chains = chains();
        StringBuilder all = new StringBuilder("import runpy, sys\n");
        for (int n = 0; n < chains.size(); n++) {
            Path file = Files.writeString(folder.resolve("c" + n + ".py"), program(chains.get(n), n).python());
            all.append("sys.argv = ['x', r'").append(String.join("', r'", files(chains.get(n), program(chains.get(n), n), n))).append("']\nrunpy.run_path(r'").append(file)
                    .append("')\n");
        }
        Path runner = Files.writeString(folder.resolve("all.py"), all);
        Process process = new ProcessBuilder("python3", runner.toString()).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        for (int n = 0; n < chains.size(); n++) {
            assertRight(chains.get(n), files(chains.get(n), program(chains.get(n), n), n), program(chains.get(n), n).python());
        }
    }

    private static boolean hasPython() {
        try {
            return new ProcessBuilder("python3", "--version").start().waitFor() == 0;
        } catch (IOException | InterruptedException none) {
            return false;
        }
    }

    @Test
    void aChainEndsWhereItIsWanted() {
        Chain chain = chain(Image.ofLevels(2, 2, 255, n -> n), List.of("add amount=1", "fourier", "fourier-inverse"));
        assertThat(ChainPrograms.of(chain, "short", 1, Progress.NONE).calls()).hasSize(1);
        assertThatThrownBy(() -> ChainPrograms.of(chain, "short", 2, Progress.NONE)).hasMessageContaining("is a spectrum");
        assertThatThrownBy(() -> ChainPrograms.of(chain, "short", 4, Progress.NONE)).hasMessage("There is no step 4. The chain has 3.");
    }

    /** Channels for which the same is done share a function; a channel that stays needs none; a step that is off is omitted. */
    @Test
    void nothingIsWrittenTwice() {
        Image level = Image.ofLevels(2, 2, 255, n -> n);
        Chain chain = chain(new ColorImage(level, level, level, Optional.of(level)), List.of("invert", "add amount=3", "multiply factor=2 channels=red")).switched(1, false);
        ChainProgram program = ChainPrograms.of(chain, "own", 3, Progress.NONE);
        assertThat(program.calls()).hasSize(4);
        assertThat(program.result()).containsExactly("red_3", "green_1", "blue_1", "alpha");
        assertThat(program.java().split("static long\\[\\]\\[\\] make_")).hasSize(3);
    }
}
