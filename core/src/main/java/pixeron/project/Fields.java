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
final class Fields {

    private final String path;
    private final JsonNode node;

    Fields(String path, JsonNode node) {
        this.path = path;
        this.node = node;
    }

    PixeronException problem(String field, String what) {
        return PixeronException.of("The project is damaged: %s %s.", path + field, what);
    }

    private JsonNode required(String field, Function<JsonNode, Boolean> isRight, String kind) {
        JsonNode found = node.get(field);
        if (found == null || !isRight.apply(found)) {
            throw problem(field, found == null ? "is missing" : "is not " + kind);
        }
        return found;
    }

    Fields object(String field) {
        return new Fields(path + field + ".", required(field, JsonNode::isObject, "an object"));
    }

    List<Fields> objects(String field) {
        JsonNode array = required(field, JsonNode::isArray, "a list");
        List<Fields> objects = new ArrayList<>();
        for (int n = 0; n < array.size(); n++) {
            String name = field + "[" + n + "]";
            if (!array.get(n).isObject()) {
                throw problem(name, "is not an object");
            }
            objects.add(new Fields(path + name + ".", array.get(n)));
        }
        return objects;
    }

    /** @return the names of all fields */
    List<String> names() {
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    boolean has(String field) {
        return node.has(field);
    }

    Optional<Fields> find(String field) {
        return node.has(field) ? Optional.of(object(field)) : Optional.empty();
    }

    Optional<String> findText(String field) {
        return node.has(field) ? Optional.of(text(field)) : Optional.empty();
    }

    String text(String field) {
        return required(field, JsonNode::isTextual, "a text").textValue();
    }

    int number(String field) {
        return required(field, n -> n.isIntegralNumber() && n.canConvertToInt(), "a whole number").intValue();
    }

    boolean flag(String field) {
        return required(field, JsonNode::isBoolean, "true or false").booleanValue();
    }

    List<String> texts(String field) {
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

    Map<String, String> textsByName() {
        Map<String, String> texts = new LinkedHashMap<>();
        node.properties().forEach(entry -> {
            if (!entry.getValue().isTextual()) {
                throw problem(entry.getKey(), "is not a text");
            }
            texts.put(entry.getKey(), entry.getValue().textValue());
        });
        return texts;
    }

    /** @return the text of a field, understood by reader; its error is given with the field's path */
    <T> T read(String field, Function<String, T> reader) {
        try {
            return reader.apply(text(field));
        } catch (PixeronException notUnderstood) {
            throw problem(field, "is not understood: " + notUnderstood.getMessage().replaceFirst("\\.$", ""));
        }
    }
}
