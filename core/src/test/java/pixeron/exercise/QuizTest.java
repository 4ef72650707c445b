package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.transform.dom.DOMSource;
import javax.xml.validation.Schema;
import javax.xml.validation.SchemaFactory;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.exercise.quiz.Quiz;
import pixeron.exercise.quiz.QuizFormat;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.Progress;

/** Packages of QTI, read back by a small player of the standard. */
class QuizTest {

    @TempDir
    private Path folder;

    private static Schema schema(String name) throws SAXException {
        return SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI).newSchema(QuizTest.class.getResource("/quiz/" + name + "-part.xsd"));
    }

    private record Package(Map<String, Element> items, Map<String, byte[]> pictures) {
    }

    /** Reads a package; everything in it is as the schema of its version wants it. */
    private Package read(QuizFormat format, List<Variant> variants) throws IOException, ParserConfigurationException, SAXException {
        return read(format, Quiz.of(variants, Progress.NONE));
    }

    private Package read(QuizFormat format, Quiz quiz) throws IOException, ParserConfigurationException, SAXException {
        Path file = folder.resolve(format.fileName());
        quiz.write(file, format);
        String version = format.word().substring("qti-".length());
        Schema itemSchema = schema("qti-" + version);
        Package read = new Package(new HashMap<>(), new HashMap<>());
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        try (ZipFile zip = new ZipFile(file.toFile())) {
            Document manifest = factory.newDocumentBuilder().parse(zip.getInputStream(zip.getEntry("imsmanifest.xml")));
            schema("manifest-" + version).newValidator().validate(new DOMSource(manifest));
            NodeList resources = manifest.getElementsByTagNameNS("*", "resource");
            for (int n = 0; n < resources.getLength(); n++) {
                Element resource = (Element) resources.item(n);
                assertThat(resource.getAttribute("type")).isEqualTo(format == QuizFormat.QTI_3_0 ? "imsqti_item_xmlv3p0" : "imsqti_item_xmlv2p1");
                Document item = factory.newDocumentBuilder().parse(zip.getInputStream(zip.getEntry(resource.getAttribute("href"))));
                itemSchema.newValidator().validate(new DOMSource(item));
                assertThat(item.getDocumentElement().getAttribute("identifier")).isEqualTo(resource.getAttribute("identifier"));
                read.items().put(resource.getAttribute("identifier"), item.getDocumentElement());
                String picture = ((Element) resource.getElementsByTagNameNS("*", "file").item(1)).getAttribute("href");
                Element shown = (Element) item.getElementsByTagNameNS("*", "img").item(0);
                assertThat(shown.getAttribute("src")).isEqualTo("../" + picture);
                read.pictures().put(resource.getAttribute("identifier"), zip.getInputStream(zip.getEntry(picture)).readAllBytes());
            }
        }
        return read;
    }

    /** Every exercise of the library: a box for each cell; correct answers get all points and no feedback, none get none. */
    @Test
    void rightAnswersGetFullPoints() throws IOException, ParserConfigurationException, SAXException {
        for (Topic topic : Library.topics()) {
            Exercise exercise = topic.exercise(Size.SMALL);
            List<Variant> variants = new Variants(exercise).first(1);
            Quiz quiz = Quiz.of(variants, Progress.NONE);
            rightAnswersGetFullPoints(topic, variants, QuizFormat.QTI_2_1, quiz);
            rightAnswersGetFullPoints(topic, variants, QuizFormat.QTI_3_0, quiz);
        }
    }

    private void rightAnswersGetFullPoints(Topic topic, List<Variant> variants, QuizFormat format, Quiz quiz)
            throws IOException, ParserConfigurationException, SAXException {
        Exercise exercise = variants.get(0).exercise();
        Map<String, Element> items = read(format, quiz).items();
        assertThat(items).hasSize(format == QuizFormat.QTI_3_0 ? 1 : exercise.asked().size());
        int boxes = 0;
        double points = 0;
        for (Element item : items.values()) {
            QtiPlayer player = new QtiPlayer(item);
            boxes += player.all("textEntryInteraction").size();
            assertThat(player.all("responseDeclaration")).hasSameSizeAs(player.all("textEntryInteraction"));
            assertThat(player.play()).isZero();
            player.answerRightly();
            points += player.play();
            assertThat(player.shown()).isEmpty();
        }
        assertThat(boxes).as(topic.id()).isEqualTo(variants.stream().flatMap(variant -> variant.parts().stream()).mapToInt(Part::count).sum());
        assertThat(points).as(topic.id()).isCloseTo(variants.size() * exercise.points().asDouble(), Offset.offset(1e-9));
    }

    /** M = 7, N = 20: the first cell of the equalized proof that has a fraction, with the fraction dropped. */
    @Test
    void theValueOfASlipGetsItsFeedback() throws IOException, ParserConfigurationException, SAXException {
        Variant variant = new Variants(Exercises.threeParts(5)).variant(1);
        Part.OfCells equalized = (Part.OfCells) variant.parts().get(1);
        Pixel pixel = equalized.pixels().stream().filter(one -> Math.floor(equalized.operation().exact(one).asDouble()) < equalized.operation().value(one).asDouble())
                .findFirst().orElseThrow();
        double floor = Math.floor(equalized.operation().exact(pixel).asDouble());
        String said = "Row " + pixel.row() + ", column " + pixel.column() + ": " + (int) floor + " is what you get when the fraction is dropped instead of rounded.";
        QtiPlayer whole = new QtiPlayer(read(QuizFormat.QTI_3_0, List.of(variant)).items().get("ITEM-" + variant.code()));
        whole.answerRightly();
        whole.answer("P2R" + pixel.row() + "C" + pixel.column(), floor);
        assertThat(whole.play()).isCloseTo(22 - 10 / 20.0, Offset.offset(1e-9));
        assertThat(whole.shown()).isEqualTo(said);
        QtiPlayer part = new QtiPlayer(read(QuizFormat.QTI_2_1, List.of(variant)).items().get("ITEM-" + variant.code() + "-2"));
        part.answerRightly();
        part.answer("P2R" + pixel.row() + "C" + pixel.column(), floor);
        assertThat(part.play()).isCloseTo(10 - 10 / 20.0, Offset.offset(1e-9));
        assertThat(part.shown()).isEqualTo(said);
    }

    /** A count of one row is written in another: the first slip of a table is named, with its row. */
    @Test
    void cellsOfATableGetFeedbackToo() throws IOException, ParserConfigurationException, SAXException {
        Variant variant = new Variants(Exercises.threeParts(5)).variant(1);
        Part.OfTable column = (Part.OfTable) variant.parts().get(0);
        int row = column.rows().stream().filter(one -> one > 0 && column.table().value(one, "s").orElseThrow().compareValue(
                column.table().value(one - 1, "s").orElseThrow()) != 0).findFirst().orElseThrow();
        QtiPlayer player = new QtiPlayer(read(QuizFormat.QTI_2_1, List.of(variant)).items().get("ITEM-" + variant.code() + "-1"));
        player.answerRightly();
        player.answer("P1R" + row + "C0", column.table().value(row - 1, "s").orElseThrow().asDouble());
        player.play();
        assertThat(player.shown()).startsWith(capital(column.table().rowName(row))).contains(" is what you get when ");
    }

    private static String capital(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    /** The image 1 0 | 0 0, divided by 4 and not rounded: 1/4 and three zeros. */
    static Exercise fractions(OptionalInt decimals) {
        Image image = Image.ofLevels(2, 2, 9, n -> new int[] {1, 0, 0, 0}[n]);
        return new Exercise("Quarters", "Divide by 4.", new GivenImage.Samples(image), List.of("multiply factor=1/4 rounding=none"), List.of(),
                List.of(Exercises.all(1, 4)), new Wish(false, decimals, 0), 1);
    }

    /** 1/4 with two decimals may be off by 0.005, bounds included; with three decimals by 0.0005. The whole zeros beside it are exact. */
    @ParameterizedTest
    @EnumSource(names = {"QTI_2_1", "QTI_3_0"})
    void fractionsHaveTheToleranceOfTheirDecimals(QuizFormat format) throws IOException, ParserConfigurationException, SAXException {
        assertThat(points(format, OptionalInt.empty(), 0.255)).isEqualTo(4);
        assertThat(points(format, OptionalInt.empty(), 0.245)).isEqualTo(4);
        assertThat(points(format, OptionalInt.empty(), 0.2551)).isEqualTo(3);
        assertThat(points(format, OptionalInt.of(3), 0.2505)).isEqualTo(4);
        assertThat(points(format, OptionalInt.of(3), 0.251)).isEqualTo(3);
    }

    private double points(QuizFormat format, OptionalInt decimals, double answer) throws IOException, ParserConfigurationException, SAXException {
        List<Variant> variants = new Variants(fractions(decimals)).first(1);
        QtiPlayer player = new QtiPlayer(read(format, variants).items().values().iterator().next());
        player.answerRightly();
        player.answer("P1R0C0", answer);
        return player.play();
    }

    /** M = 9: level 1 is round(255 ÷ 9) = 28; each pixel is a square of 96 × 96. */
    @Test
    void thePictureSpreadsTheLevels() throws IOException, ParserConfigurationException, SAXException {
        byte[] png = read(QuizFormat.QTI_2_1, new Variants(fractions(OptionalInt.empty())).first(1)).pictures().values().iterator().next();
        var picture = ImageIO.read(new ByteArrayInputStream(png));
        assertThat(picture.getWidth()).isEqualTo(192);
        assertThat(picture.getHeight()).isEqualTo(192);
        int[] all = {picture.getRaster().getSample(0, 0, 0), picture.getRaster().getSample(95, 95, 0), picture.getRaster().getSample(96, 95, 0),
            picture.getRaster().getSample(95, 96, 0)};
        assertThat(all).containsExactly(28, 28, 0, 0);
        assertThat(Rational.of(255, 9).toDecimals(0)).isEqualTo(Rational.of(28));
    }
}
