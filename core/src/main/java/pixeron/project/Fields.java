package pixeron.project;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import pixeron.PixeronException;

/** The fields of a JSON object, read strictly: whatever is missing or of the wrong kind is named with its path. */
public final class Fields {

    private final String subject;
    private final String path;
    private final JsonNode node;

    /**
     * Reads the fields of a JSON object, and reports each error with the field's name.
     *
     * @param subject what is read, such as project
     * @param node an object
     */
    public Fields(String subject, JsonNode node) {
        this(subject, "", node);
    }

    private Fields(String subject, String path, JsonNode node) {
        this.subject = subject;
        this.path = path;
        this.node = node;
    }

    public PixeronException problem(String field, String what) {
        return PixeronException.of("The %s is damaged: %s %s.", subject, path + field, what);
    }

    private JsonNode required(String field, Function<JsonNode, Boolean> isRight, String kind) {
        JsonNode found = node.get(field);
        if (found == null || !isRight.apply(found)) {
            throw problem(field, found == null ? "is missing" : "is not " + kind);
        }
        return found;
    }

    public Fields object(String field) {
        return new Fields(subject, path + field + ".", required(field, JsonNode::isObject, "an object"));
    }

    public List<Fields> objects(String field) {
        JsonNode array = required(field, JsonNode::isArray, "a list");
        List<Fields> objects = new ArrayList<>();
        for (int n = 0; n < array.size(); n++) {
            String name = field + "[" + n + "]";
            if (!array.get(n).isObject()) {
                throw problem(name, "is not an object");
            }
            objects.add(new Fields(subject, path + name + ".", array.get(n)));
        }
        return objects;
    }

    /** Returns the names of all fields. */
    public List<String> names() {
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    public boolean has(String field) {
        return node.has(field);
    }

    public Optional<Fields> find(String field) {
        return node.has(field) ? Optional.of(object(field)) : Optional.empty();
    }

    public Optional<String> findText(String field) {
        return node.has(field) ? Optional.of(text(field)) : Optional.empty();
    }

    public String text(String field) {
        return required(field, JsonNode::isTextual, "a text").textValue();
    }

    /** Returns a number or a text, as it is written. */
    public String scalar(String field) {
        return required(field, n -> n.isTextual() || n.isNumber(), "a number").asText();
    }

    /** Returns a list of numbers and texts, as they are written. */
    public List<String> scalars(String field) {
        JsonNode array = required(field, JsonNode::isArray, "a list");
        List<String> scalars = new ArrayList<>();
        for (int n = 0; n < array.size(); n++) {
            if (!array.get(n).isTextual() && !array.get(n).isNumber()) {
                throw problem(field + "[" + n + "]", "is neither a number nor a text");
            }
            scalars.add(array.get(n).asText());
        }
        return scalars;
    }

    /** Returns whether a field is there and is a list. */
    public boolean isList(String field) {
        return node.has(field) && node.get(field).isArray();
    }

    /** Returns whether a field is there and is a text. */
    public boolean isText(String field) {
        return node.has(field) && node.get(field).isTextual();
    }

    public int number(String field) {
        return required(field, n -> n.isIntegralNumber() && n.canConvertToInt(), "a whole number").intValue();
    }

    /** Returns a whole number of 64 bits. */
    public long longNumber(String field) {
        return required(field, n -> n.isIntegralNumber() && n.canConvertToLong(), "a whole number").longValue();
    }

    public boolean flag(String field) {
        return required(field, JsonNode::isBoolean, "true or false").booleanValue();
    }

    public List<String> texts(String field) {
        JsonNode array = required(field, JsonNode::isArray, "a list");
        List<String> texts = new ArrayList<>();
        for (int n = 0; n < array.size(); n++) {
            if (!array.get(n).isTextual()) {
                throw problem(field + "[" + n + "]", "is not a text");
            }
            texts.add(array.get(n).textValue());
        }
        return texts;
    }

    public Map<String, String> textsByName() {
        Map<String, String> texts = new LinkedHashMap<>();
        node.properties().forEach(entry -> {
            if (!entry.getValue().isTextual()) {
                throw problem(entry.getKey(), "is not a text");
            }
            texts.put(entry.getKey(), entry.getValue().textValue());
        });
        return texts;
    }

    /** Returns the text of a field, understood by reader; its error is given with the field's path. */
    public <T> T read(String field, Function<String, T> reader) {
        try {
            return reader.apply(text(field));
        } catch (PixeronException notUnderstood) {
            throw problem(field, "is not valid: " + notUnderstood.getMessage().replaceFirst("\\.$", ""));
        }
    }
}
