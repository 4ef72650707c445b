package pixeron.exercise.quiz;

import java.io.OutputStream;
import javax.xml.XMLConstants;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes elements with their attributes, each on a line of its own. */
final class Xml {

    private static final String PREFIX = "xml:";

    private final XMLStreamWriter out;

    Xml(OutputStream to) throws XMLStreamException {
        out = XMLOutputFactory.newInstance().createXMLStreamWriter(to, "UTF-8");
        out.writeStartDocument("UTF-8", "1.0");
        out.writeCharacters("\n");
    }

    /** @param attributes names and values in turns */
    void open(String name, String... attributes) throws XMLStreamException {
        out.writeStartElement(name);
        write(attributes);
    }

    private void write(String... attributes) throws XMLStreamException {
        for (int n = 0; n < attributes.length; n += 2) {
            if (attributes[n].equals("xmlns")) {
                out.writeDefaultNamespace(attributes[n + 1]);
            } else if (attributes[n].startsWith(PREFIX)) {
                out.writeAttribute("xml", XMLConstants.XML_NS_URI, attributes[n].substring(PREFIX.length()), attributes[n + 1]);
            } else {
                out.writeAttribute(attributes[n], attributes[n + 1]);
            }
        }
    }

    void close() throws XMLStreamException {
        out.writeEndElement();
        out.writeCharacters("\n");
    }

    void empty(String name, String... attributes) throws XMLStreamException {
        out.writeEmptyElement(name);
        write(attributes);
        out.writeCharacters("\n");
    }

    /** Writes an element with nothing but text in it. */
    void element(String name, String text, String... attributes) throws XMLStreamException {
        open(name, attributes);
        out.writeCharacters(text);
        close();
    }

    void end() throws XMLStreamException {
        out.writeEndDocument();
        out.close();
    }
}
