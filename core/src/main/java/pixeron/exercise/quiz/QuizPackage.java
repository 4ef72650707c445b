package pixeron.exercise.quiz;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLStreamException;
import pixeron.PixeronException;
import pixeron.exercise.Variant;
import pixeron.format.SafeFile;
import pixeron.step.Progress;

/**
 * The variants of an exercise as a quiz package: one item a variant, a field for each asked cell, its points, and what is said where the value
 * of a known slip is typed.
 */
public final class QuizPackage {

    private static final String MANIFEST = "imsmanifest.xml";
    private static final String CONTENT = "http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1";

    private QuizPackage() {
    }

    /**
     * @param file a ZIP with a manifest and an item for each variant
     * @throws PixeronException if it cannot be written
     */
    public static void write(Path file, List<Variant> variants, Progress progress) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            entry(zip, MANIFEST, out -> manifest(variants, out));
            for (int n = 0; n < variants.size(); n++) {
                progress.report((double) n / variants.size());
                QuizItem item = new QuizItem(variants.get(n));
                entry(zip, name(variants.get(n)), item::write);
            }
        } catch (IOException | XMLStreamException trouble) {
            throw PixeronException.because(trouble, "The quiz package cannot be made: %s.", trouble.getMessage());
        }
        SafeFile.write(file, out -> out.write(bytes.toByteArray()));
    }

    /** What stands in an entry. */
    private interface Content {
        void write(OutputStream out) throws IOException, XMLStreamException;
    }

    private static void entry(ZipOutputStream zip, String name, Content content) throws IOException, XMLStreamException {
        ZipEntry entry = new ZipEntry(name);
        // The same package for the same exercise, whenever it is made.
        entry.setTime(0);
        zip.putNextEntry(entry);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        content.write(bytes);
        zip.write(bytes.toByteArray());
        zip.closeEntry();
    }

    private static String name(Variant variant) {
        return "items/" + variant.code() + ".xml";
    }

    private static void manifest(List<Variant> variants, OutputStream out) throws XMLStreamException {
        Xml xml = new Xml(out);
        xml.open("manifest", "xmlns", CONTENT, "identifier", "PIXERON-" + variants.get(0).code().exercise());
        xml.open("metadata");
        xml.element("schema", "QTI Package");
        xml.element("schemaversion", "3.0.0");
        xml.close();
        xml.empty("organizations");
        xml.open("resources");
        for (Variant variant : variants) {
            xml.open("resource", "identifier", "ITEM-" + variant.code(), "type", "imsqti_item_xmlv3p0", "href", name(variant));
            xml.empty("file", "href", name(variant));
            xml.close();
        }
        xml.close();
        xml.close();
        xml.end();
    }

    /** @return an item as text */
    static String item(Variant variant) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            new QuizItem(variant).write(bytes);
        } catch (XMLStreamException impossible) {
            throw new IllegalStateException(impossible);
        }
        return bytes.toString(StandardCharsets.UTF_8);
    }
}
