package pixeron.step.colour;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.image.ColourImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Rational;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.Mapping;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Reference;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.key.ChannelsParameter;

/**
 * A step on the channels of a colour image: on each as on an image of its own, with its own statistics and counts. Channels
 * that were not asked for stay; a step that changes size or maximum level acts on all of them alike.
 *
 * <p>Cost: that of the step for each channel.
 */
public final class ColourOperation implements Bound {

    static final List<String> COLOURS = List.of("red", "green", "blue");

    private static final String ALPHA = "alpha";

    private final Step step;
    private final ColourImage before;
    /** The channels that are worked on, by name, in the order of the image. */
    private final Map<String, Operation> channels;
    private final Supplier<List<String>> notes;

    /**
     * @param channels how each channel is worked out that does not stay, by name, in the order of the image
     * @param notes what a person should know of the result
     */
    ColourOperation(Step step, ColourImage before, Map<String, Operation> channels, Supplier<List<String>> notes) {
        this.step = step;
        this.before = before;
        this.channels = channels;
        this.notes = notes;
    }

    private static ColourOperation on(Step step, ColourImage before, Inputs inputs, List<String> wanted) {
        Step plain = step.without(StepType.CHANNELS);
        Map<String, Operation> channels = new LinkedHashMap<>();
        before.faces().stream().filter(face -> wanted.contains(face.name())).forEach(face ->
                channels.put(face.name(), bound(plain.type().onChannel(plain.onChannel(wanted, face.name()), ChannelsParameter.ALL.indexOf(face.name())),
                        new Inputs(face.image(), reference -> other(inputs.others().apply(reference), face.name(),
                                wanted.contains(ALPHA) && !step.has(Common.CHANNELS), face.image().maximumLevel()), inputs.mostPixels()), face.name())));
        return new ColourOperation(step, before, channels, () -> notes(step, channels));
    }

    /**
     * @param isJoined whether alpha is that of both together, so that where the other has none it is opaque
     * @return of another colour image the channel of the same name; an image for each channel
     */
    private static Result other(Result other, String channel, boolean isJoined, int maximum) {
        Optional<Image> own = other instanceof ColourImage colour ? colour.face(channel) : Optional.empty();
        boolean isOpaque = channel.equals(ALPHA) && own.isEmpty() && (isJoined || other instanceof ColourImage);
        return isOpaque ? Image.flat(other.frame().with(maximum), Rational.of(maximum)) : own.map(Result.class::cast).orElse(other);
    }

    private static Operation bound(Step step, Inputs inputs, String channel) {
        try {
            return step.bind(inputs);
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", channel, problem.getMessage());
        }
    }

    /** Where another colour image has no alpha, alpha stays that of the first. */
    private static boolean staysAlone(Step step, Inputs inputs, String channel) {
        return channel.equals(ALPHA) && step.references().stream().filter(reference -> !reference.equals(Reference.SELF))
                .map(inputs.others()).anyMatch(other -> other instanceof ColourImage colour && colour.alpha().isEmpty());
    }

    /**
     * @param step on one image
     * @return the step bound to the channels
     * @throws PixeronException if it cannot be applied to one of them; names the channel
     */
    static ColourOperation of(Step step, ColourImage before, Inputs inputs) {
        List<String> there = before.faces().stream().map(Result.Face::name).toList();
        Optional<List<String>> given = step.arguments().find(StepType.CHANNELS);
        List<String> wanted = given.orElseGet(() -> step.type().channels(step, before));
        wanted.stream().filter(name -> !there.contains(name)).findFirst().ifPresent(name -> {
            throw PixeronException.of("channels has %s, and this colour image has only %s.", name, String.join(", ", there));
        });
        ColourOperation some = on(step, before, inputs, wanted.stream().filter(name -> !staysAlone(step, inputs, name)).toList());
        boolean isWhole = some.frame().equals(before.frame()) && step.has(Common.CHANNELS);
        return isWhole || wanted.size() == there.size() ? some : on(step, before, inputs, there);
    }

    @Override
    public Step step() {
        return step;
    }

    @Override
    public Frame frame() {
        return channels.values().stream().findFirst().map(Operation::frame).orElse(before.frame());
    }

    @Override
    public Optional<Operation> face(String name) {
        return Optional.ofNullable(channels.get(name)).or(() -> before.face(name).map(image -> AsItIs.of(image, name)));
    }

    @Override
    public List<String> faces() {
        return before.faces().stream().map(Result.Face::name).toList();
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

    @Override
    public List<String> notes() {
        return notes.get();
    }

    /** Equalized by its own counts, a channel moves against the others, and grays become colours. */
    private static List<String> notes(Step step, Map<String, Operation> channels) {
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
