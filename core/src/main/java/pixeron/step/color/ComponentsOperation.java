package pixeron.step.color;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.image.Components;
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

/**
 * A step on the channels of a color image or the components of a model image: on each as on an image of its own, with its own statistics
 * and counts. Those that were not asked for stay; a step that changes size or maximum level acts on all of them alike.
 *
 * <p>Cost: that of the step for each channel.
 */
public final class ComponentsOperation implements Bound {

    static final List<String> COLOURS = List.of("red", "green", "blue");

    private static final String ALPHA = Components.ALPHA;

    private final Step step;
    private final Components before;
    /** The channels that are worked on, by name, in the order of the image. */
    private final Map<String, Operation> channels;
    private final Supplier<List<String>> notes;

    /**
     * @param channels how each channel is calculated that does not stay, by name, in the order of the image
     * @param notes what a user should know of the result
     */
    ComponentsOperation(Step step, Components before, Map<String, Operation> channels, Supplier<List<String>> notes) {
        this.step = step;
        this.before = before;
        this.channels = channels;
        this.notes = notes;
    }

    private static ComponentsOperation on(Step step, Components before, Inputs inputs, List<String> wanted) {
        Step plain = step.without(StepType.CHANNELS);
        Map<String, Operation> channels = new LinkedHashMap<>();
        before.faces().stream().filter(face -> wanted.contains(face.name())).forEach(face ->
                channels.put(face.name(), bound(plain.type().onChannel(plain.onChannel(wanted, face.name()), before.names().indexOf(face.name())),
                        new Inputs(face.image(), reference -> other(before, step, inputs.others().apply(reference), face.name(),
                                wanted.contains(ALPHA) && !step.has(Common.CHANNELS), face.image().maximumLevel()), inputs.mostPixels()), face.name())));
        return new ComponentsOperation(step, before, channels, () -> notes(step, channels));
    }

    /**
     * Returns of another result of the same kind the component of the same name; an image for each component.
     *
     * @param isJoined whether alpha is that of both together, so that where the other has none it is opaque
     * @throws PixeronException if the other has other components
     */
    private static Result other(Components before, Step step, Result other, String channel, boolean isJoined, int maximum) {
        if (other instanceof Components && !before.matches(other)) {
            throw PixeronException.of("%s: the other image is %s, but this is %s. Both must have the same components in the same scale.", step.type().name(), other.kind(), before.kind());
        }
        Optional<Image> own = other instanceof Components ? other.face(channel) : Optional.empty();
        boolean isOpaque = channel.equals(ALPHA) && own.isEmpty() && (isJoined || other instanceof Components);
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
                .map(inputs.others()).anyMatch(other -> other instanceof Components && other.face(ALPHA).isEmpty());
    }

    /**
     * Returns the step bound to the channels.
     *
     * @param step on one image
     * @throws PixeronException if it cannot be applied to one of them; names the channel
     */
    static ComponentsOperation of(Step step, Components before, Inputs inputs) {
        List<String> there = before.names();
        Optional<List<String>> given = step.arguments().find(StepType.CHANNELS);
        List<String> wanted = given.orElseGet(() -> step.type().channels(step, before));
        wanted.stream().filter(name -> !there.contains(name)).findFirst().ifPresent(name -> {
            throw PixeronException.of("Channels (channels) contains %s, but %s has only %s.", name, before.kind().replaceFirst("^an? ", "this "), String.join(", ", there));
        });
        if (wanted.isEmpty()) {
            return onAll(step, before, inputs);
        }
        ComponentsOperation some = on(step, before, inputs, wanted.stream().filter(name -> !staysAlone(step, inputs, name)).toList());
        requireScale(step, before, some.channels);
        boolean isWhole = some.frame().equals(before.frame()) && step.has(Common.CHANNELS);
        return isWhole || wanted.size() == there.size() ? some : on(step, before, inputs, there);
    }

    /** Of a model image a step names its components, if it does not move pixels of all of them. */
    private static ComponentsOperation onAll(Step step, Components before, Inputs inputs) {
        List<String> there = before.names();
        Supplier<PixeronException> unnamed = () -> PixeronException.of("%s needs channels on %s. Name one or more of %s, such as channels=%s.", step.type().name(), before.kind(),
                String.join(", ", there), there.get(0));
        ComponentsOperation all;
        try {
            all = on(step, before, inputs, there);
        } catch (PixeronException notOnEach) {
            throw step.has(Common.CHANNELS) ? unnamed.get() : notOnEach;
        }
        requireScale(step, before, all.channels);
        if (step.has(Common.CHANNELS) && all.frame().equals(before.frame())) {
            throw unnamed.get();
        }
        return all;
    }

    /** @throws PixeronException if a component of a model would have another maximum */
    private static void requireScale(Step step, Components before, Map<String, Operation> channels) {
        channels.forEach((name, operation) -> {
            if (before.unnamed().isEmpty() && operation.frame().maximumLevel() != before.face(name).orElseThrow().maximumLevel()) {
                throw PixeronException.of("%s changes the maximum level, which the components of %s have from their scale. Convert it back (convert to=rgb) first.",
                        step.type().name(), before.kind());
            }
        });
    }

    @Override
    public Step step() {
        return step;
    }

    @Override
    public Frame frame() {
        return channels.entrySet().stream().findFirst().map(entry -> entry.getValue().frame()).map(frame -> before.unnamed().isEmpty()
                ? before.frame().sized(frame.rows(), frame.columns()) : frame).orElse(before.frame());
    }

    @Override
    public Optional<Operation> face(String name) {
        return Optional.ofNullable(channels.get(name)).or(() -> before.face(name).map(image -> AsItIs.of(image, name)));
    }

    @Override
    public List<String> faces() {
        return before.names();
    }

    @Override
    public Components result(Progress progress) {
        List<Image> made = new ArrayList<>();
        int all = before.faces().size();
        for (Result.Face face : before.faces()) {
            double done = made.size();
            Operation operation = channels.get(face.name());
            made.add(operation == null ? face.image() : result(face.name(), operation,
                    part -> progress.isWanted((done + part) / all)));
        }
        return before.with(made);
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
        if (step.type().dependsOnCounts() && channels.values().stream().map(ComponentsOperation::curve).distinct().count() > 1) {
            notes.add("Each channel has its own histogram, so colors change.");
        }
        return notes;
    }

    private static List<Mapping.Entry> curve(Operation operation) {
        return operation.mapping().map(Mapping::entries).orElse(List.of());
    }
}
