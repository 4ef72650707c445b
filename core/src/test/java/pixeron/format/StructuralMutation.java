package pixeron.format;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Changes JSON files as a user does who knows the format: whole values are lost, doubled, moved to other places, or made extreme. What comes out is always JSON. */
final class StructuralMutation {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final String[] TEXTS = {"", "0", "-1", "1/3", "1/0", "9".repeat(390), "0." + "7".repeat(390), "1e999999999", "65535", "2147483648", "-2147483648", "all", "../../x", "=1+1",
        "{s}", "equalize", "fill rows=3000 columns=3000 maximum=65535", "multiply factor=0." + "3".repeat(390), "kernel weights=\"1/3 1/7 1/11 | 1/13 1/17 1/19 | 1/23 1/29 1/31\"",
        "crop row=0 column=0 height=1 width=1", "gray rule=mean", "\u0000", "é".repeat(200)};
    private static final long[] NUMBERS = {0, 1, -1, 2, 255, 65535, 65536, Integer.MAX_VALUE, Integer.MIN_VALUE, Long.MAX_VALUE, 1_000_000};

    private final Random random;

    StructuralMutation(Random random) {
        this.random = random;
    }

    /** A value with where it is: in an object under a name, or in a list. */
    private record Place(JsonNode parent, String name, int index) {
        JsonNode value() {
            return name == null ? parent.get(index) : parent.get(name);
        }

        void set(JsonNode value) {
            if (name == null) {
                ((ArrayNode) parent).set(index, value);
            } else {
                ((ObjectNode) parent).set(name, value);
            }
        }
    }

    byte[] of(byte[] original, byte[] other) throws IOException {
        JsonNode tree = JSON.readTree(original);
        for (int n = random.nextInt(3); n >= 0; n--) {
            List<Place> places = places(tree);
            if (!places.isEmpty()) {
                change(places.get(random.nextInt(places.size())), places, JSON.readTree(other));
            }
        }
        return JSON.writeValueAsBytes(tree);
    }

    private void change(Place place, List<Place> places, JsonNode other) {
        switch (random.nextInt(8)) {
            case 0 -> {
                if (place.parent() instanceof ObjectNode object) {
                    object.remove(place.name());
                } else {
                    ((ArrayNode) place.parent()).remove(place.index());
                }
            }
            case 1 -> place.set(places.get(random.nextInt(places.size())).value().deepCopy());
            case 2 -> place.set(extreme());
            case 3 -> {
                if (place.parent() instanceof ObjectNode object) {
                    JsonNode value = object.remove(place.name());
                    object.set(places.get(random.nextInt(places.size())).name() + "", value);
                } else {
                    ((ArrayNode) place.parent()).insert(place.index(), place.value().deepCopy());
                }
            }
            case 4 -> place.set(NODES.arrayNode().add(place.value().deepCopy()));
            case 5 -> {
                List<Place> others = places(other);
                place.set(others.get(random.nextInt(others.size())).value().deepCopy());
            }
            case 6 -> place.set(NODES.textNode(TEXTS[random.nextInt(TEXTS.length)]));
            default -> place.set(NODES.numberNode(NUMBERS[random.nextInt(NUMBERS.length)]));
        }
    }

    private JsonNode extreme() {
        return switch (random.nextInt(5)) {
            case 0 -> NODES.nullNode();
            case 1 -> NODES.booleanNode(true);
            case 2 -> NODES.objectNode();
            case 3 -> NODES.arrayNode();
            default -> {
                JsonNode deep = NODES.numberNode(1);
                for (int n = 0; n < 200; n++) {
                    deep = NODES.arrayNode().add(deep);
                }
                yield deep;
            }
        };
    }

    private static List<Place> places(JsonNode tree) {
        List<Place> places = new ArrayList<>();
        add(tree, places);
        return places;
    }

    private static void add(JsonNode node, List<Place> places) {
        if (node.isObject()) {
            node.fieldNames().forEachRemaining(name -> places.add(new Place(node, name, 0)));
        } else {
            for (int n = 0; n < node.size(); n++) {
                places.add(new Place(node, null, n));
            }
        }
        node.forEach(child -> add(child, places));
    }
}
