package pixeron.step.color;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
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
 * A step on the channels of a color image: on each as on an image of its own, with its own statistics and counts. Channels
 * that were not asked for stay; a step that changes size or maximum level acts on all of them alike.
 *
 * <p>Cost: that of the step for each channel.
 */
public final class ColorOperation implements Bound {

    static final List<String> COLOURS = List.of("red", "green", "blue");

    private static final String ALPHA = "alpha";

    private final Step step;
    private final ColorImage before;
    /** The channels that are worked on, by name, in the order of the image. */
    private final Map<String, Operation> channels;
    private final Supplier<List<String>> notes;

    /**
     * @param channels how each channel is calculated that does not stay, by name, in the order of the image
     * @param notes what a user should know of the result
     */
    ColorOperation(Step step, ColorImage before, Map<String, Operation> channels, Supplier<List<String>> notes) {
        this.step = step;
        this.before = before;
        this.channels = channels;
        this.notes = notes;
    }

    private static ColorOperation on(Step step, ColorImage before, Inputs inputs, List<String> wanted) {
        Step plain = step.without(StepType.CHANNELS);
        Map<String, Operation> channels = new LinkedHashMap<>();
        before.faces().stream().filter(face -> wanted.contains(face.name())).forEach(face ->
                channels.put(face.name(), bound(plain.type().onChannel(plain.onChannel(wanted, face.name()), ChannelsParameter.ALL.indexOf(face.name())),
                        new Inputs(face.image(), reference -> other(inputs.others().apply(reference), face.name(),
                                wanted.contains(ALPHA) && !step.has(Common.CHANNELS), face.image().maximumLevel()), inputs.mostPixels()), face.name())));
        return new ColorOperation(step, before, channels, () -> notes(step, channels));
    }

    /**
     * Returns of another color image the channel of the same name; an image for each channel.
     *
     * @param isJoined whether alpha is that of both together, so that where the other has none it is opaque
     */
    private static Result other(Result other, String channel, boolean isJoined, int maximum) {
        Optional<Image> own = other instanceof ColorImage color ? color.face(channel) : Optional.empty();
        boolean isOpaque = channel.equals(ALPHA) && own.isEmpty() && (isJoined || other instanceof ColorImage);
        return isOpaque ? Image.flat(other.frame().with(maximum), Rational.of(maximum)) : own.map(Result.class::cast).orElse(other);
    }

    private static Operation bound(Step step, Inputs inputs, String channel) {
        try {
            return step.bind(inputs);
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", channel, problem.getMessage());
        }
    }

    /** Where another color image has no alpha, alpha stays that of the first. */
    private static boolean staysAlone(Step step, Inputs inputs, String channel) {
        return channel.equals(ALPHA) && step.references().stream().filter(reference -> !reference.equals(Reference.SELF))
                .map(inputs.others()).anyMatch(other -> other instanceof ColorImage color && color.alpha().isEmpty());
    }

    /**
     * Returns the step bound to the channels.
     *
     * @param step on one image
     * @throws PixeronException if it cannot be applied to one of them; names the channel
     */
    static ColorOperation of(Step step, ColorImage before, Inputs inputs) {
        List<String> there = before.faces().stream().map(Result.Face::name).toList();
        Optional<List<String>> given = step.arguments().find(StepType.CHANNELS);
        List<String> wanted = given.orElseGet(() -> step.type().channels(step, before));
        wanted.stream().filter(name -> !there.contains(name)).findFirst().ifPresent(name -> {
            throw PixeronException.of("Channels (channels) contains %s, but this color image has only %s.", name, String.join(", ", there));
        });
        ColorOperation some = on(step, before, inputs, wanted.stream().filter(name -> !staysAlone(step, inputs, name)).toList());
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
    public ColorImage result(Progress progress) {
        List<Image> made = new ArrayList<>();
        int all = before.faces().size();
        for (Result.Face face : before.faces()) {
            double done = made.size();
            Operation operation = channels.get(face.name());
            made.add(operation == null ? face.image() : result(face.name(), operation,
                    part -> progress.isWanted((done + part) / all)));
        }
        return ColorImage.of(made);
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

    /** Equalized by its own counts, a channel moves against the others, and grays become colors. */
    private static List<String> notes(Step step, Map<String, Operation> channels) {
        List<String> notes = new ArrayList<>();
        channels.forEach((name, operation) -> operation.notes().forEach(note -> notes.add(name + ": " + note)));
        if (step.type().dependsOnCounts() && channels.values().stream().map(ColorOperation::curve).distinct().count() > 1) {
            notes.add("Each channel has its own histogram, so colors change.");
        }
        return notes;
    }

    private static List<Mapping.Entry> curve(Operation operation) {
        return operation.mapping().map(Mapping::entries).orElse(List.of());
    }
}
