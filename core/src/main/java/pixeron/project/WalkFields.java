package pixeron.project;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.walk.ScanOrder;
import pixeron.walk.Score;

/** A walk in a project file. */
final class WalkFields {

    private static final String PATH = "path";

    private WalkFields() {
    }

    static void write(SavedWalk walk, ObjectNode node) {
        node.put("order", walk.order().map(order -> order.name().toLowerCase(Locale.ROOT)).orElse(PATH));
        if (walk.order().isEmpty()) {
            ArrayNode path = node.putArray(PATH);
            walk.path().forEach(pixel -> path.add(ProjectFile.place(pixel)));
        }
        node.put("written", walk.written()).put("guess", walk.isGuessing()).put("inPlace", walk.isMistaken())
                .put("right", walk.score().right()).put("wrong", walk.score().wrong());
    }

    /** @throws PixeronException if a field is missing or not as it should be */
    static SavedWalk read(Fields fields) {
        Optional<ScanOrder> order = fields.read("order", WalkFields::order);
        return new SavedWalk(order, order.isPresent() ? List.of() : fields.texts(PATH).stream()
                .map(place -> ProjectFile.pixel(fields, PATH, place)).toList(), fields.number("written"),
                fields.flag("guess"), fields.flag("inPlace"), new Score(fields.number("right"), fields.number("wrong")));
    }

    private static Optional<ScanOrder> order(String word) {
        return switch (word) {
            case "rows" -> Optional.of(ScanOrder.ROWS);
            case "columns" -> Optional.of(ScanOrder.COLUMNS);
            case PATH -> Optional.empty();
            default -> throw PixeronException.of("must be rows, columns or path");
        };
    }
}
