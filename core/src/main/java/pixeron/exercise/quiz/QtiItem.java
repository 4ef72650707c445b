package pixeron.exercise.quiz;

import java.io.OutputStream;
import javax.xml.stream.XMLStreamException;
import pixeron.exercise.SlipValues;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/** A question as an item of QTI: the image and the steps, a field for each asked cell, and how answers are scored. */
final class QtiItem {

    private static final String FEEDBACK = "FEEDBACK";
    private static final String SCORE = "SCORE";
    /** Correct cells of a part. */
    private static final String RIGHT = "RIGHT";
    private static final String PICTURES = "../images/";

    private final Question question;
    private final QtiVersion version;
    private final String id;

    QtiItem(Question question, QtiVersion version, String id) {
        this.question = question;
        this.version = version;
        this.id = id;
    }

    void write(OutputStream out) throws XMLStreamException {
        Xml xml = new Xml(out, version::element, version::attribute);
        xml.open("assessmentItem", "xmlns", version.items(), "xsi:schemaLocation", version.itemSchema(), "identifier", id, "title", title(), "adaptive", "false",
                "timeDependent", "false", "xml:lang", "en");
        for (Field field : question.fields().toList()) {
            xml.open("responseDeclaration", "identifier", field.id(), "cardinality", "single", "baseType", "float");
            xml.open("correctResponse");
            xml.element("value", Decimals.table(field.correct()));
            xml.close();
            xml.close();
        }
        outcome(xml, SCORE, "float", "0");
        for (Question.Section part : question.parts()) {
            outcome(xml, RIGHT + part.number(), "integer", "0");
        }
        outcome(xml, "MAXSCORE", "float", Decimals.table(question.points()));
        xml.empty("outcomeDeclaration", "identifier", FEEDBACK, "cardinality", "multiple", "baseType", "identifier");
        xml.open("itemBody");
        new Page(xml, QtiItem::box, PICTURES).write(question);
        feedback(xml);
        xml.close();
        xml.open("responseProcessing");
        for (Question.Section part : question.parts()) {
            for (Field field : part.fields()) {
                process(xml, part.number(), field);
            }
        }
        score(xml);
        xml.close();
        xml.close();
        xml.end();
    }

    private String title() {
        String whole = question.variant().exercise().title() + " " + question.variant().code();
        return question.parts().size() == question.variant().exercise().asked().size() ? whole : whole + ", part " + question.parts().get(0).number();
    }

    private static void outcome(Xml xml, String id, String type, String value) throws XMLStreamException {
        xml.open("outcomeDeclaration", "identifier", id, "cardinality", "single", "baseType", type);
        xml.open("defaultValue");
        xml.element("value", value);
        xml.close();
        xml.close();
    }

    private static void box(Xml xml, Field field) throws XMLStreamException {
        xml.empty("textEntryInteraction", "responseIdentifier", field.id(), "expectedLength", "6");
    }

    private void feedback(Xml xml) throws XMLStreamException {
        for (Field field : question.fields().toList()) {
            for (int k = 0; k < field.slips().size(); k++) {
                xml.open("feedbackBlock", "outcomeIdentifier", FEEDBACK, "showHide", "show", "identifier", feedback(field, k));
                if (version.hasContentBody()) {
                    xml.open("contentBody");
                }
                xml.element("p", Question.feedback(field, field.slips().get(k)));
                if (version.hasContentBody()) {
                    xml.close();
                }
                xml.close();
            }
        }
    }

    private static String feedback(Field field, int slip) {
        return field.id() + "S" + (slip + 1);
    }

    private static void process(Xml xml, int part, Field field) throws XMLStreamException {
        xml.open("responseCondition");
        xml.open("responseIf");
        equal(xml, field.id(), field.correct(), field.tolerance());
        xml.open("setOutcomeValue", "identifier", RIGHT + part);
        xml.open("sum");
        xml.empty("variable", "identifier", RIGHT + part);
        xml.element("baseValue", "1", "baseType", "integer");
        xml.close();
        xml.close();
        xml.close();
        for (int k = 0; k < field.slips().size(); k++) {
            SlipValues.SlipValue slip = field.slips().get(k);
            xml.open("responseElseIf");
            equal(xml, field.id(), slip.value(), field.slipTolerance(slip));
            xml.open("setOutcomeValue", "identifier", FEEDBACK);
            xml.open("multiple");
            xml.empty("variable", "identifier", FEEDBACK);
            xml.element("baseValue", feedback(field, k), "baseType", "identifier");
            xml.close();
            xml.close();
            xml.close();
        }
        xml.close();
    }

    /** Points × correct cells ÷ cells, part by part. Cells are counted first: some players round what they add up. */
    private void score(Xml xml) throws XMLStreamException {
        xml.open("setOutcomeValue", "identifier", SCORE);
        xml.open("sum");
        for (Question.Section part : question.parts()) {
            xml.open("divide");
            xml.open("product");
            xml.element("baseValue", Decimals.table(part.part().asked().points()), "baseType", "float");
            xml.empty("variable", "identifier", RIGHT + part.number());
            xml.close();
            xml.element("baseValue", String.valueOf(Math.max(1, part.fields().size())), "baseType", "float");
            xml.close();
        }
        xml.close();
        xml.close();
    }

    private static void equal(Xml xml, String id, Value value, Rational tolerance) throws XMLStreamException {
        if (tolerance.signum() == 0) {
            xml.open("equal", "toleranceMode", "exact");
        } else {
            String near = Decimals.print(tolerance);
            xml.open("equal", "toleranceMode", "absolute", "tolerance", near + " " + near, "includeLowerBound", "true", "includeUpperBound", "true");
        }
        xml.empty("variable", "identifier", id);
        xml.element("baseValue", Decimals.table(value), "baseType", "float");
        xml.close();
    }
}
