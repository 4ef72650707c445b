package pixeron.project;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.work.ByHand;
import pixeron.chain.Chain;
import pixeron.chain.Link;
import pixeron.format.ReadOptions;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** The steps of a branch in a project file, with the values by hand. */
final class StepFields {

    private static final String CELLS = "cells";
    private static final String TABLES = "tablesByHand";
    private static final String SHEET = "byHand";
    private static final String FACES = "faces";

    private StepFields() {
    }

    static void write(ObjectNode node, Branch branch) {
        ArrayNode steps = node.putArray("steps");
        for (Link link : branch.chain().links()) {
            ObjectNode step = steps.addObject();
            step.put("id", link.id()).put("line", link.step().line()).put("on", link.isOn());
            Map<String, ByHand> faces = new TreeMap<>();
            branch.byHand().forEach((face, written) -> {
                if (face.step() == link.id() && face.name().equals(Image.VALUE)) {
                    write(written, step);
                } else if (face.step() == link.id()) {
                    faces.put(face.name(), written);
                }
            });
            faces.forEach((name, written) -> write(written, step.withObjectProperty(FACES).putObject(name)));
        }
    }

    private static void write(ByHand written, ObjectNode node) {
        if (!written.sheet().equals(HandSheet.EMPTY)) {
            ObjectNode byHand = node.putObject(SHEET);
            written.sheet().tolerance().ifPresent(tolerance -> byHand.put("tolerance", Decimals.print(tolerance)));
            ObjectNode cells = byHand.putObject(CELLS);
            written.sheet().cells().forEach((pixel, value) -> cells.put(ProjectFile.place(pixel), value.text()));
        }
        if (!written.tables().isEmpty()) {
            ObjectNode byHand = node.putObject(TABLES);
            new TreeMap<>(written.tables()).forEach((name, table) -> {
                ObjectNode cells = byHand.putObject(name);
                table.cells().forEach((place, value) -> cells.put(place.row() + "," + place.column(), value.text()));
            });
        }
    }

    static Branch read(Fields fields, String name, Result input) {
        Chain chain = Chain.of(input);
        Map<Branch.Face, ByHand> byHand = new HashMap<>();
        Set<Integer> ids = new HashSet<>();
        for (Fields step : fields.objects("steps")) {
            int id = step.number("id");
            if (id < 1 || !ids.add(id)) {
                throw step.problem("id", "must be a unique number of at least 1");
            }
            chain = chain.withLink(chain.size(), new Link(id, step.read("line", StepFields::step), step.flag("on")));
            byHand.put(new Branch.Face(id, Image.VALUE), written(step));
            step.find(FACES).ifPresent(faces -> faces.names().forEach(face -> byHand.put(new Branch.Face(id, face),
                    written(faces.object(face)))));
        }
        byHand.values().removeIf(ByHand::isEmpty);
        return new Branch(name, chain, byHand);
    }

    /** A target that was a file before projects had other images is now named like one of them, and missed until it is on the shelf. */
    private static Step step(String line) {
        return StepLine.parse(line.startsWith("match ") ? line.replaceFirst(" image=", " with=") : line);
    }

    private static ByHand written(Fields fields) {
        return new ByHand(fields.find(SHEET).map(StepFields::sheet).orElse(HandSheet.EMPTY),
                fields.find(TABLES).map(StepFields::tables).orElse(Map.of()));
    }

    private static Map<String, HandTable> tables(Fields byHand) {
        Map<String, HandTable> tables = new HashMap<>();
        for (String name : byHand.names()) {
            Map<HandTable.Place, String> texts = new HashMap<>();
            byHand.object(name).textsByName().forEach((place, text) -> {
                int comma = place.indexOf(',');
                if (comma < 1) {
                    throw byHand.problem(name, "has the place \"" + Decimals.shortened(place)
                            + "\". Use the form \"row,column\"");
                }
                texts.put(new HandTable.Place(place.substring(0, comma), place.substring(comma + 1)), text);
            });
            tables.put(name, HandTable.EMPTY.with(texts));
        }
        return tables;
    }

    /** A result may be larger than the image, and values wait for it; but none has more pixels in a row than may be read. */
    static HandSheet sheet(Fields byHand) {
        Map<Pixel, String> texts = new HashMap<>();
        new TreeMap<>(byHand.object(CELLS).textsByName()).forEach((place, text) -> {
            Pixel pixel = ProjectFile.pixel(byHand, CELLS, place);
            if (Math.max(pixel.row(), pixel.column()) >= ReadOptions.DEFAULT_PIXEL_LIMIT) {
                throw byHand.problem(CELLS, "has a value at " + pixel + ", outside any image");
            }
            texts.put(pixel, text);
        });
        Optional<String> tolerance = byHand.findText("tolerance");
        HandSheet sheet = HandSheet.EMPTY.with(texts);
        return tolerance.isEmpty() ? sheet
                : sheet.withTolerance(Optional.of(byHand.read("tolerance", Decimals::parse)));
    }
}
