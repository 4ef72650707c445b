package pixeron.exercise.quiz;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLStreamException;

/**
 * Variants as a package of QTI, an open standard: a manifest, the images, and the items: one for each variant in version 3.0, one for each part of
 * each variant in version 2.1.
 */
final class QtiPackage {

    private static final String MANIFEST = "imsmanifest.xml";

    private final QtiVersion version;

    QtiPackage(QtiVersion version) {
        this.version = version;
    }

    /** The item of a question, with its name. */
    private record Item(String id, Question question) {
        String file() {
            return "items/" + id.substring(id.indexOf('-') + 1) + ".xml";
        }

        String picture() {
            return "images/" + question.picture().name();
        }
    }

    /** Writes into an entry. */
    private interface Content {
        void write(OutputStream out) throws IOException, XMLStreamException;
    }

    /** Returns the bytes of the package; the same for the same variants, whenever it is made. */
    byte[] bytes(List<Question> variants) throws IOException, XMLStreamException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            List<Item> items = new ArrayList<>();
            Map<String, byte[]> pictures = new LinkedHashMap<>();
            for (Item item : variants.stream().flatMap(variant -> items(variant).stream()).toList()) {
                items.add(item);
                pictures.put(item.picture(), item.question().picture().png());
                entry(zip, item.file(), new QtiItem(item.question(), version, item.id())::write);
            }
            for (Map.Entry<String, byte[]> picture : pictures.entrySet()) {
                entry(zip, picture.getKey(), out -> out.write(picture.getValue()));
            }
            entry(zip, MANIFEST, out -> manifest(variants.get(0).variant().code().exercise(), items, out));
        }
        return bytes.toByteArray();
    }

    private List<Item> items(Question question) {
        String id = "ITEM-" + question.variant().code();
        return version == QtiVersion.V3_0 ? List.of(new Item(id, question))
                : question.apart().stream().map(part -> new Item(id + "-" + part.parts().get(0).number(), part)).toList();
    }

    private static void entry(ZipOutputStream zip, String name, Content content) throws IOException, XMLStreamException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(0);
        zip.putNextEntry(entry);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        content.write(bytes);
        zip.write(bytes.toByteArray());
        zip.closeEntry();
    }

    private void manifest(String exercise, List<Item> items, OutputStream out) throws XMLStreamException {
        Xml xml = new Xml(out);
        xml.open("manifest", "xmlns", version.content(), "xsi:schemaLocation", version.contentSchema(), "identifier", "PIXERON-" + exercise);
        xml.open("metadata");
        xml.element("schema", version.title());
        xml.element("schemaversion", version.version());
        xml.close();
        xml.empty("organizations");
        xml.open("resources");
        for (Item item : items) {
            xml.open("resource", "identifier", item.id(), "type", version.type(), "href", item.file());
            xml.empty("file", "href", item.file());
            xml.empty("file", "href", item.picture());
            xml.close();
        }
        xml.close();
        xml.close();
        xml.end();
    }
}
