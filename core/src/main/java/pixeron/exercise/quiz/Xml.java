package pixeron.exercise.quiz;

import java.io.OutputStream;
import java.util.function.UnaryOperator;
import javax.xml.XMLConstants;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes elements with their attributes, each on a line of its own. */
final class Xml {

    private static final String OF_XML = "xml:";
    private static final String OF_SCHEMA = "xsi:";

    private final XMLStreamWriter out;
    private final UnaryOperator<String> elements;
    private final UnaryOperator<String> attributes;

    Xml(OutputStream to) throws XMLStreamException {
        this(to, UnaryOperator.identity(), UnaryOperator.identity());
    }

    /**
     * Begins a document.
     *
     * @param elements what an element is called in it
     * @param attributes what an attribute is called in it
     */
    Xml(OutputStream to, UnaryOperator<String> elements, UnaryOperator<String> attributes) throws XMLStreamException {
        this(XMLOutputFactory.newInstance().createXMLStreamWriter(to, "UTF-8"), elements, attributes);
        out.writeStartDocument("UTF-8", "1.0");
        out.writeCharacters("\n");
    }

    private Xml(XMLStreamWriter out, UnaryOperator<String> elements, UnaryOperator<String> attributes) {
        this.out = out;
        this.elements = elements;
        this.attributes = attributes;
    }

    /** Returns a writer of elements without a document around them. */
    static Xml fragment(OutputStream to) throws XMLStreamException {
        return new Xml(XMLOutputFactory.newInstance().createXMLStreamWriter(to, "UTF-8"), UnaryOperator.identity(), UnaryOperator.identity());
    }

    /** @param attributes names and values in turns */
    void open(String name, String... attributes) throws XMLStreamException {
        out.writeStartElement(elements.apply(name));
        write(attributes);
    }

    private void write(String... pairs) throws XMLStreamException {
        for (int n = 0; n < pairs.length; n += 2) {
            if (pairs[n].equals("xmlns")) {
                out.writeDefaultNamespace(pairs[n + 1]);
            } else if (pairs[n].startsWith(OF_XML)) {
                out.writeAttribute("xml", XMLConstants.XML_NS_URI, pairs[n].substring(OF_XML.length()), pairs[n + 1]);
            } else if (pairs[n].startsWith(OF_SCHEMA)) {
                out.writeNamespace("xsi", XMLConstants.W3C_XML_SCHEMA_INSTANCE_NS_URI);
                out.writeAttribute("xsi", XMLConstants.W3C_XML_SCHEMA_INSTANCE_NS_URI, pairs[n].substring(OF_SCHEMA.length()), pairs[n + 1]);
            } else {
                out.writeAttribute(attributes.apply(pairs[n]), pairs[n + 1]);
            }
        }
    }

    void close() throws XMLStreamException {
        out.writeEndElement();
        out.writeCharacters("\n");
    }

    void empty(String name, String... attributes) throws XMLStreamException {
        out.writeEmptyElement(elements.apply(name));
        write(attributes);
        out.writeCharacters("\n");
    }

    /** Writes an element with nothing but text in it. */
    void element(String name, String text, String... attributes) throws XMLStreamException {
        open(name, attributes);
        out.writeCharacters(text);
        close();
    }

    void text(String text) throws XMLStreamException {
        out.writeCharacters(text);
    }

    /** Writes a sign by its number, so that nobody takes it for a part of a language within the text. */
    void byNumber(int sign) throws XMLStreamException {
        out.writeEntityRef("#" + sign);
    }

    void end() throws XMLStreamException {
        out.writeEndDocument();
        out.close();
    }
}
