package pixeron.exercise.answer;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
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

    private static final String ENDINGS = ".*(\\.(csv|tsv|txt|xlsx|ods|png|pgm|pbm|tif|tiff|bmp|gif)|\\.pixeron\\.json)";

    private AnswerReader() {
    }

    /**
     * @param paths files, and folders whose files are taken with those of the folders in them
     * @return the files that can be answers, in the order of their names in each folder
     * @throws PixeronException if a path is not there or a folder cannot be read
     */
    public static List<Path> files(List<Path> paths) {
        List<Path> files = new ArrayList<>();
        for (Path path : paths) {
            if (!Files.exists(path)) {
                throw PixeronException.of("There is no file or folder %s.", path);
            } else if (!Files.isDirectory(path)) {
                files.add(path);
                continue;
            }
            try (Stream<Path> all = Files.walk(path)) {
                all.filter(file -> Files.isRegularFile(file) && name(file).toLowerCase(Locale.ROOT).matches(ENDINGS) && !name(file).startsWith("."))
                        .sorted().forEach(files::add);
            } catch (IOException unreadable) {
                throw PixeronException.because(unreadable, "%s cannot be read: %s.", path, unreadable.getMessage());
            }
        }
        return files;
    }

    private static String name(Path file) {
        return String.valueOf(file.getFileName());
    }

    /**
     * @param file one that may hold several answers
     * @return them
     * @throws PixeronException if it cannot be read
     */
    public static List<Received> read(Path file) {
        String name = name(file);
        List<Code> ofName = Code.all(name);
        String person = person(name);
        if (name.endsWith(ProjectFile.ENDING)) {
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
            throw problem.getMessage().startsWith(name) ? problem : PixeronException.because(problem, "%s: %s", name, problem.getMessage());
        }
        if (all.isEmpty()) {
            throw PixeronException.of("%s: It holds no answer: nothing is written in it, or none of its sheets has a code.", name);
        }
        return all;
    }

    private static List<Code> joined(List<Code> first, List<Code> then) {
        return first.isEmpty() ? then : first;
    }

    /** A name of a file or a sheet without its code and its ending; a code alone is no name. */
    private static String person(String name) {
        return Code.without(name.replaceAll("(\\.pixeron)?\\.[A-Za-z0-9]{2,5}$", "")).strip();
    }
}
