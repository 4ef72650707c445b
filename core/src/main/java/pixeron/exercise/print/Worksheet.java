package pixeron.exercise.print;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.exercise.Variant;
import pixeron.exercise.answer.AnswerBook;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.quiz.Quiz;
import pixeron.exercise.quiz.QuizFormat;
import pixeron.image.Pixel;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.report.pdf.Paper;
import pixeron.step.Progress;

/**
 * Everything that is given out for an exercise, in one folder. For each variant, under its code: a page (PDF), the table to fill in (CSV and
 * XLSX), and a project with the results covered. Once for all: {@code sheets.pdf} with all pages, {@code key.pdf}, and a file for each quiz format.
 */
public final class Worksheet {

    private static final String SHEET = "answers";

    private static final String SHEETS = "sheets.pdf";
    private static final String KEY = "key.pdf";
    private static final String PAGE = ".pdf";
    private static final String TABLE = ".csv";
    private static final String BOOK = ".xlsx";
    /** What there is of each variant. */
    private static final List<String> ENDINGS = List.of(PAGE, TABLE, BOOK, ProjectFile.ENDING);

    private Worksheet() {
    }

    /**
     * Returns the files that were written.
     *
     * @param folder is made where there is none; files of the same name are replaced
     * @param variants of one exercise, at least one
     * @param formats of quizzes, any number of them
     * @throws PixeronException if one cannot be written
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public static List<Path> write(Path folder, List<Variant> variants, Set<QuizFormat> formats, Paper paper, Progress progress) {
        make(folder);
        List<Path> files = Collections.synchronizedList(new ArrayList<>());
        AtomicInteger done = new AtomicInteger();
        variants.parallelStream().forEach(variant -> {
            progress.report((double) done.getAndIncrement() / variants.size() / 2);
            files.addAll(write(folder, variant, paper));
        });
        Path sheets = folder.resolve(SHEETS);
        SheetPages.write(sheets, variants, paper, part -> progress.isWanted(0.5 + part / 5));
        Path key = folder.resolve(KEY);
        KeyPages.write(key, variants, paper, part -> progress.isWanted(0.7 + part / 5));
        files.addAll(List.of(sheets, key));
        Quiz quiz = Quiz.of(formats.isEmpty() ? List.of() : variants, part -> progress.isWanted(0.9 + part / 10));
        for (QuizFormat format : formats) {
            Path file = folder.resolve(format.fileName());
            quiz.write(file, format);
            files.add(file);
        }
        return files.stream().sorted().toList();
    }

    /**
     * What was given out may have been filled in since.
     *
     * @param folder that sheets are to be written into
     * @throws PixeronException if one of the files that would be written is there already; names it
     */
    public static void requireFree(Path folder, List<Variant> variants, Set<QuizFormat> formats) {
        Stream<String> ofVariants = variants.stream().flatMap(variant -> ENDINGS.stream().map(ending -> variant.code() + ending));
        Stream<String> ofAll = Stream.concat(Stream.of(SHEETS, KEY), formats.stream().map(QuizFormat::fileName));
        Stream.concat(ofVariants, ofAll).map(folder::resolve).filter(Files::exists).findFirst().ifPresent(file -> {
            throw PixeronException.of("%s already exists and may contain answers.", file);
        });
    }

    private static void make(Path folder) {
        if (Files.exists(folder) && !Files.isDirectory(folder)) {
            throw PixeronException.of("%s is a file. Choose a folder.", folder);
        }
        try {
            Path parent = folder.toAbsolutePath().getParent();
            if (parent != null && !Files.isDirectory(parent)) {
                throw PixeronException.of("There is no folder %s for \"%s\".", parent, folder.getFileName());
            }
            Files.createDirectories(folder);
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot create the folder %s.", folder);
        }
    }

    private static List<Path> write(Path folder, Variant variant, Paper paper) {
        String code = variant.code().toString();
        Path page = folder.resolve(code + PAGE);
        SheetPages.write(page, List.of(variant), paper, Progress.NONE);
        List<List<String>> rows = AnswerTable.blank(variant);
        Path table = folder.resolve(code + TABLE);
        AnswerBook.writeText(table, rows);
        Path book = folder.resolve(code + BOOK);
        AnswerBook.writeWorkbook(book, List.of(new AnswerBook.Sheet(SHEET, rows)));
        Path project = folder.resolve(code + ProjectFile.ENDING);
        ProjectFile.write(project, student(variant));
        return List.of(page, table, book, project);
    }

    /** Returns a variant as a student opens it: at the first step in question, results covered, hints counted from 0. */
    public static SavedProject student(Variant variant) {
        int first = variant.exercise().asked().stream().mapToInt(asked -> asked.position()).min().orElse(0);
        return new SavedProject(variant.project(), new View(first, new Pixel(0, 0), List.of(), Optional.empty(), 0));
    }
}
