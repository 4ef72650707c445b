package pixeron.exercise.quiz;

import java.io.ByteArrayOutputStream;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamException;
import pixeron.exercise.Part;
import pixeron.exercise.SlipValues;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * Variants as a Moodle XML file: a cloze question for each part of each variant, its boxes in a table. The questions of a part are in a category of
 * their own, so that a quiz can choose one of them at random for each student. A decimal comma is accepted there beside the point.
 */
final class MoodleQuiz {

    /** Weights stay readable up to this; beyond it all boxes of an exercise weigh the same. */
    private static final BigInteger MOST_WEIGHT = BigInteger.valueOf(100);

    /** Signs that mean something within a box. */
    private static final String SIGNS = "{}~#\\";

    private MoodleQuiz() {
    }

    /** Returns the bytes of the file. */
    static byte[] bytes(List<Question> variants) throws XMLStreamException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        List<Question.Section> parts = variants.get(0).parts();
        Map<Integer, String> weights = weights(parts);
        Xml xml = new Xml(out);
        xml.open("quiz");
        for (int part = 0; part < parts.size(); part++) {
            category(xml, variants.get(0), parts.get(part).number());
            for (Question variant : variants) {
                question(xml, variant.apart().get(part), weights);
            }
        }
        xml.close();
        xml.end();
        return out.toByteArray();
    }

    /** Returns a whole weight for the boxes of each part, by its number, in proportion to the points of one of them. */
    private static Map<Integer, String> weights(List<Question.Section> sections) {
        List<Part> parts = sections.stream().map(Question.Section::part).toList();
        List<Rational> worth = parts.stream().map(part -> part.asked().points().dividedBy(Rational.of(Math.max(1, part.count())))).toList();
        BigInteger denominator = worth.stream().map(Rational::denominator).reduce(BigInteger.ONE, (a, b) -> a.multiply(b).divide(a.gcd(b)));
        List<BigInteger> whole = worth.stream().map(one -> one.times(Rational.of(denominator, BigInteger.ONE)).numerator()).toList();
        BigInteger common = whole.stream().reduce(BigInteger.ZERO, BigInteger::gcd).max(BigInteger.ONE);
        boolean isReadable = whole.stream().allMatch(one -> one.divide(common).compareTo(MOST_WEIGHT) <= 0);
        Map<Integer, String> weights = new HashMap<>();
        for (int n = 0; n < parts.size(); n++) {
            // A box cannot weigh nothing.
            weights.put(n + 1, isReadable ? whole.get(n).divide(common).max(BigInteger.ONE).toString() : "1");
        }
        return weights;
    }

    private static void text(Xml xml, String name, String text, String... attributes) throws XMLStreamException {
        xml.open(name, attributes);
        xml.element("text", text);
        xml.close();
    }

    private static void category(Xml xml, Question first, int part) throws XMLStreamException {
        xml.open("question", "type", "category");
        String title = first.variant().exercise().title().replace("/", "//");
        text(xml, "category", "$course$/top/" + title + "/Part " + part);
        xml.close();
    }

    private static void question(Xml xml, Question question, Map<Integer, String> weights) throws XMLStreamException {
        Question.Section part = question.parts().get(0);
        Picture picture = question.picture();
        xml.open("question", "type", "cloze");
        text(xml, "name", question.variant().code() + ", part " + part.number() + ": " + part.part().title());
        xml.open("questiontext", "format", "html");
        xml.element("text", html(question, weights.get(part.number())));
        xml.element("file", Base64.getEncoder().encodeToString(picture.png()), "name", picture.name(), "path", "/", "encoding", "base64");
        xml.close();
        text(xml, "generalfeedback", "", "format", "html");
        xml.element("penalty", "0.3333333");
        xml.element("hidden", "0");
        xml.element("idnumber", question.variant().code() + "-" + part.number());
        xml.close();
    }

    private static String html(Question question, String weight) throws XMLStreamException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Xml xml = Xml.fragment(out);
        xml.open("div");
        new Page(xml, (page, field) -> box(page, field, weight), "@@PLUGINFILE@@/").write(question);
        xml.close();
        xml.end();
        return out.toString(StandardCharsets.UTF_8);
    }

    /** Writes a box such as {@code {1:NUMERICAL:=5:0~%0%4:0#Row 0, column 1: 4 is what you get when …}}. */
    private static void box(Xml xml, Field field, String weight) throws XMLStreamException {
        xml.text("{" + weight + ":NUMERICAL:=" + Decimals.table(field.correct()) + ":" + Decimals.print(field.tolerance()));
        for (SlipValues.SlipValue slip : field.slips()) {
            xml.text("~%0%" + Decimals.table(slip.value()) + ":" + Decimals.print(field.slipTolerance(slip)) + "#");
            guarded(xml, Question.feedback(field, slip));
        }
        xml.text("}");
    }

    /** Writes text in which no sign ends the box. */
    private static void guarded(Xml xml, String text) throws XMLStreamException {
        for (int sign : text.codePoints().toArray()) {
            if (SIGNS.indexOf(sign) < 0) {
                xml.text(Character.toString(sign));
            } else {
                xml.byNumber(sign);
            }
        }
    }
}
