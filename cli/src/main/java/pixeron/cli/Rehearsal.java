package pixeron.cli;

import java.io.PrintWriter;
import java.io.Writer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import pixeron.make.Makers;
import pixeron.project.ProjectFile;

/** Does once what commands do, so that the archive of classes that is written at its end has those of all of them. */
public final class Rehearsal {

    private Rehearsal() {
    }

    /**
     * Returns the exit codes, the example's first.
     *
     * @param folder an empty one, for the example's files
     */
    public static List<Integer> run(Path folder) {
        Path image = folder.resolve("three-bit-sort.pgm");
        Path project = folder.resolve("three-bit-sort.pixeron.json");
        String table = folder.resolve("table.csv").toString();
        List<Integer> codes = new ArrayList<>(List.of(done("demo", "--out", folder.toString())));
        String step = ProjectFile.read(project).project().chain().links().get(0).step().line();
        for (List<String> words : List.of(List.of("run", image.toString(), "--step", step, "--out", table),
                List.of("run", table, "--step", step, "--out", folder.resolve("rehearsed.png").toString()),
                List.of("facts", table), List.of("facts", image.toString(), "--format", "json"), List.of("explain", image.toString(), "--step", step, "--at", "1,1"),
                List.of("table", image.toString(), "--step", step), List.of("check", image.toString(), "--step", step, "--by-hand", table),
                List.of("check", project.toString()), List.of("compare", image.toString(), image.toString()), List.of("steps"),
                List.of("new", Makers.all().get(0).name() + " rows=4 columns=4", "--out", folder.resolve("new.pgm").toString()))) {
            codes.add(done(words.toArray(String[]::new)));
        }
        return codes;
    }

    private static int done(String... words) {
        PrintWriter nobody = new PrintWriter(Writer.nullWriter());
        return Pixeron.run(nobody, nobody, words);
    }
}
