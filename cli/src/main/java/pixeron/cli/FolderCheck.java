package pixeron.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.slip.SlipTitles;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.ShapeSlip;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.format.CellTable;
import pixeron.format.ResultTable;
import pixeron.format.SafeFile;
import pixeron.image.Frame;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Explained;
import pixeron.step.KnownValues;
import pixeron.step.Operation;

/** All tables by hand of a folder against one step: a row for each file. */
final class FolderCheck {

    private static final List<String> HEAD = List.of("file", "filled", "agree", "differ", "first slip", "first slip title", "score", "problem");
    private static final String ENDINGS = ".*\\.(csv|tsv|txt|xlsx|ods|png|pgm|tif|tiff|bmp|gif)";

    /**
     * What all the files answer.
     *
     * @param right the right values
     * @param finder looks for slips in each of them
     * @param ofShape the findings about a table of another shape
     */
    record Subject(Explained right, SlipFinder finder, Function<Frame, Optional<Explanation>> ofShape) {

        static Subject of(Operation operation) {
            return new Subject(new KnownValues(operation), new SlipFinder(operation), shape -> ShapeSlip.of(shape, operation));
        }
    }

    /**
     * Where results go.
     *
     * @param file the CSV
     * @param isReplacing whether results of before are replaced where they lie among the answers
     */
    record Target(Path file, boolean isReplacing) {
    }

    private FolderCheck() {
    }

    /**
     * Returns the exit code.
     *
     * @param folder its tables, spreadsheets and pictures are read, in the order of their names
     * @param target the CSV that is written; a file that cannot be read has its reason in the last column
     * @param answers reads one of them
     */
    static int write(Subject subject, Path folder, Target target, Function<Path, AnswerChoice.Written> answers, PrintWriter console) {
        Path out = target.file();
        if (out == null) {
            throw PixeronException.of("%s is a folder. Add --out results.csv, which gets one row per file.",
                    folder.getFileName());
        }
        requireFree(target, folder);
        List<Path> files = files(folder, out);
        List<List<String>> rows = new ArrayList<>(List.of(HEAD));
        boolean isAllRight = true;
        for (Path file : files) {
            String name = file.getFileName().toString();
            try {
                AnswerChoice.Written written = answers.apply(file);
                Check check = Check.of(written.sheet(), subject.right());
                CheckCommand.requireUnderstood(check, file);
                StringBuilder note = new StringBuilder();
                Findings found = Patience.find(progress -> subject.finder().find(check, progress), note::append);
                List<Explanation> slips = written.otherShape().flatMap(subject.ofShape()).map(found::with)
                        .orElse(found).slips();
                int differ = check.differing().size();
                isAllRight &= differ == 0 && written.otherShape().isEmpty();
                rows.add(List.of(name, String.valueOf(check.filled()), String.valueOf(check.agree()), String.valueOf(differ),
                        slips.isEmpty() ? "" : String.join(" + ", slips.get(0).ids()), slips.isEmpty() ? "" : SlipTitles.of(slips.get(0).ids()), score(check, subject.right().frame()), (CheckText.shape(written.otherShape(),
                        subject.right().frame()) + note).strip()));
            } catch (RuntimeException | Error broken) {
                // Whatever is wrong with one table ends nothing else.
                isAllRight = false;
                rows.add(List.of(name, "", "", "", "", "", "", PixeronException.words(broken)));
            }
        }
        ResultTable.write(out, rows);
        console.println(files.size() + " tables checked, results in " + out);
        return isAllRight ? 0 : Pixeron.DIFFERS;
    }

    /** What lies among the answers is one of them, or what was written of them before. */
    private static void requireFree(Target target, Path folder) {
        Path out = target.file();
        if (Files.isRegularFile(out) && SafeFile.isSame(out.toAbsolutePath().getParent(), folder)) {
            AmongAnswers.requireReplaceable(out, isResults(out), target.isReplacing());
        }
    }

    private static boolean isResults(Path file) {
        try {
            List<List<String>> rows = CellTable.read(file).rows();
            return !rows.isEmpty() && rows.get(0).equals(HEAD);
        } catch (PixeronException noTable) {
            return false;
        }
    }

    /** The part of all cells that agrees; a blank cell does not. */
    private static String score(Check check, Frame frame) {
        int cells = frame.count();
        return Decimals.table(Rational.of(Math.round(1000.0 * check.agree() / cells), 1000));
    }

    private static List<Path> files(Path folder, Path out) {
        try (Stream<Path> all = Files.list(folder)) {
            List<Path> files = all.filter(file -> file.getFileName().toString().toLowerCase(java.util.Locale.ROOT)
                    .matches(ENDINGS)).filter(file -> !file.toAbsolutePath().equals(out.toAbsolutePath())).sorted().toList();
            if (files.isEmpty()) {
                throw PixeronException.of("%s contains no table (.csv, .tsv, .txt, .xlsx, .ods) and no picture.", folder.getFileName());
            }
            return files;
        } catch (IOException unreadable) {
            throw PixeronException.because(unreadable, "Cannot read %s: %s.", folder, unreadable.getMessage());
        }
    }
}
