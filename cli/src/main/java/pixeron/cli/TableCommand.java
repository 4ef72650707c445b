package pixeron.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.chain.Stage;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Levels;
import pixeron.image.Result;
import pixeron.image.SpectrumFace;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.table.LevelRows;
import pixeron.working.Table;

/** {@code pixeron table IMAGE --step LINE…}: the tables by which the last step is calculated. */
final class TableCommand implements Runnable {

    private enum Format { text, csv, json }

    private final Syntax syntax;
    private final OneImage image;
    private final StepLines steps;
    private final Argument<String> name;
    private final Argument<Format> format;

    TableCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Show the tables of the last step: histogram, new levels, variances, rounds. Without a step: the histogram of the image.");
        image = new OneImage(syntax);
        steps = new StepLines(syntax);
        name = syntax.option("--table", "NAME", String.class, "Show only this table.");
        format = syntax.format(Format.class);
    }

    /** A table under the name that the command line has for it. */
    private record Named(String name, Table table) {
    }

    @Override
    public void run() {
        List<Named> all = all();
        if (name.isGiven() || all.isEmpty()) {
            all = List.of(named(all, Named::name, name.value()));
        }
        // The cumulative share is a help on the way for people; scripts know the levels table without it.
        List<Named> tables = all.stream().map(found -> new Named(found.name, LevelRows.written(found.table))).toList();
        PrintWriter out = syntax.out();
        if (format.value() == Format.json) {
            out.println(Json.text(json(tables)));
            return;
        }
        for (Named found : tables) {
            if (tables.size() > 1) {
                out.println((found == tables.get(0) ? "" : "\n") + found.name);
            }
            print(out, found.table);
        }
    }

    /** Without a step the counts of the image; the counts by name are those of the last result. */
    private List<Named> all() {
        if (!steps.areGiven()) {
            return counts(image.chain().last(Progress.NONE).required());
        }
        Stage last = steps.last(image);
        boolean isOfResult = name.isGiven() && name.value().split("-")[0].equals(LevelRows.HISTOGRAM.name());
        return isOfResult ? counts(last.after(Progress.NONE).required()) : all(last.bound(Progress.NONE).orElseThrow());
    }

    /** Counts of levels; of a color image those of each channel. */
    private static List<Named> counts(Result result) {
        String own = LevelRows.HISTOGRAM.name();
        return result.faces().stream().map(face -> new Named(result.faces().size() == 1 ? own : own + "-" + face.name(), counts(face.image()))).toList();
    }

    private static Table counts(Image image) {
        Levels.require(image, "A histogram");
        return LevelRows.counts(Histogram.of(image));
    }

    /** Of a step on channels those of each, under their name with that of the channel. */
    private static List<Named> all(Bound bound) {
        if (bound instanceof Operation operation) {
            return operation.tables().stream().map(table -> new Named(table.name(), table)).toList();
        }
        if (SpectrumFace.named(bound.faces().get(0)).isPresent()) {
            // Of a spectrum: the same for all of its faces.
            return all(bound.face(bound.faces().get(0)).orElseThrow());
        }
        return bound.faces().stream().flatMap(face -> bound.face(face).stream()
                .flatMap(found -> found.tables().stream()).map(table -> new Named(table.name() + "-" + face, table)))
                .toList();
    }

    /**
     * Returns the table with this name.
     *
     * @throws PixeronException if there is none
     */
    static Table named(List<Table> all, String name) {
        return named(all, Table::name, name);
    }

    private static <T> T named(List<T> all, Function<T, String> names, String name) {
        return all.stream().filter(table -> names.apply(table).equals(name)).findFirst().orElseThrow(() ->
                PixeronException.of(all.isEmpty() ? "The last step has no tables: it does not map levels, or its image has values that are not levels."
                        : "The last step has no table \"%s\". It has %s.", Decimals.shortened(String.valueOf(name)),
                        all.stream().map(names).collect(Collectors.joining(", "))));
    }

    private static ObjectNode json(List<Named> tables) {
        ObjectNode node = Json.object();
        for (Named found : tables) {
            Table table = found.table;
            ObjectNode entry = node.putObject(found.name);
            ArrayNode columns = entry.putArray("columns");
            table.columns().forEach(columns::add);
            ArrayNode rows = entry.putArray("rows");
            for (List<Value> row : table.rows()) {
                ArrayNode cells = rows.addArray();
                row.forEach(value -> Json.add(cells, value));
            }
        }
        return node;
    }

    private void print(PrintWriter out, Table table) {
        if (format.value() == Format.csv) {
            out.println(String.join(",", table.columns()));
            table.rows().forEach(row -> out.println(row.stream().map(value -> value == null ? "" : Decimals.table(value))
                    .collect(Collectors.joining(","))));
            return;
        }
        int width = 2 + table.rows().stream().flatMap(List::stream).mapToInt(value -> working(value).length())
                .reduce(table.columns().stream().mapToInt(String::length).max().orElse(1), Math::max);
        out.println(table.columns().stream().map(column -> padded(column, width)).collect(Collectors.joining()));
        table.rows().forEach(row -> out.println(row.stream().map(value -> padded(working(value), width))
                .collect(Collectors.joining())));
    }

    /** A blank cell stays blank. */
    private static String working(Value value) {
        return value == null ? "" : Decimals.working(value);
    }

    private static String padded(String text, int width) {
        return " ".repeat(Math.max(0, width - text.length())) + text;
    }
}
