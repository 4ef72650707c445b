package pixeron.fuzz;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import pixeron.PixeronException;
import pixeron.byhand.HandValue;
import pixeron.byhand.answer.AnswerFile;
import pixeron.exercise.answer.AnswerReader;
import pixeron.exercise.answer.Handed;
import pixeron.exercise.file.ExerciseFile;
import pixeron.format.CellTable;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.formula.Parser;
import pixeron.image.Frame;
import pixeron.make.Makers;
import pixeron.project.ProjectFile;
import pixeron.step.catalog.StepLine;

/** What reads something that a stranger wrote. The rule is one: it is read, or refused in one line. */
public enum Reader {
    PICTURE(ofFile("", file -> ImageFiles.read(file, ReadOptions.DEFAULT))),
    TABLE(ofText(text -> ImageFiles.parse(text, ReadOptions.DEFAULT.asOpen()))),
    SPREADSHEET(ofFile(".xlsx", CellTable::read)),
    VALUES_BY_HAND(ofFile(".csv", file -> AnswerFile.read(file, new Frame(4, 4, 255)))),
    PROJECT(ofFile(ProjectFile.ENDING, ProjectFile::read)),
    EXERCISE(ofFile(ExerciseFile.ENDING, ExerciseFile::read)),
    ANSWER(ofFile(".csv", file -> AnswerReader.read(Handed.of(file)))),
    STEP_LINE(ofText(StepLine::parse)),
    NEW_IMAGE(ofText(line -> Makers.gray(line, 10_000))),
    FORMULA(ofText(text -> Parser.parse(text, Set.of("r", "t", "i", "j", "M", "H", "W")))),
    VALUE_BY_HAND(ofText(HandValue::parse));

    private static final int MOST_CHARACTERS = 300;

    private final Consumer<byte[]> reads;

    Reader(Consumer<byte[]> reads) {
        this.reads = reads;
    }

    private static Consumer<byte[]> ofText(Consumer<String> reads) {
        return bytes -> reads.accept(new String(bytes, StandardCharsets.UTF_8));
    }

    private static Consumer<byte[]> ofFile(String ending, Consumer<Path> reads) {
        return bytes -> {
            try {
                Path file = Files.createTempFile("pixeron-fuzz", ending);
                try {
                    Files.write(file, bytes);
                    reads.accept(file);
                } finally {
                    Files.delete(file);
                }
            } catch (IOException trouble) {
                throw new UncheckedIOException(trouble);
            }
        };
    }

    /** Returns the word for it, and the name of the folder of its seeds. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * Reads something.
     *
     * @return whether it was read and not refused
     * @throws IllegalStateException if the refusal is not one line that people can read
     */
    public boolean read(byte[] bytes) {
        try {
            reads.accept(bytes);
            return true;
        } catch (PixeronException refusal) {
            String line = refusal.getMessage();
            if (line.isBlank() || line.length() > MOST_CHARACTERS || line.chars().anyMatch(Character::isISOControl)
                    || line.contains("Exception") && !new String(bytes, StandardCharsets.ISO_8859_1).contains("Exception")) {
                throw new IllegalStateException("This is not a line for people: " + line, refusal);
            }
            return false;
        }
    }
}
