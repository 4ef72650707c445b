package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.zip.ZipFile;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.exercise.quiz.QuizPackage;
import pixeron.image.Pixel;
import pixeron.step.Progress;

/** The quiz package, read back by a small reader of the standard that knows nothing of what wrote it. */
class QuizTest {

    private static final String NAMESPACE = "http://www.imsglobal.org/xsd/imsqtiasi_v3p0";

    @TempDir
    private Path folder;

    /** What a player would do with an item. */
    private static final class Player {
        private final Element item;
        private final Map<String, Double> responses = new HashMap<>();
        private final Map<String, Double> numbers = new HashMap<>();
        private final List<String> feedback = new ArrayList<>();
        private double score;

        Player(Element item) {
            this.item = item;
        }

        List<Element> all(String name) {
            NodeList found = item.getElementsByTagNameNS(NAMESPACE, name);
            return IntStream.range(0, found.getLength()).mapToObj(n -> (Element) found.item(n)).toList();
        }

        void answerRightly() {
            for (Element declaration : all("qti-response-declaration")) {
                assertThat(declaration.getAttribute("base-type")).isEqualTo("float");
                responses.put(declaration.getAttribute("identifier"), Double.valueOf(declaration.getElementsByTagNameNS(NAMESPACE, "qti-value").item(0)
                        .getTextContent().strip()));
            }
        }

        void play() {
            numbers.clear();
            feedback.clear();
            for (Element condition : all("qti-response-condition")) {
                for (Element branch : children(condition)) {
                    List<Element> parts = children(branch);
                    if (holds(parts.get(0))) {
                        parts.subList(1, parts.size()).forEach(this::set);
                        break;
                    }
                }
            }
            List<Element> rules = children(all("qti-response-processing").get(0));
            set(rules.get(rules.size() - 1));
            score = numbers.get("SCORE");
        }

        private double value(Element expression) {
            return switch (expression.getLocalName()) {
                case "qti-base-value" -> Double.parseDouble(expression.getTextContent().strip());
                case "qti-variable" -> numbers.getOrDefault(expression.getAttribute("identifier"), 0.0);
                case "qti-sum" -> children(expression).stream().mapToDouble(this::value).sum();
                case "qti-product" -> children(expression).stream().mapToDouble(this::value).reduce(1, (a, b) -> a * b);
                case "qti-divide" -> value(children(expression).get(0)) / value(children(expression).get(1));
                default -> throw new AssertionError(expression.getLocalName());
            };
        }

        private boolean holds(Element equal) {
            assertThat(equal.getLocalName()).isEqualTo("qti-equal");
            List<Element> both = children(equal);
            Double response = responses.get(both.get(0).getAttribute("identifier"));
            double wanted = Double.parseDouble(both.get(1).getTextContent().strip());
            double tolerance = equal.getAttribute("tolerance-mode").equals("exact") ? 0 : Double.parseDouble(equal.getAttribute("tolerance").split(" ")[0]);
            return response != null && Math.abs(response - wanted) <= tolerance;
        }

        private void set(Element set) {
            Element given = children(set).get(0);
            if (set.getAttribute("identifier").equals("FEEDBACK")) {
                feedback.add(children(given).get(1).getTextContent().strip());
            } else {
                numbers.put(set.getAttribute("identifier"), value(given));
            }
        }

        String shown() {
            List<String> shown = all("qti-feedback-block").stream().filter(block -> feedback.contains(block.getAttribute("identifier")))
                    .map(block -> block.getTextContent().strip()).toList();
            assertThat(shown).hasSameSizeAs(feedback);
            return String.join("\n", shown);
        }
    }

    private static List<Element> children(Element element) {
        List<Element> children = new ArrayList<>();
        for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
            if (child instanceof Element one) {
                children.add(one);
            }
        }
        return children;
    }

    private Map<String, Element> items(List<Variant> variants) throws IOException, ParserConfigurationException, SAXException {
        Path file = folder.resolve("quiz.zip");
        QuizPackage.write(file, variants, Progress.NONE);
        Map<String, Element> items = new HashMap<>();
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        try (ZipFile zip = new ZipFile(file.toFile())) {
            Element manifest = factory.newDocumentBuilder().parse(zip.getInputStream(zip.getEntry("imsmanifest.xml"))).getDocumentElement();
            NodeList resources = manifest.getElementsByTagNameNS("*", "resource");
            for (int n = 0; n < resources.getLength(); n++) {
                Element resource = (Element) resources.item(n);
                assertThat(resource.getAttribute("type")).isEqualTo("imsqti_item_xmlv3p0");
                Element item = factory.newDocumentBuilder().parse(zip.getInputStream(zip.getEntry(resource.getAttribute("href")))).getDocumentElement();
                assertThat(item.getAttribute("identifier")).isEqualTo(resource.getAttribute("identifier"));
                items.put(item.getAttribute("identifier"), item);
            }
        }
        return items;
    }

    /** One item a variant, one field a cell; all right answers get all points and no feedback, none none. */
    @Test
    void rightAnswersGetFullPoints() throws IOException, ParserConfigurationException, SAXException {
        for (Topic topic : Library.topics()) {
            Exercise exercise = topic.exercise(Size.SMALL);
            List<Variant> variants = new Variants(exercise).first(exercise.choices().stream().anyMatch(choice -> choice.count() > 1) ? 2 : 1);
            Map<String, Element> items = items(variants);
            assertThat(items).hasSize(variants.size());
            for (Variant variant : variants) {
                Player player = new Player(items.get("ITEM-" + variant.code()));
                int cells = variant.parts().stream().mapToInt(Part::count).sum();
                assertThat(player.all("qti-text-entry-interaction")).as(topic.id()).hasSize(cells);
                assertThat(player.all("qti-response-declaration")).hasSize(cells);
                player.play();
                assertThat(player.score).isZero();
                player.answerRightly();
                player.play();
                assertThat(player.score).as(topic.id()).isCloseTo(exercise.points().asDouble(), Offset.offset(1e-9));
                assertThat(player.feedback).isEmpty();
            }
        }
    }

    /** M = 7, N = 20: the first cell of the equalized proof that has a fraction, with the fraction dropped. */
    @Test
    void theValueOfASlipGetsItsFeedback() throws IOException, ParserConfigurationException, SAXException {
        Variant variant = new Variants(Exercises.threeParts(5)).variant(1);
        Player player = new Player(items(List.of(variant)).values().iterator().next());
        Part.OfCells equalized = (Part.OfCells) variant.parts().get(1);
        Pixel pixel = equalized.pixels().stream().filter(one -> Math.floor(equalized.operation().exact(one).asDouble()) < equalized.operation().value(one).asDouble())
                .findFirst().orElseThrow();
        double floor = Math.floor(equalized.operation().exact(pixel).asDouble());
        player.answerRightly();
        player.responses.put("P2R" + pixel.row() + "C" + pixel.column(), floor);
        player.play();
        assertThat(player.score).isCloseTo(22 - 10 / 20.0, Offset.offset(1e-9));
        assertThat(player.shown()).isEqualTo("Row " + pixel.row() + ", column " + pixel.column() + ": " + (int) floor
                + " is what you get when the fraction is dropped instead of rounded.");
    }
}
