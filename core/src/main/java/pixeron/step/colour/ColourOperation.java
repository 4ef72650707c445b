package pixeron.step.colour;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.ColourImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Explained;
import pixeron.step.Mapping;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepType;

/**
 * A step on the channels of a colour image: on each as on an image of its own, with its own statistics and counts. Channels
 * that were not asked for stay; a step that changes size or maximum level acts on all of them alike.
 *
 * <p>Cost: that of the step for each channel.
 */
public final class ColourOperation implements Bound {

    private static final List<String> COLOURS = List.of("red", "green", "blue");

    private final Step step;
    private final ColourImage before;
    /** The channels that are worked on, by name, in the order of the image. */
    private final Map<String, Operation> channels = new LinkedHashMap<>();
    private final Frame frame;

    private ColourOperation(Step step, ColourImage before, List<String> wanted) {
        this.step = step;
        this.before = before;
        Step plain = step.without(StepType.CHANNELS);
        for (Result.Face face : before.faces()) {
            if (wanted.contains(face.name())) {
                channels.put(face.name(), bound(plain, face));
            }
        }
        this.frame = channels.values().iterator().next().frame();
    }

    private static Operation bound(Step step, Result.Face face) {
        try {
            return step.bind(face.image());
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", face.name(), problem.getMessage());
        }
    }

    /**
     * @param step on one image
     * @return the step bound to the channels
     * @throws PixeronException if it cannot be applied to one of them; names the channel
     */
    static ColourOperation of(Step step, ColourImage before) {
        List<String> there = before.faces().stream().map(Result.Face::name).toList();
        Optional<List<String>> given = step.arguments().find(StepType.CHANNELS);
        List<String> wanted = given.orElse(COLOURS);
        wanted.stream().filter(name -> !there.contains(name)).findFirst().ifPresent(name -> {
            throw PixeronException.of("channels has %s, and this colour image has only %s.", name, String.join(", ", there));
        });
        ColourOperation some = new ColourOperation(step, before, wanted);
        boolean isWhole = some.frame.equals(before.frame()) && step.has(Common.CHANNELS);
        return isWhole || wanted.size() == there.size() ? some : new ColourOperation(step, before, there);
    }

    @Override
    public Step step() {
        return step;
    }

    public ColourImage before() {
        return before;
    }

    @Override
    public Frame frame() {
        return frame;
    }

    /** @return the channels that are worked on, by name, in the order of the image */
    public Map<String, Operation> channels() {
        return Map.copyOf(channels);
    }

    @Override
    public Optional<Explained> face(String name) {
        return Optional.ofNullable(channels.get(name));
    }

    @Override
    public ColourImage result(Progress progress) {
        List<Image> made = new ArrayList<>();
        int all = before.faces().size();
        for (Result.Face face : before.faces()) {
            double done = made.size();
            Operation operation = channels.get(face.name());
            made.add(operation == null ? face.image() : result(face.name(), operation,
                    part -> progress.isWanted((done + part) / all)));
        }
        return ColourImage.of(made);
    }

    private static Image result(String name, Operation operation, Progress progress) {
        try {
            return operation.result(progress);
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", name, problem.getMessage());
        }
    }

    /** Equalized by its own counts, a channel moves against the others, and grays become colours. */
    @Override
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        channels.forEach((name, operation) -> operation.notes().forEach(note -> notes.add(name + ": " + note)));
        if (step.type().dependsOnCounts() && channels.values().stream().map(ColourOperation::curve).distinct().count() > 1) {
            notes.add("Each channel goes by its own counts, so colours shift.");
        }
        return notes;
    }

    private static List<Mapping.Entry> curve(Operation operation) {
        return operation.mapping().map(Mapping::entries).orElse(List.of());
    }
}
