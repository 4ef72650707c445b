package pixeron.format.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.Image;

/** What real programs print is read as they meant it. */
class PrintedByProgramsTest {

    private static final Image PROOF = Image.ofLevels(3, 4, 255, n -> new int[] {52, 55, 61, 59, 0, 255, 7, 100, 12, 130, 9, 201}[n]);
    private static final String MARK = "=====";

    private static final String PYTHON = """
            import json, pprint
            a = [[52, 55, 61, 59], [0, 255, 7, 100], [12, 130, 9, 201]]
            texts = [repr(a), repr([tuple(r) for r in a]), repr(tuple(tuple(r) for r in a)), json.dumps(a), json.dumps(a, indent=2), json.dumps({"image": a}),
                pprint.pformat(a, width=30), "\\n".join(map(str, a)), "\\n".join(str(tuple(r)) for r in a),
                "\\n".join(" ".join(map(str, r)) for r in a), "\\n".join("".join("%6d" % v for v in r) for r in a), "\\n".join("".join("%10.4f" % v for v in r) for r in a),
                "\\n".join(" ".join("%.3e" % v for v in r) for r in a), "\\n".join(", ".join(hex(v) for v in r) for r in a), "\\n".join(";".join(map(str, r)) for r in a)]
            try:
                import numpy as np
                n = np.array(a, dtype=np.uint8)
                texts += [str(n), repr(n), repr(n.astype(float)), str(n.astype(float)), repr(n.tolist()), repr(n.astype(np.int64))]
            except ImportError:
                pass
            print("\\n=====\\n".join(texts))
            """;

    private static final String JAVA = """
            import java.util.*;
            public class Prints {
                public static void main(String... words) {
                    int[][] a = {{52, 55, 61, 59}, {0, 255, 7, 100}, {12, 130, 9, 201}};
                    System.out.println(Arrays.deepToString(a));
                    System.out.println("=====");
                    for (int[] r : a) { System.out.println(Arrays.toString(r)); }
                    System.out.println("=====");
                    for (int[] r : a) { for (int v : r) { System.out.printf("%5d", v); } System.out.println(); }
                    System.out.println("=====");
                    for (int[] r : a) { for (int v : r) { System.out.print(v + "\\t"); } System.out.println(); }
                    System.out.println("=====");
                    for (int[] r : a) { for (int v : r) { System.out.print((double) v + " "); } System.out.println(); }
                    System.out.println("=====");
                    List<List<Integer>> l = new ArrayList<>();
                    for (int[] r : a) { l.add(Arrays.stream(r).boxed().toList()); }
                    System.out.println(l);
                }
            }
            """;

    @TempDir
    private Path folder;

    private String printed(String... command) throws IOException, InterruptedException {
        Process process;
        try {
            process = new ProcessBuilder(command).directory(folder.toFile()).redirectErrorStream(true).start();
        } catch (IOException notThere) {
            assumeTrue(false, command[0] + " is not installed");
            throw notThere;
        }
        String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor(2, TimeUnit.MINUTES)).isTrue();
        assertThat(process.exitValue()).as(text).isZero();
        return text;
    }

    private static void assertRead(String all, int least) {
        List<String> texts = List.of(all.split("\n" + MARK + "\n"));
        assertThat(texts).hasSizeGreaterThanOrEqualTo(least);
        for (String text : texts) {
            assertThat(ImageFiles.parse(text, ReadOptions.DEFAULT).image()).as(text).isEqualTo(PROOF);
        }
    }

    @Test
    void python() throws IOException, InterruptedException {
        Files.writeString(folder.resolve("prints.py"), PYTHON);
        assertRead(printed("python3", "prints.py"), 15);
    }

    @Test
    void java() throws IOException, InterruptedException {
        Files.writeString(folder.resolve("Prints.java"), JAVA);
        assertRead(printed(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "Prints.java"), 6);
    }
}
