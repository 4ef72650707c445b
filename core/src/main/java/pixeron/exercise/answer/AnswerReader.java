package pixeron.exercise.answer;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import pixeron.PixeronException;
import pixeron.byhand.answer.AnswerFile;
import pixeron.exercise.Code;
import pixeron.format.NamedCells;
import pixeron.project.Project;
import pixeron.project.ProjectFile;

/**
 * Reads answers of every kind that comes in: filled-in tables, spreadsheets with a sheet for each, pictures, projects. Where a file says
 * no code or name, its own name may.
 */
public final class AnswerReader {

    /** More than any answer that is calculated by hand, or by a program for an exercise. */
    private static final long MOST_BYTES = 16L << 20;
    /** A text is read as a whole, and each of its cells takes many times its room. */
    private static final long MOST_TEXT = 4L << 20;
    private static final String TEXT = "(?si).*\\.(csv|tsv|txt)";

    private AnswerReader() {
    }

    private static String name(Path file) {
        return String.valueOf(file.getFileName());
    }

    /**
     * Returns them.
     *
     * @param handed a file that may hold several answers
     * @throws PixeronException if it cannot be read
     */
    public static List<Received> read(Handed handed) {
        Path file = handed.file();
        String name = handed.source();
        requireReadable(handed);
        // What the file does not say, the folder in which it lies may.
        List<Code> ofName = joined(Code.all(name(file)), Code.all(name));
        String person = handed.person();
        if (name(file).endsWith(ProjectFile.ENDING)) {
            Project project = ProjectFile.read(file).project().atMain();
            return List.of(new Received(name, person, joined(Code.all(project.name()), ofName), new Received.OfProject(project)));
        }
        List<Received> all = new ArrayList<>();
        try {
            List<NamedCells> sheets = AnswerFile.sheets(file).stream().filter(sheet -> !sheet.cells().trimmed().rows().isEmpty()).toList();
            for (NamedCells sheet : sheets) {
                List<Code> codes = joined(AnswerTable.codes(sheet.cells()), Code.all(sheet.name()));
                if (sheets.size() > 1 && codes.isEmpty() && !AnswerTable.matches(sheet.cells())) {
                    // Notes and sums on sheets of their own are no answers.
                    continue;
                }
                String said = AnswerTable.name(sheet.cells()).orElse(sheets.size() > 1 ? person(sheet.name()) : person);
                all.add(new Received(sheets.size() > 1 ? name + ", " + sheet.name() : name, said.isBlank() ? person : said,
                        codes.isEmpty() && sheets.size() == 1 ? ofName : codes, new Received.OfCells(sheet.cells())));
            }
        } catch (PixeronException problem) {
            throw problem.getMessage().startsWith(name(file)) ? problem : PixeronException.because(problem, "%s: %s", name, problem.getMessage());
        }
        if (all.isEmpty()) {
            throw PixeronException.of("%s: No answer found. The table is empty, or none of its sheets has a code.", name);
        }
        return all;
    }

    private static void requireReadable(Handed handed) {
        if (!handed.problem().isEmpty()) {
            throw PixeronException.of("%s: %s", handed.source(), handed.problem());
        }
        try {
            long most = name(handed.file()).matches(TEXT) ? MOST_TEXT : MOST_BYTES;
            if (Files.isRegularFile(handed.file()) && Files.size(handed.file()) > most) {
                throw PixeronException.of("%s: The file is larger than %d MiB, the limit for answers.", handed.source(), most >> 20);
            }
        } catch (IOException unreadable) {
            throw PixeronException.because(unreadable, "%s: Cannot read the file: %s.", handed.source(), unreadable.getMessage());
        }
    }

    private static List<Code> joined(List<Code> first, List<Code> then) {
        return first.isEmpty() ? then : first;
    }

    /** A name of a file or a sheet without its code and its ending; a code alone is no name. */
    static String person(String name) {
        return Code.without(name.replaceAll("(\\.pixeron)?\\.[A-Za-z0-9]{2,5}$", "")).strip();
    }
}
