package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.exercise.quiz.Quiz;
import pixeron.exercise.quiz.QuizFormat;
import pixeron.step.Progress;

/** Cloze questions, read back by the published rules of their boxes. */
class MoodleQuizTest {

    /** A box ends at the first closing brace; its answers are divided by "~", the findings about one begins at "#". */
    private static final Pattern BOX = Pattern.compile("\\{([0-9]+):NUMERICAL:([^}]*)}");
    private static final Pattern ANSWER = Pattern.compile("(?:=|%([0-9]+)%)([^:~#]+):([^~#]+)(?:#(?<said>.*))?", Pattern.DOTALL);
    /** A "#" of a sign's number ends no answer. */
    private static final Pattern BETWEEN = Pattern.compile("~");

    @TempDir
    private Path folder;

    private record Answer(boolean isCorrect, double value, double tolerance, String said) {
    }

    private record Box(int weight, List<Answer> answers) {
        /** Returns the first answer that a number meets; Moodle allows a little for binary fractions. */
        Answer of(double typed) {
            return answers.stream().filter(answer -> Math.abs(typed - answer.value()) <= answer.tolerance() + 1e-12).findFirst().orElse(null);
        }
    }

    private record Cloze(String name, String html, List<Box> boxes, byte[] picture) {
    }

    private Document document(List<Variant> variants) throws IOException, ParserConfigurationException, SAXException {
        Path file = folder.resolve("quiz.xml");
        Quiz.of(variants, Progress.NONE).write(file, QuizFormat.MOODLE_XML);
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(file.toFile());
    }

    private List<Cloze> read(List<Variant> variants) throws IOException, ParserConfigurationException, SAXException {
        Element quiz = document(variants).getDocumentElement();
        assertThat(quiz.getTagName()).isEqualTo("quiz");
        List<Cloze> all = new ArrayList<>();
        NodeList questions = quiz.getElementsByTagName("question");
        for (int n = 0; n < questions.getLength(); n++) {
            Element question = (Element) questions.item(n);
            assertThat(question.getParentNode()).isSameAs(quiz);
            if (question.getAttribute("type").equals("cloze")) {
                Element text = (Element) question.getElementsByTagName("questiontext").item(0);
                assertThat(text.getAttribute("format")).isEqualTo("html");
                Element file = (Element) text.getElementsByTagName("file").item(0);
                String html = text.getElementsByTagName("text").item(0).getTextContent();
                assertThat(html).contains("src=\"@@PLUGINFILE@@/" + file.getAttribute("name") + "\"");
                all.add(new Cloze(question.getElementsByTagName("name").item(0).getTextContent().strip(), html, boxes(html),
                        Base64.getDecoder().decode(file.getTextContent().strip())));
            }
        }
        return all;
    }

    private static List<Box> boxes(String html) {
        List<Box> boxes = new ArrayList<>();
        Matcher found = BOX.matcher(html);
        while (found.find()) {
            List<Answer> answers = new ArrayList<>();
            for (String text : BETWEEN.split(found.group(2))) {
                Matcher answer = ANSWER.matcher(text);
                assertThat(answer.matches()).as(text).isTrue();
                answers.add(new Answer(answer.group(1) == null, Double.parseDouble(answer.group(2)), Double.parseDouble(answer.group(3)), answer.group("said")));
            }
            boxes.add(new Box(Integer.parseInt(found.group(1)), answers));
        }
        return boxes;
    }

    /** Every exercise of the library: a question for each part, a box for each cell, one correct answer in each, and a sentence for every other. */
    @Test
    void eachPartIsAClozeQuestion() throws IOException, ParserConfigurationException, SAXException {
        for (Topic topic : Library.topics()) {
            Variant variant = new Variants(topic.exercise(Size.SMALL)).variant(1);
            List<Cloze> questions = read(List.of(variant));
            assertThat(questions).as(topic.id()).hasSize(variant.parts().size());
            for (int n = 0; n < questions.size(); n++) {
                Cloze question = questions.get(n);
                assertThat(question.name()).startsWith(variant.code() + ", part " + (n + 1));
                assertThat(question.boxes()).as(topic.id()).hasSize(variant.parts().get(n).count());
                assertThat(ImageIO.read(new ByteArrayInputStream(question.picture()))).isNotNull();
                for (Box box : question.boxes()) {
                    assertThat(box.answers().get(0).isCorrect()).isTrue();
                    assertThat(box.answers().stream().skip(1)).allMatch(answer -> !answer.isCorrect() && answer.said().contains(" is what you get when "));
                    assertThat(box.answers().stream().skip(1)).noneMatch(answer -> box.of(answer.value()).isCorrect());
                }
                wellFormed(question.html());
            }
        }
    }

    private static void wellFormed(String html) throws IOException, ParserConfigurationException, SAXException {
        DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new java.io.StringReader(html)));
    }

    /** 8 points for 8 cells, 10 for 20, 4 for 20: 1, 1/2 and 1/5 a cell, so 10 : 5 : 2. */
    @Test
    void boxesWeighWhatTheirCellsAreWorth() throws IOException, ParserConfigurationException, SAXException {
        List<Cloze> questions = read(new Variants(Exercises.threeParts(5)).first(2));
        assertThat(questions.stream().map(question -> question.boxes().get(0).weight())).containsExactly(10, 10, 5, 5, 2, 2);
        assertThat(questions.get(0).boxes()).hasSize(8);
    }

    /** 1/4 may be off by 0.005, and by 0.0005 where the exercise says three decimals; a whole number by nothing. */
    @Test
    void fractionsHaveTheToleranceOfTheirDecimals() throws IOException, ParserConfigurationException, SAXException {
        List<Box> boxes = read(new Variants(QuizTest.fractions(OptionalInt.empty())).first(1)).get(0).boxes();
        assertThat(boxes.get(0).answers().get(0)).isEqualTo(new Answer(true, 0.25, 0.005, null));
        assertThat(boxes.get(1).answers().get(0)).isEqualTo(new Answer(true, 0, 0, null));
        assertThat(read(new Variants(QuizTest.fractions(OptionalInt.of(3))).first(1)).get(0).boxes().get(0).answers().get(0).tolerance()).isEqualTo(0.0005);
    }

    /** A title and a task that look like markup stay text. */
    @Test
    void textStaysText() throws IOException, ParserConfigurationException, SAXException {
        Exercise plain = QuizTest.fractions(OptionalInt.empty());
        Exercise odd = new Exercise("1/2 & <b>", "Write {1 <script>alert(1)</script> & more ~ #", plain.image(), plain.steps(), plain.choices(), plain.asked(), plain.wish(), 1);
        List<Cloze> questions = read(new Variants(odd).first(1));
        assertThat(questions.get(0).boxes()).hasSize(4);
        assertThat(questions.get(0).html()).contains("&lt;script").doesNotContain("<script");
        Element category = (Element) document(new Variants(odd).first(1)).getElementsByTagName("category").item(0);
        assertThat(category.getTextContent().strip()).isEqualTo("$course$/top/1//2 & <b>/Part 1");
    }
}
