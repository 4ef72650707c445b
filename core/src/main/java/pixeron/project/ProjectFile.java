package pixeron.project;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.step.Reference;

/**
 * The project as one readable JSON file, {@code *.pixeron.json}; docs/project-schema.json describes it.
 *
 * <p>The undo history is not kept; everything else is.
 */
public final class ProjectFile {

    /** The ending of a project's file name. */
    public static final String ENDING = ".pixeron.json";

    /** The version that is written, and the newest that is read. */
    private static final int VERSION = 3;
    /** The second version, in which other images have no steps. */
    private static final int SECOND_VERSION = 2;
    /** The first version, in which the image in front of the steps is gray. */
    private static final int IMAGE_VERSION = 1;
    private static final String VERSION_FIELD = "pixeron";
    private static final String IMAGES = "images";
    private static final String BRANCH = "branch";
    private static final String BRANCHES = "branches";
    /** Which other image is open. */
    private static final String OPEN = "image";

    private ProjectFile() {
    }

    /**
     * Writes a project.
     *
     * @param file is replaced as a whole, or stays as it is
     * @param saved what is written
     * @throws PixeronException if the file cannot be written
     */
    public static void write(Path file, SavedProject saved) {
        JsonFile.write(file, json(saved));
    }

    private static ObjectNode json(SavedProject saved) {
        Project project = saved.project();
        ObjectNode root = JsonFile.object();
        // What an older Pixeron can read it shall be able to read.
        boolean isPlain = project.main().present().chain().input() instanceof Image && project.images().isEmpty();
        boolean haveSteps = project.open().isPresent() || project.images().stream().anyMatch(other -> hasSteps(other.work()));
        root.put(VERSION_FIELD, isPlain ? IMAGE_VERSION : haveSteps ? VERSION : SECOND_VERSION).put("name", project.name());
        write(project.main().origin(), project.main().present().chain().input(), root.putObject("image"));
        if (!project.images().isEmpty()) {
            ArrayNode images = root.putArray(IMAGES);
            for (OtherImage other : project.images()) {
                ObjectNode node = images.addObject().put("name", other.name());
                write(other.origin(), other.input(), node);
                if (hasSteps(other.work())) {
                    writeSteps(other.work(), node);
                }
            }
        }
        writeSteps(project.main(), root);
        if (!project.kernels().isEmpty()) {
            ArrayNode kernels = root.putArray("kernels");
            project.kernels().forEach(kernel -> kernels.addObject().put("name", kernel.name()).put("line", kernel.line()));
        }
        ObjectNode view = root.putObject("view");
        project.open().ifPresent(open -> view.put(OPEN, open));
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

    private static boolean hasSteps(Work work) {
        return work.branches().stream().anyMatch(branch -> branch.chain().size() > 0) || !work.others().isEmpty();
    }

    private static void writeSteps(Work work, ObjectNode node) {
        StepFields.write(node, work.present());
        if (!work.others().isEmpty()) {
            node.put(BRANCH, work.present().name());
            ArrayNode branches = node.putArray(BRANCHES);
            for (Branch other : work.others()) {
                StepFields.write(branches.addObject().put("name", other.name()), other);
            }
        }
    }

    private static void write(Origin origin, Result result, ObjectNode image) {
        image.put("file", origin.file()).put("format", origin.format()).put("channels", origin.channels());
        ArrayNode notes = image.putArray("notes");
        origin.notes().forEach(notes::add);
        SampleText.write(result, image);
    }

    private static Origin origin(Fields image) {
        return new Origin(image.text("file"), image.text("format"), image.number("channels"), image.texts("notes"));
    }

    private static List<OtherImage> images(Fields fields) {
        List<OtherImage> images = new ArrayList<>();
        for (Fields node : fields.has(IMAGES) ? fields.objects(IMAGES) : List.<Fields>of()) {
            String name = node.read("name", Reference::requireName);
            if (images.stream().anyMatch(other -> other.name().equals(name))) {
                throw node.problem("name", "must be a unique name");
            }
            Origin origin = origin(node);
            Result input = SampleText.read(node);
            images.add(node.has("steps") ? new OtherImage(name, work(node, origin, input)) : OtherImage.of(name, origin, input));
        }
        return images;
    }

    static String place(Pixel pixel) {
        return pixel.row() + "," + pixel.column();
    }

    static Pixel pixel(Fields fields, String field, String place) {
        if (!place.matches("\\d{1,9},\\d{1,9}")) {
            throw fields.problem(field, "has the place \"" + Decimals.shortened(place)
                    + "\". Use the form \"row,column\"");
        }
        int comma = place.indexOf(',');
        return new Pixel(Integer.parseInt(place.substring(0, comma)), Integer.parseInt(place.substring(comma + 1)));
    }

    /**
     * Returns what it holds.
     *
     * @param file a project
     * @throws PixeronException if the file cannot be read, is damaged, or was written by a newer version
     */
    public static SavedProject read(Path file) {
        return JsonFile.read(file, ProjectFile::saved);
    }

    private static SavedProject saved(JsonNode root) {
        JsonFile.requireVersion(root, VERSION_FIELD, VERSION, "project");
        Fields fields = new Fields("project", root);
        Fields image = fields.object("image");
        Origin origin = origin(image);
        // In the first version gray was made of a color picture in front of the steps; now that is a step like any other.
        Optional<EarlierGray> gray = image.find("colour").map(color -> EarlierGray.read(image, color));
        Result input = gray.<Result>map(EarlierGray::picture).orElseGet(() -> SampleText.read(image));
        Work work = work(fields, origin, input);
        List<OwnKernel> kernels = (fields.has("kernels") ? fields.objects("kernels") : List.<Fields>of()).stream()
                .map(kernel -> new OwnKernel(kernel.text("name"), kernel.read("line", OwnKernel::requireKernel))).toList();
        Fields view = fields.object("view");
        Project project = new Project(fields.text("name"), gray.map(earlier -> earlier.inFrontOf(work)).orElse(work), kernels, List.of(), Optional.empty())
                .withImages(images(fields));
        Optional<String> open = view.findText(OPEN);
        if (open.isPresent() && project.images().stream().noneMatch(other -> other.name().equals(open.get()))) {
            throw view.problem(OPEN, "must be the name of one of the images");
        }
        Project opened = open.map(project::opened).orElse(project);
        return new SavedProject(opened, view(view, opened, gray.isPresent() && open.isEmpty() ? 1 : 0));
    }

    private static Work work(Fields fields, Origin origin, Result input) {
        Branch present = StepFields.read(fields, fields.has(BRANCH) ? fields.text(BRANCH) : Project.FIRST_BRANCH, input);
        List<Branch> others = new ArrayList<>();
        Set<String> names = new HashSet<>(Set.of(present.name()));
        for (Fields node : fields.has(BRANCHES) ? fields.objects(BRANCHES) : List.<Fields>of()) {
            if (!names.add(node.text("name"))) {
                throw node.problem("name", "must be a unique name");
            }
            others.add(StepFields.read(node, node.text("name"), input));
        }
        return new Work(origin, present, others);
    }

    /** @param by how many steps are in front of those that the file counts */
    private static View view(Fields view, Project project, int by) {
        Pixel picked = new Pixel(view.number("row"), view.number("column"));
        int position = view.number("step") + by;
        Frame source = project.chain().input().frame();
        boolean isInside = source.contains(picked) && position >= -1 && position < Math.max(1, project.chain().size());
        List<Pixel> watched = view.has("watched") ? view.texts("watched").stream()
                .map(place -> pixel(view, "watched", place)).filter(source::contains).toList() : List.of();
        return isInside ? new View(position, picked, watched, view.find("walk").map(WalkFields::read),
                view.has("hints") ? view.number("hints") : View.NO_HINTS) : View.START;
    }
}
