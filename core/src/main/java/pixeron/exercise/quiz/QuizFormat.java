package pixeron.exercise.quiz;

import java.io.IOException;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javax.xml.stream.XMLStreamException;
import pixeron.PixeronException;
import pixeron.Worded;

/**
 * The formats in which an exercise is given to quiz systems. In each of them an item shows the image and the steps, has a box for each asked cell, and
 * answers the value of a known slip with a sentence.
 */
public enum QuizFormat implements Worded {
    QTI_3_0("qti-3.0", "QTI 3.0", "quiz.zip", new QtiPackage(QtiVersion.V3_0)::bytes),
    QTI_2_1("qti-2.1", "QTI 2.1", "quiz-qti-2.1.zip", new QtiPackage(QtiVersion.V2_1)::bytes),
    MOODLE_XML("moodle-xml", "Moodle XML", "quiz-moodle.xml", MoodleQuiz::bytes);

    /** Makes the bytes of a file. */
    private interface Maker {
        byte[] bytes(List<Question> questions) throws IOException, XMLStreamException;
    }

    private static final String ALL = "all";

    private final String word;
    private final String title;
    private final String fileName;
    private final Maker maker;

    QuizFormat(String word, String title, String fileName, Maker maker) {
        this.word = word;
        this.title = title;
        this.fileName = fileName;
        this.maker = maker;
    }

    /**
     * Returns the formats that a word asks for.
     *
     * @param word of one of them, or "all"
     * @throws PixeronException if there is no such format; names those there are
     */
    public static Set<QuizFormat> named(String word) {
        return word.equals(ALL) ? EnumSet.allOf(QuizFormat.class) : EnumSet.of(Worded.find(values(), word).orElseThrow(() -> PixeronException.of(
                "\"%s\" is not a valid quiz format. Use %s or %s.", word, Worded.list(values()), ALL)));
    }

    @Override
    public String word() {
        return word;
    }

    /** Returns its name for people. */
    public String title() {
        return title;
    }

    /** Returns the name of its file. */
    public String fileName() {
        return fileName;
    }

    /** Returns the bytes of its file. */
    byte[] bytes(List<Question> questions) {
        try {
            return maker.bytes(questions);
        } catch (IOException | XMLStreamException trouble) {
            throw PixeronException.because(trouble, "Cannot create the quiz: %s.", trouble.getMessage());
        }
    }
}
