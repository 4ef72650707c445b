package pixeron.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import java.util.stream.StreamSupport;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.Verdict;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.SlipTitles;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.working.Line;
import pixeron.working.Table;
import pixeron.working.Working;

/** Results as JSON objects; field names are a contract with scripts. */
final class Json {

    /** The field for the channels or components of a result. */
    static final String COMPONENTS = "components";
    /** Its name in earlier versions, which is still written beside it. */
    static final String FACES = "faces";

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private Json() {
    }

    static ObjectNode object() {
        return MAPPER.createObjectNode();
    }

    static String text(ObjectNode node) {
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException("a tree of numbers and texts is always writable", impossible);
        }
    }

    /** Puts a value as a number: whole ones without a point, others as a double. */
    static void put(ObjectNode node, String field, Value value) {
        if (value instanceof Rational r && r.isWhole()) {
            BigInteger whole = r.numerator();
            node.put(field, whole);
        } else {
            node.put(field, value.asDouble());
        }
    }

    /** Adds a value as a number, as {@link #put} does; null for what is blank. */
    static void add(ArrayNode cells, Value value) {
        if (value == null) {
            cells.addNull();
        } else if (value instanceof Rational r && r.isWhole()) {
            cells.add(r.numerator());
        } else {
            cells.add(value.asDouble());
        }
    }

    static ObjectNode check(Check check, Findings found) {
        ObjectNode node = object();
        node.put("filled", check.filled()).put("agree", check.agree()).put("differ", check.differing().size());
        check.first().ifPresentOrElse(first -> node.set("first", object()
                .put("row", first.pixel().row()).put("column", first.pixel().column())), () -> node.putNull("first"));
        for (CellCheck cell : check.cells()) {
            ObjectNode entry = node.withArray("cells").addObject();
            entry.put("row", cell.pixel().row()).put("column", cell.pixel().column()).put("byHand",
                    cell.byHand().text());
            put(entry, "value", cell.value());
            entry.put("state", cell.state().word());
        }
        node.withArray("cells");
        found.slips().forEach(slip -> addSlip(node.withArray("slips"), slip));
        node.withArray("slips");
        return node;
    }

    /** Names a component. The name of the field in earlier versions is written beside it. */
    static ObjectNode putComponent(ObjectNode node, String name) {
        return node.put("component", name).put("face", name);
    }

    /** Returns the same with the component that was checked, if one was chosen. */
    static ObjectNode withFace(ObjectNode check, Optional<String> face) {
        face.ifPresent(name -> {
            if (check.get("first") instanceof ObjectNode first) {
                putComponent(first, name);
            }
            check.withArray("cells").forEach(cell -> putComponent((ObjectNode) cell, name));
        });
        return check;
    }

    /** A check of all faces: each cell is told as the pixel of its face. */
    static ObjectNode colorCheck(Check check, Findings found, Abreast faces) {
        ObjectNode node = check(check, found);
        if (node.get("first") instanceof ObjectNode first) {
            toFace(first, faces);
        }
        node.withArray("cells").forEach(cell -> toFace((ObjectNode) cell, faces));
        return node;
    }

    private static void toFace(ObjectNode cell, Abreast faces) {
        Pixel place = new Pixel(cell.get("row").intValue(), cell.get("column").intValue());
        putComponent(cell.put("column", faces.pixel(place).column()), faces.face(place));
    }

    /** Two slips at once are an entry each, which names the other, so that each is under its own id. */
    private static void addSlip(ArrayNode slips, Explanation slip) {
        for (String id : slip.ids()) {
            ObjectNode entry = slips.addObject().put("id", id).put("title", SlipTitles.of(id)).put("explains", slip.explains()).put("of", slip.of())
                    .put("text", slip.text());
            slip.ids().stream().filter(other -> !other.equals(id)).forEach(other -> entry.put("with", other));
            if (!slip.certainty().words().isEmpty()) {
                entry.put("certainty", slip.certainty().words());
            }
        }
    }

    static ObjectNode check(TableCheck check, Table table, List<TableSlip> slips) {
        ObjectNode node = object();
        long wrong = check.cells().stream().filter(TableCheck.Cell::isWrong).count();
        node.put("table", table.name()).put("filled", check.cells().size())
                .put("agree", check.count(Verdict.AGREES)).put("differ", wrong)
                .put("follow", check.count(Verdict.FOLLOWS));
        check.first().ifPresentOrElse(first -> node.set("first", object().put("row", first.row())
                .put("column", table.columns().indexOf(first.column()))), () -> node.putNull("first"));
        node.putArray("cells");
        for (TableCheck.Cell cell : check.cells()) {
            ObjectNode entry = node.withArray("cells").addObject();
            entry.put("row", cell.row()).put("column", table.columns().indexOf(cell.column()))
                    .put("key", table.key(cell.row())).put("name", cell.column()).put("byHand", cell.byHand().text());
            put(entry, "value", cell.value());
            entry.put("state", cell.state().word());
        }
        ArrayNode found = node.putArray("slips");
        slips.forEach(slip -> found.addObject().put("id", slip.id()).put("title", SlipTitles.of(slip.id())).put("explains", slip.explains()).put("of", slip.of())
                .put("column", slip.column()).put("text", slip.text()));
        return node;
    }

    static ObjectNode working(Working working, String step, Pixel pixel, Optional<Value> before) {
        ObjectNode node = object();
        node.put("step", step).put("row", pixel.row()).put("column", pixel.column());
        before.ifPresentOrElse(value -> put(node, "before", value), () -> node.putNull("before"));
        put(node, "exact", working.exact());
        node.put("exactFraction", working.exact().isExact() ? working.exact().toString() : null);
        put(node, "after", working.result());
        node.withArray("lines").addAll(StreamSupport.stream(working.lines().spliterator(), false)
                .map(Json::line).toList());
        return node;
    }

    /** All channels of a pixel: each with its own working where the step works on it. */
    static ObjectNode colorWorking(List<Line> lines, String step, Pixel pixel, Bound bound, Result after) {
        ObjectNode node = object();
        node.put("step", step).put("row", pixel.row()).put("column", pixel.column());
        ObjectNode faces = node.putObject(COMPONENTS);
        for (Result.Face face : after.faces()) {
            ObjectNode entry = faces.putObject(face.name());
            bound.face(face.name()).ifPresent(explained -> put(entry, "exact", explained.exact(pixel)));
            put(entry, "after", face.image().value(pixel));
        }
        node.set(FACES, faces);
        node.put("packed", PackedPixel.find(after, pixel).map(PackedPixel::hexadecimal).orElse(null));
        node.withArray("lines").addAll(lines.stream().map(Json::line).toList());
        return node;
    }

    private static ObjectNode line(Line line) {
        return object().put("label", line.label()).put("text", line.text());
    }
}
