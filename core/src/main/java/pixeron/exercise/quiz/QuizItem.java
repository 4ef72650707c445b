package pixeron.exercise.quiz;

import java.io.OutputStream;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.xml.stream.XMLStreamException;
import pixeron.chain.Stage;
import pixeron.exercise.Asked;
import pixeron.exercise.Part;
import pixeron.exercise.SlipValues;
import pixeron.exercise.Variant;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Step;

/** One variant as an item: the image and the steps, a field for each asked cell, and how answers are scored. */
final class QuizItem {

    private static final String NAMESPACE = "http://www.imsglobal.org/xsd/imsqtiasi_v3p0";
    private static final String FEEDBACK = "FEEDBACK";
    private static final String SCORE = "SCORE";
    /** Cells of a part that are right. */
    private static final String RIGHT = "RIGHT";
    private static final int MOST_SLIPS = 4;
    /** A value that is no whole number is typed with two decimals at least. */
    private static final String NEAR = "0.005";

    /**
     * A field.
     *
     * @param id of its response
     * @param part which part it belongs to, from 0
     * @param right its value
     * @param slips what is said where one of their values is typed
     */
    private record Field(String id, int part, Value right, List<SlipValues.SlipValue> slips, String place) {
    }

    private final Variant variant;
    private final List<Part> parts;
    private final List<Field> fields = new ArrayList<>();

    QuizItem(Variant variant) {
        this.variant = variant;
        this.parts = variant.parts();
        for (int n = 0; n < parts.size(); n++) {
            add(n, parts.get(n));
        }
    }

    private void add(int number, Part part) {
        if (part instanceof Part.OfCells cells) {
            SlipValues slips = new SlipValues(part.operation());
            for (Pixel pixel : cells.pixels()) {
                fields.add(new Field(id(number, pixel.row(), pixel.column()), number, part.operation().value(pixel), slips.at(pixel, MOST_SLIPS), pixel.toString()));
            }
        } else {
            Part.OfTable table = (Part.OfTable) part;
            for (int row : table.rows()) {
                for (String column : table.columns()) {
                    table.table().value(row, column).ifPresent(value -> fields.add(new Field(id(number, row, table.columns().indexOf(column)), number, value,
                            List.of(), "")));
                }
            }
        }
    }

    private static String id(int part, int row, int column) {
        return "P" + (part + 1) + "R" + row + "C" + column;
    }

    void write(OutputStream out) throws XMLStreamException {
        Xml xml = new Xml(out);
        xml.open("qti-assessment-item", "xmlns", NAMESPACE, "identifier", "ITEM-" + variant.code(),
                "title", variant.exercise().title() + " " + variant.code(), "adaptive", "false", "time-dependent", "false", "xml:lang", "en");
        for (Field field : fields) {
            xml.open("qti-response-declaration", "identifier", field.id(), "cardinality", "single", "base-type", "float");
            xml.open("qti-correct-response");
            xml.element("qti-value", Decimals.table(field.right()));
            xml.close();
            xml.close();
        }
        outcome(xml, SCORE, "single", "float", "0");
        for (int n = 0; n < parts.size(); n++) {
            outcome(xml, RIGHT + (n + 1), "single", "integer", "0");
        }
        outcome(xml, "MAXSCORE", "single", "float", Decimals.table(variant.exercise().points()));
        xml.empty("qti-outcome-declaration", "identifier", FEEDBACK, "cardinality", "multiple", "base-type", "identifier");
        xml.open("qti-item-body");
        body(xml);
        xml.close();
        xml.open("qti-response-processing");
        for (Field field : fields) {
            process(xml, field);
        }
        score(xml);
        xml.close();
        xml.close();
        xml.end();
    }

    private static void outcome(Xml xml, String id, String cardinality, String type, String value) throws XMLStreamException {
        xml.open("qti-outcome-declaration", "identifier", id, "cardinality", cardinality, "base-type", type);
        xml.open("qti-default-value");
        xml.element("qti-value", value);
        xml.close();
        xml.close();
    }

    private void body(Xml xml) throws XMLStreamException {
        if (!variant.task().isBlank()) {
            xml.element("p", variant.task());
        }
        for (Stage stage : variant.chain().stages()) {
            Step step = stage.link().step();
            xml.element("p", "Step " + (stage.position() + 1) + ": " + Variant.words(step) + "  (" + step.line() + ")");
        }
        for (Result.Face face : variant.chain().input().faces()) {
            xml.element("p", variant.title(face) + ":");
            given(xml, face.image());
        }
        for (int n = 0; n < parts.size(); n++) {
            Part part = parts.get(n);
            xml.element("p", (n + 1) + ". " + part.title() + " (" + Asked.worth(part.asked().points()) + ")");
            if (part instanceof Part.OfCells cells) {
                fields(xml, n, cells);
            } else {
                fields(xml, n, (Part.OfTable) part);
            }
        }
        for (Field field : fields) {
            for (int k = 0; k < field.slips().size(); k++) {
                SlipValues.SlipValue slip = field.slips().get(k);
                xml.open("qti-feedback-block", "outcome-identifier", FEEDBACK, "show-hide", "show", "identifier", feedback(field, k));
                xml.open("qti-content-body");
                xml.element("p", capital(field.place()) + ": " + Decimals.table(slip.value()) + " is what you get when " + slip.words() + ".");
                xml.close();
                xml.close();
            }
        }
    }

    private static String capital(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    private static void head(Xml xml, int columns) throws XMLStreamException {
        xml.open("tr");
        xml.element("th", "");
        for (int j = 0; j < columns; j++) {
            xml.element("th", String.valueOf(j));
        }
        xml.close();
    }

    private static void given(Xml xml, Image image) throws XMLStreamException {
        xml.open("table");
        head(xml, image.columns());
        for (int i = 0; i < image.rows(); i++) {
            xml.open("tr");
            xml.element("th", String.valueOf(i));
            for (int j = 0; j < image.columns(); j++) {
                xml.element("td", Decimals.cell(image.value(new Pixel(i, j))));
            }
            xml.close();
        }
        xml.close();
    }

    private static void entry(Xml xml, String id) throws XMLStreamException {
        xml.open("td");
        xml.empty("qti-text-entry-interaction", "response-identifier", id, "expected-length", "6");
        xml.close();
    }

    private static void fields(Xml xml, int number, Part.OfCells part) throws XMLStreamException {
        Set<Pixel> asked = new HashSet<>(part.pixels());
        xml.open("table");
        head(xml, part.operation().frame().columns());
        for (int i = 0; i < part.operation().frame().rows(); i++) {
            xml.open("tr");
            xml.element("th", String.valueOf(i));
            for (int j = 0; j < part.operation().frame().columns(); j++) {
                if (asked.contains(new Pixel(i, j))) {
                    entry(xml, id(number, i, j));
                } else {
                    xml.element("td", "·");
                }
            }
            xml.close();
        }
        xml.close();
    }

    private static void fields(Xml xml, int number, Part.OfTable part) throws XMLStreamException {
        int keys = part.table().keys();
        xml.open("table");
        xml.open("tr");
        for (String column : part.table().columns().subList(0, keys)) {
            xml.element("th", part.table().kind().column(column));
        }
        for (String column : part.columns()) {
            xml.element("th", part.table().kind().column(column));
        }
        xml.close();
        for (int row : part.rows()) {
            xml.open("tr");
            for (int k = 0; k < keys; k++) {
                xml.element("th", Decimals.table(part.table().rows().get(row).get(k)));
            }
            for (int c = 0; c < part.columns().size(); c++) {
                if (part.table().value(row, part.columns().get(c)).isPresent()) {
                    entry(xml, id(number, row, c));
                } else {
                    xml.element("td", "·");
                }
            }
            xml.close();
        }
        xml.close();
    }

    private static String feedback(Field field, int slip) {
        return field.id() + "S" + (slip + 1);
    }

    private static void process(Xml xml, Field field) throws XMLStreamException {
        xml.open("qti-response-condition");
        xml.open("qti-response-if");
        equal(xml, field.id(), field.right());
        xml.open("qti-set-outcome-value", "identifier", RIGHT + (field.part() + 1));
        xml.open("qti-sum");
        xml.empty("qti-variable", "identifier", RIGHT + (field.part() + 1));
        xml.element("qti-base-value", "1", "base-type", "integer");
        xml.close();
        xml.close();
        xml.close();
        for (int k = 0; k < field.slips().size(); k++) {
            xml.open("qti-response-else-if");
            equal(xml, field.id(), field.slips().get(k).value());
            xml.open("qti-set-outcome-value", "identifier", FEEDBACK);
            xml.open("qti-multiple");
            xml.empty("qti-variable", "identifier", FEEDBACK);
            xml.element("qti-base-value", feedback(field, k), "base-type", "identifier");
            xml.close();
            xml.close();
            xml.close();
        }
        xml.close();
    }

    /** Points × right ÷ cells, part by part. Cells are counted first: some players round what they add up. */
    private void score(Xml xml) throws XMLStreamException {
        xml.open("qti-set-outcome-value", "identifier", SCORE);
        xml.open("qti-sum");
        for (int n = 0; n < parts.size(); n++) {
            xml.open("qti-divide");
            xml.open("qti-product");
            xml.element("qti-base-value", Decimals.table(parts.get(n).asked().points()), "base-type", "float");
            xml.empty("qti-variable", "identifier", RIGHT + (n + 1));
            xml.close();
            xml.element("qti-base-value", String.valueOf(Math.max(1, parts.get(n).count())), "base-type", "float");
            xml.close();
        }
        xml.close();
        xml.close();
    }

    private static void equal(Xml xml, String id, Value value) throws XMLStreamException {
        if (value.isWhole()) {
            xml.open("qti-equal", "tolerance-mode", "exact");
        } else {
            xml.open("qti-equal", "tolerance-mode", "absolute", "tolerance", NEAR + " " + NEAR);
        }
        xml.empty("qti-variable", "identifier", id);
        xml.element("qti-base-value", Decimals.table(value), "base-type", "float");
        xml.close();
    }
}
