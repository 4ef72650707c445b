package pixeron.cli;

import java.io.PrintWriter;
import java.io.Writer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Does once what commands do, so that the archive of classes that is written at its end has those of all of them. */
public final class Rehearsal {

    private Rehearsal() {
    }

    /**
     * @param folder an empty one, for the example's files
     * @return the exit codes, the example's first
     */
    public static List<Integer> run(Path folder) {
        Path image = folder.resolve("three-bit-sort.pgm");
        Path project = folder.resolve("three-bit-sort.pixeron.json");
        String table = folder.resolve("table.csv").toString();
        List<Integer> codes = new ArrayList<>();
        for (List<String> words : List.of(List.of("demo", "--out", folder.toString()),
                List.of("run", image.toString(), "--step", "invert", "--out", table),
                List.of("run", table, "--step", "box size=3", "--step", "power gamma=0.5", "--out", folder.resolve("rehearsed.png").toString()),
                List.of("facts", table), List.of("facts", image.toString(), "--format", "json"),
                List.of("explain", image.toString(), "--step", "box size=3", "--at", "1,1"),
                List.of("table", image.toString(), "--step", "equalize"), List.of("check", image.toString(), "--step", "invert", "--by-hand", table),
                List.of("check", project.toString()), List.of("compare", image.toString(), image.toString()), List.of("steps"),
                List.of("new", "gradient rows=4 columns=4 maximum=7", "--out", folder.resolve("new.pgm").toString()))) {
            PrintWriter nobody = new PrintWriter(Writer.nullWriter());
            codes.add(Pixeron.run(nobody, nobody, words.toArray(String[]::new)));
        }
        return codes;
    }
}
