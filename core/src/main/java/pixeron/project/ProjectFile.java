package pixeron.project;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.chain.Chain;
import pixeron.chain.Link;
import pixeron.format.SafeFile;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.catalog.StepLine;
import pixeron.step.gray.GraySource;

/**
 * The project as one readable JSON file, {@code *.pixeron.json}; docs/project-schema.json describes it.
 *
 * <p>The undo history is not kept; everything else is.
 */
public final class ProjectFile {

    /** The ending of a project's file name. */
    public static final String ENDING = ".pixeron.json";

    /** The version that is written, and the newest that is read. */
    private static final int VERSION = 1;
    private static final String VERSION_FIELD = "pixeron";
    private static final ObjectMapper MAPPER = new ObjectMapper();

    private ProjectFile() {
    }

    /**
     * @param file is replaced as a whole, or stays as it is
     * @param saved what is written
     * @throws PixeronException if the file cannot be written
     */
    public static void write(Path file, SavedProject saved) {
        DefaultPrettyPrinter printer = new DefaultPrettyPrinter();
        printer.indentArraysWith(new DefaultIndenter("  ", "\n"));
        printer.indentObjectsWith(new DefaultIndenter("  ", "\n"));
        SafeFile.write(file, out -> MAPPER.writer(printer).writeValue(out, json(saved)));
    }

    private static ObjectNode json(SavedProject saved) {
        Project project = saved.project();
        ObjectNode root = MAPPER.createObjectNode();
        root.put(VERSION_FIELD, VERSION).put("name", project.name());
        Origin origin = project.origin();
        ObjectNode image = root.putObject("image");
        image.put("file", origin.file()).put("format", origin.format()).put("channels", origin.channels());
        ArrayNode notes = image.putArray("notes");
        origin.notes().forEach(notes::add);
        SampleText.write(project.chain().source(), image);
        project.gray().ifPresent(gray -> {
            ObjectNode colour = image.putObject("colour");
            SampleText.write(gray, colour);
            writeSheet(project.sheet(Project.SOURCE), colour);
        });
        writeSteps(root, project.chain(), project.sheets(), project.tables());
        if (!project.others().isEmpty()) {
            root.put("branch", project.branch());
            ArrayNode branches = root.putArray("branches");
            for (Branch other : project.others()) {
                ObjectNode node = branches.addObject().put("name", other.name());
                writeSteps(node, other.chain(), other.sheets(), other.tables());
            }
        }
        if (!project.kernels().isEmpty()) {
            ArrayNode kernels = root.putArray("kernels");
            project.kernels().forEach(kernel -> kernels.addObject().put("name", kernel.name()).put("line", kernel.line()));
        }
        ObjectNode view = root.putObject("view");
        view.put("step", saved.view().position());
        view.put("row", saved.view().picked().row()).put("column", saved.view().picked().column());
        if (!saved.view().watched().isEmpty()) {
            ArrayNode watched = view.putArray("watched");
            saved.view().watched().forEach(pixel -> watched.add(place(pixel)));
        }
        if (saved.view().hints() >= 0) {
            view.put("hints", saved.view().hints());
        }
        saved.view().walk().ifPresent(walk -> WalkFields.write(walk, view.putObject("walk")));
        return root;
    }

    private static void writeSteps(ObjectNode node, Chain chain, Map<Integer, HandSheet> sheets,
            Map<Integer, Map<String, HandTable>> tables) {
        ArrayNode steps = node.putArray("steps");
        for (Link link : chain.links()) {
            steps.add(json(link, sheets.getOrDefault(link.id(), HandSheet.EMPTY),
                    tables.getOrDefault(link.id(), Map.of())));
        }
    }

    private static ObjectNode json(Link link, HandSheet sheet, Map<String, HandTable> tables) {
        ObjectNode step = MAPPER.createObjectNode();
        step.put("id", link.id()).put("line", link.step().line()).put("on", link.isOn());
        writeSheet(sheet, step);
        if (!tables.isEmpty()) {
            ObjectNode byHand = step.putObject("tablesByHand");
            new TreeMap<>(tables).forEach((name, table) -> {
                ObjectNode cells = byHand.putObject(name);
                table.cells().forEach((place, value) -> cells.put(place.row() + "," + place.column(), value.text()));
            });
        }
        return step;
    }

    private static Map<String, HandTable> tables(Fields byHand) {
        Map<String, HandTable> tables = new HashMap<>();
        for (String name : byHand.names()) {
            Map<HandTable.Place, String> texts = new HashMap<>();
            byHand.object(name).textsByName().forEach((place, text) -> {
                int comma = place.indexOf(',');
                if (comma < 1) {
                    throw byHand.problem(name, "has the place \"" + Decimals.shortened(place)
                            + "\"; right is \"row,column\"");
                }
                texts.put(new HandTable.Place(place.substring(0, comma), place.substring(comma + 1)), text);
            });
            tables.put(name, HandTable.EMPTY.with(texts));
        }
        return tables;
    }

    private static void writeSheet(HandSheet sheet, ObjectNode step) {
        if (!sheet.equals(HandSheet.EMPTY)) {
            ObjectNode byHand = step.putObject("byHand");
            sheet.tolerance().ifPresent(tolerance -> byHand.put("tolerance", Decimals.print(tolerance)));
            ObjectNode cells = byHand.putObject("cells");
            sheet.cells().forEach((pixel, value) -> cells.put(place(pixel), value.text()));
        }
    }

    static String place(Pixel pixel) {
        return pixel.row() + "," + pixel.column();
    }

    static Pixel pixel(Fields fields, String field, String place) {
        if (!place.matches("\\d{1,9},\\d{1,9}")) {
            throw fields.problem(field, "has the place \"" + Decimals.shortened(place)
                    + "\"; right is \"row,column\"");
        }
        int comma = place.indexOf(',');
        return new Pixel(Integer.parseInt(place.substring(0, comma)), Integer.parseInt(place.substring(comma + 1)));
    }

    /**
     * @param file a project
     * @return what it holds
     * @throws PixeronException if the file cannot be read, is damaged, or was written by a newer version
     */
    public static SavedProject read(Path file) {
        try {
            if (Files.isDirectory(file)) {
                throw PixeronException.of("It is a folder; name a file in it.");
            } else if (!Files.exists(file)) {
                throw PixeronException.of("There is no such file.");
            }
            return saved(MAPPER.readTree(Files.readAllBytes(file)));
        } catch (JsonProcessingException broken) {
            throw PixeronException.because(broken, "%s: The file is damaged: line %d, column %d is not JSON.",
                    file.getFileName(), broken.getLocation() == null ? 1 : broken.getLocation().getLineNr(),
                    broken.getLocation() == null ? 1 : broken.getLocation().getColumnNr());
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "%s cannot be read: %s.", file, trouble.getMessage());
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", file.getFileName(), problem.getMessage());
        }
    }

    private static SavedProject saved(JsonNode root) {
        JsonNode version = root == null ? null : root.get(VERSION_FIELD);
        if (version == null || !version.isIntegralNumber()) {
            throw PixeronException.of("This is not a Pixeron project; the field \"%s\" with its version is missing.",
                    VERSION_FIELD);
        } else if (!version.canConvertToInt() || version.intValue() > VERSION) {
            throw PixeronException.of("The project was written by a newer Pixeron (file version %s); this one reads version %d.",
                    version.asText(), VERSION);
        }
        Fields fields = new Fields("", root);
        Fields image = fields.object("image");
        Image source = SampleText.read(image);
        Origin origin = new Origin(image.text("file"), image.text("format"), image.number("channels"),
                image.texts("notes"));
        if (image.has("colour")) {
            Fields colour = image.object("colour");
            GraySource gray = SampleText.readGray(colour, source);
            Project project = Project.of(fields.text("name"), origin, gray);
            return withSteps(fields, colour.find("byHand").map(byHand -> project.withSheet(Project.SOURCE,
                    old -> sheet(byHand, source))).orElse(project));
        }
        return withSteps(fields, Project.of(fields.text("name"), origin, source));
    }

    private static SavedProject withSteps(Fields fields, Project empty) {
        Branch work = branch(fields, fields.has("branch") ? fields.text("branch") : Project.FIRST_BRANCH,
                empty.chain());
        List<Branch> others = new ArrayList<>();
        Set<String> names = new HashSet<>(Set.of(work.name()));
        for (Fields node : fields.has("branches") ? fields.objects("branches") : List.<Fields>of()) {
            if (!names.add(node.text("name"))) {
                throw node.problem("name", "must be a name of its own");
            }
            others.add(branch(node, node.text("name"), empty.chain()));
        }
        List<OwnKernel> kernels = (fields.has("kernels") ? fields.objects("kernels") : List.<Fields>of()).stream()
                .map(kernel -> new OwnKernel(kernel.text("name"), kernel.read("line", OwnKernel::requireKernel))).toList();
        Map<Integer, HandSheet> sheets = new HashMap<>(empty.sheets());
        sheets.putAll(work.sheets());
        Project project = new Project(empty.name(), empty.origin(), empty.gray(), work.with(sheets, work.tables()), others, kernels);
        return new SavedProject(project, view(fields.object("view"), project));
    }

    private static Branch branch(Fields fields, String name, Chain empty) {
        Chain chain = empty;
        Map<Integer, HandSheet> sheets = new HashMap<>();
        Map<Integer, Map<String, HandTable>> tables = new HashMap<>();
        Set<Integer> ids = new HashSet<>();
        for (Fields step : fields.objects("steps")) {
            int id = step.number("id");
            if (id < 1 || !ids.add(id)) {
                throw step.problem("id", "must be a number of its own from 1");
            }
            chain = chain.withLink(chain.size(), new Link(id, step.read("line", StepLine::parse), step.flag("on")));
            step.find("byHand").ifPresent(byHand -> sheets.put(id, sheet(byHand, empty.source())));
            step.find("tablesByHand").ifPresent(byHand -> tables.put(id, tables(byHand)));
        }
        return new Branch(name, chain, sheets, tables);
    }

    private static View view(Fields view, Project project) {
        Pixel picked = new Pixel(view.number("row"), view.number("column"));
        int position = view.number("step");
        Image source = project.chain().source();
        boolean isInside = source.contains(picked) && position >= -1 && position < Math.max(1, project.chain().size());
        List<Pixel> watched = view.has("watched") ? view.texts("watched").stream()
                .map(place -> pixel(view, "watched", place)).filter(source::contains).toList() : List.of();
        return isInside ? new View(position, picked, watched, view.find("walk").map(WalkFields::read),
                view.has("hints") ? view.number("hints") : View.NO_HINTS) : View.START;
    }

    private static HandSheet sheet(Fields byHand, Image grid) {
        Map<Pixel, String> texts = new HashMap<>();
        new TreeMap<>(byHand.object("cells").textsByName()).forEach((place, text) -> {
            Pixel pixel = pixel(byHand, "cells", place);
            if (!grid.contains(pixel)) {
                throw byHand.problem("cells", "has a value at " + pixel + ", outside the image");
            }
            texts.put(pixel, text);
        });
        Optional<String> tolerance = byHand.findText("tolerance");
        HandSheet sheet = HandSheet.EMPTY.with(texts);
        return tolerance.isEmpty() ? sheet
                : sheet.withTolerance(Optional.of(byHand.read("tolerance", Decimals::parse)));
    }
}
