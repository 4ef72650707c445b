package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/** Plays an item of QTI as a quiz system would. Reads both versions by the names of the older one, and knows nothing of what wrote the item. */
final class QtiPlayer {

    private static final Pattern HYPHEN = Pattern.compile("-(.)");

    private final Element item;
    private final Map<String, Double> responses = new HashMap<>();
    private final Map<String, Double> numbers = new HashMap<>();
    private final List<String> feedback = new ArrayList<>();

    QtiPlayer(Element item) {
        this.item = item;
    }

    private static String name(Element element) {
        return element.getLocalName().startsWith("qti-") ? older(element.getLocalName().substring(4)) : element.getLocalName();
    }

    private static String older(String name) {
        return HYPHEN.matcher(name).replaceAll(found -> found.group(1).toUpperCase(java.util.Locale.ROOT));
    }

    private static String attribute(Element element, String name) {
        for (int n = 0; n < element.getAttributes().getLength(); n++) {
            if (older(element.getAttributes().item(n).getNodeName()).equals(name)) {
                return element.getAttributes().item(n).getNodeValue();
            }
        }
        return "";
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

    List<Element> all(String name) {
        List<Element> found = new ArrayList<>();
        add(item, name, found);
        return found;
    }

    private static void add(Element element, String name, List<Element> found) {
        for (Element child : children(element)) {
            if (name(child).equals(name)) {
                found.add(child);
            }
            add(child, name, found);
        }
    }

    void answerRightly() {
        for (Element declaration : all("responseDeclaration")) {
            assertThat(attribute(declaration, "baseType")).isEqualTo("float");
            responses.put(attribute(declaration, "identifier"), Double.valueOf(children(children(declaration).get(0)).get(0).getTextContent().strip()));
        }
    }

    void answer(String field, double value) {
        responses.put(field, value);
    }

    /** Returns the points. */
    double play() {
        numbers.clear();
        feedback.clear();
        for (Element condition : all("responseCondition")) {
            for (Element branch : children(condition)) {
                List<Element> parts = children(branch);
                if (holds(parts.get(0))) {
                    parts.subList(1, parts.size()).forEach(this::set);
                    break;
                }
            }
        }
        List<Element> rules = children(all("responseProcessing").get(0));
        set(rules.get(rules.size() - 1));
        return numbers.get("SCORE");
    }

    private double value(Element expression) {
        return switch (name(expression)) {
            case "baseValue" -> Double.parseDouble(expression.getTextContent().strip());
            case "variable" -> numbers.getOrDefault(attribute(expression, "identifier"), 0.0);
            case "sum" -> children(expression).stream().mapToDouble(this::value).sum();
            case "product" -> children(expression).stream().mapToDouble(this::value).reduce(1, (a, b) -> a * b);
            case "divide" -> value(children(expression).get(0)) / value(children(expression).get(1));
            default -> throw new AssertionError(expression.getLocalName());
        };
    }

    /** The standard: the value lies in [x − t, x + t], the ends with it or not. */
    private boolean holds(Element equal) {
        assertThat(name(equal)).isEqualTo("equal");
        List<Element> both = children(equal);
        Double response = responses.get(attribute(both.get(0), "identifier"));
        double wanted = Double.parseDouble(both.get(1).getTextContent().strip());
        boolean isExact = attribute(equal, "toleranceMode").equals("exact");
        String[] tolerance = (isExact ? "0 0" : attribute(equal, "tolerance")).split(" ");
        if (!isExact) {
            assertThat(attribute(equal, "includeLowerBound")).isEqualTo("true");
            assertThat(attribute(equal, "includeUpperBound")).isEqualTo("true");
        }
        return response != null && response >= wanted - Double.parseDouble(tolerance[0]) && response <= wanted + Double.parseDouble(tolerance[1]);
    }

    private void set(Element set) {
        Element given = children(set).get(0);
        if (attribute(set, "identifier").equals("FEEDBACK")) {
            feedback.add(children(given).get(1).getTextContent().strip());
        } else {
            numbers.put(attribute(set, "identifier"), value(given));
        }
    }

    /** Returns what is said, a line for each sentence. */
    String shown() {
        List<String> shown = all("feedbackBlock").stream().filter(block -> feedback.contains(attribute(block, "identifier")))
                .map(block -> block.getTextContent().strip()).toList();
        assertThat(shown).hasSameSizeAs(feedback);
        return String.join("\n", shown);
    }
}
