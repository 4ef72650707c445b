package pixeron.exercise.quiz;

import java.util.List;
import javax.xml.stream.XMLStreamException;

/** Writes what is read of a question as elements of HTML; a format says how boxes and pictures are written. */
final class Page {

    /** Writes what depends on the format. */
    interface Boxes {
        void box(Xml xml, Field field) throws XMLStreamException;
    }

    private final Xml xml;
    private final Boxes boxes;
    private final String pictures;

    /** @param pictures where they are, up to their name */
    Page(Xml xml, Boxes boxes, String pictures) {
        this.xml = xml;
        this.boxes = boxes;
        this.pictures = pictures;
    }

    void write(Question question) throws XMLStreamException {
        for (String paragraph : question.task()) {
            xml.element("p", paragraph);
        }
        xml.open("p");
        xml.empty("img", "src", pictures + question.picture().name(), "alt", question.picture().words());
        xml.close();
        for (Question.Given given : question.given()) {
            xml.element("p", given.title() + ":");
            grid(given.grid());
        }
        for (Question.Section part : question.parts()) {
            xml.element("p", part.title());
            grid(part.grid());
        }
    }

    private void grid(Grid grid) throws XMLStreamException {
        xml.open("table");
        xml.open("thead");
        row(grid.head());
        xml.close();
        xml.open("tbody");
        for (List<Grid.Cell> row : grid.rows()) {
            row(row);
        }
        xml.close();
        xml.close();
    }

    private void row(List<Grid.Cell> cells) throws XMLStreamException {
        xml.open("tr");
        for (Grid.Cell cell : cells) {
            if (cell instanceof Grid.Box box) {
                xml.open("td");
                boxes.box(xml, box.field());
                xml.close();
            } else {
                Grid.Text text = (Grid.Text) cell;
                xml.element(text.isHead() ? "th" : "td", text.text());
            }
        }
        xml.close();
    }
}
