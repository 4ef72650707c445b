package pixeron.chain;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.loop.ChainProgram;
import pixeron.loop.Code;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Reference;

/**
 * Writes the steps of a chain as one program. Each step that is on and that the result needs becomes a call of what its own program does; the grids
 * that one step makes are those that the next one reads.
 *
 * <p>Source: docs/definitions/walk.md.
 */
public final class ChainPrograms {

    private final Progress progress;
    private final List<ChainProgram.Source> sources = new ArrayList<>();
    private final List<ChainProgram.Call> calls = new ArrayList<>();
    /** The names of grids that are there already. */
    private final Map<Place, String> known = new HashMap<>();

    /**
     * A face of a result.
     *
     * @param image the other image whose step it is; empty for the chain itself
     * @param number of the step, 0 for the image itself
     */
    private record Place(String image, int number, String face) {
    }

    private ChainPrograms(Progress progress) {
        this.progress = progress;
    }

    /**
     * Returns the program.
     *
     * @param name of the program
     * @param upTo the last step that is done, 0 for none
     * @throws PixeronException if there is no such step, a step has no result or is not written as a program, or an image in color does not have eight bits
     *     a channel
     */
    public static ChainProgram of(Chain chain, String name, int upTo, Progress progress) {
        if (upTo < 0 || upTo > chain.size()) {
            throw PixeronException.of("There is no step %d. The chain has %d.", upTo, chain.size());
        }
        ChainPrograms made = new ChainPrograms(progress);
        Result result = result(chain, upTo, progress);
        if (result instanceof Spectrum) {
            throw PixeronException.of("The result of step %d is a spectrum, which programs do not write. Continue to fourier-inverse, or stop before it.", upTo);
        }
        if (result instanceof ModelImage model) {
            throw PixeronException.of("The result of step %d is %s, which programs do not write. Continue to a gray image, or stop before it.", upTo, model.kind());
        }
        requirePackable(result);
        // The image is read first, even where a step makes something else of it.
        made.read("", chain.input());
        List<String> grids = new ArrayList<>();
        result.faces().forEach(face -> grids.add(made.grid("", chain, upTo, face.name())));
        boolean isWhole = result.faces().stream().allMatch(face -> LoopProgram.isWhole(face.image()));
        return new ChainProgram(name, made.sources, made.calls, grids, isWhole);
    }

    private static Result result(Chain chain, int number, Progress progress) {
        return number == 0 ? chain.input() : chain.stage(number - 1).after(progress).required();
    }

    private static void requirePackable(Result result) {
        Frame frame = result.frame();
        if (result instanceof ColorImage color && (frame.maximumLevel() != Image.BYTE_MAXIMUM || color.faces().stream().anyMatch(face ->
                !face.image().isLevelImage()))) {
            throw PixeronException.of("Programs read and write color images as packed pixels with whole levels from 0 to 255. This image has other values.");
        }
    }

    /** Reads an image, and returns nothing where that was done already. */
    private void read(String image, Result input) {
        List<String> grids = new ArrayList<>();
        input.faces().forEach(face -> {
            String grid = name(image, face.name());
            known.put(new Place(image, 0, face.name()), grid);
            grids.add(grid);
        });
        requirePackable(input);
        boolean isReal = input instanceof Image gray && !LoopProgram.isWhole(gray);
        sources.add(new ChainProgram.Source((image.isEmpty() ? "in" : image) + ".csv", grids, isReal));
    }

    private static String name(String image, String face) {
        String of = image.isEmpty() ? "" : "of_" + image.replaceAll("[^A-Za-z0-9]", "_");
        return face.equals(Image.VALUE) ? image.isEmpty() ? "image" : of : of.isEmpty() ? face : of + "_" + face;
    }

    /** Returns the grid of a face after a step; what makes it comes before. */
    private String grid(String image, Chain chain, int number, String face) {
        Place place = new Place(image, number, face);
        if (!known.containsKey(place)) {
            if (number == 0) {
                read(image, chain.input());
            } else {
                known.put(place, made(place, chain));
            }
        }
        return known.get(place);
    }

    private String made(Place place, Chain chain) {
        Stage stage = chain.stage(place.number() - 1);
        if (!stage.link().isOn()) {
            return grid(place.image(), chain, place.number() - 1, place.face());
        }
        stage.after(progress).required();
        Bound bound = stage.bound(progress).orElseThrow();
        Operation operation = bound.face(place.face()).orElseThrow();
        String line = stage.link().step().line();
        LoopProgram program = operation.program().orElseThrow(() -> PixeronException.of("Step %d, \"%s\", cannot be written as a program.", place.number(), line));
        List<String> arguments = new ArrayList<>();
        List<Image> images = new ArrayList<>();
        for (LoopProgram.Input input : program.inputs()) {
            Place read = read(input.grid(), place, chain, stage);
            Chain of = read.image().equals(place.image()) ? chain : chain.others().get(read.image());
            arguments.add(grid(read.image(), of, read.number(), read.face()));
            images.add(result(of, read.number(), progress).faces().stream().filter(face -> face.name().equals(read.face())).findFirst().orElseThrow().image());
        }
        if (isTakenOver(program)) {
            return arguments.get(0);
        }
        String grid = name(place.image(), place.face()) + "_" + place.number();
        calls.add(new ChainProgram.Call(grid, (place.image().isEmpty() ? "" : place.image() + ", ") + "step " + place.number() + ": " + line
                + (bound.faces().size() > 1 ? ", " + place.face() : ""), program.reading(images.toArray(Image[]::new)), arguments));
        return grid;
    }

    /** A face that is only taken from elsewhere needs no loop of its own. */
    private static boolean isTakenOver(LoopProgram program) {
        boolean isOfSameSize = program.rows().equals(Code.name("H")) && program.columns().equals(Code.name("W"));
        return isOfSameSize && program.inputs().size() == 1 && program.body().equals(List.of(Statement.set("s",
                new Code.Cell(program.inputs().get(0).grid(), Code.name("i"), Code.name("j")))));
    }

    /** Returns which face of which result a program means by the name of a grid. */
    private Place read(String grid, Place place, Chain chain, Stage stage) {
        Result before = stage.before(progress).required();
        if (before.faces().stream().anyMatch(face -> grid.equals(face.name()) || grid.equals("of_" + face.name()))) {
            return new Place(place.image(), place.number() - 1, grid.replaceFirst("^of_", ""));
        } else if (grid.equals("before")) {
            return new Place(place.image(), place.number() - 1, face(before, place.face(), stage));
        }
        String reference = stage.link().step().references().stream().filter(name -> grid.equals("other") || grid.equals("of_" + name.replaceAll("[^A-Za-z0-9]", "_")))
                .findFirst().orElseThrow();
        OptionalInt step = Reference.step(reference);
        if (step.isPresent()) {
            return new Place(place.image(), step.getAsInt(), face(result(chain, step.getAsInt(), progress), place.face(), stage));
        }
        Reference.OfOther named = chain.named(reference);
        Chain other = chain.others().get(named.image());
        int number = named.step().orElse(other.size());
        return new Place(named.image(), number, face(result(other, number, progress), place.face(), stage));
    }

    private static String face(Result result, String wanted, Stage stage) {
        if (result instanceof Image) {
            return Image.VALUE;
        }
        Optional<Result.Face> found = result.faces().stream().filter(face -> face.name().equals(wanted)).findFirst();
        return found.orElseThrow(() -> PixeronException.of("Step %d uses %s of an image without it. This cannot be written as a program.", stage.position() + 1,
                wanted)).name();
    }
}
