package pixeron.chain;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.IntUnaryOperator;
import java.util.function.UnaryOperator;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.Progress;
import pixeron.step.Reference;
import pixeron.step.Step;

/** The image and its steps, in order. Immutable; every change is a new chain that shares what it can. */
public final class Chain {

    private final Result input;
    private final Surroundings around;
    private final List<Stage> stages;

    private Chain(Result input, Surroundings around, List<Stage> stages) {
        this.input = input;
        this.around = around;
        this.stages = List.copyOf(stages);
    }

    /** Returns a chain without steps. */
    public static Chain of(Result input) {
        return new Chain(input, Surroundings.NONE, List.of());
    }

    /** Returns what is in front of the first step, of any kind. */
    public Result input() {
        return input;
    }

    /**
     * Returns the image in front of the first step.
     *
     * @throws PixeronException if it is a color image
     */
    public Image source() {
        return new Outcome.Done(input).image();
    }

    public int size() {
        return stages.size();
    }

    /** Returns the stage at position 0 to size() − 1. */
    public Stage stage(int position) {
        return stages.get(position);
    }

    public List<Stage> stages() {
        return stages;
    }

    public List<Link> links() {
        return stages.stream().map(Stage::link).toList();
    }

    /** Returns the result of the last step, or the source when there is none. */
    public Outcome last(Progress progress) {
        return stages.isEmpty() ? new Outcome.Done(input) : stages.get(size() - 1).after(progress);
    }

    /** Returns this with a new step at the position 0 to size(); the new step has the highest id. */
    public Chain withStep(int position, Step step) {
        return withLink(position, new Link(nextId(), step, true));
    }

    /** Returns this with a link put in at the position 0 to size(); for reading a project. */
    public Chain withLink(int position, Link link) {
        return changed(position, links -> {
            renumber(links.subList(position, links.size()), old -> old > position ? old + 1 : old);
            links.add(position, link);
        });
    }

    /** References of steps follow the steps that they name. */
    private static void renumber(List<Link> links, IntUnaryOperator number) {
        links.replaceAll(link -> new Link(link.id(), link.step().referring(name -> Reference.renumbered(name, number)), link.isOn()));
    }

    /** Returns this with the step at the position replaced; its id and switch stay. */
    public Chain replaced(int position, Step step) {
        Link link = stages.get(position).link();
        return changed(position, links -> links.set(position, new Link(link.id(), step, link.isOn())));
    }

    /** Returns this with the step at the position switched on or off. */
    public Chain switched(int position, boolean isOn) {
        Link link = stages.get(position).link();
        return changed(position, links -> links.set(position, new Link(link.id(), link.step(), isOn)));
    }

    /**
     * Returns this without the step at the position.
     *
     * @throws PixeronException if another step refers to it
     */
    public Chain removed(int position) {
        int number = position + 1;
        for (Stage stage : stages) {
            if (stage.link().step().references().contains(Reference.toStep(number))) {
                throw PixeronException.of("Step %d uses the result of step %d. Change step %1$d first.", stage.position() + 1, number);
            }
        }
        return changed(position, links -> {
            links.remove(position);
            renumber(links, old -> old > number ? old - 1 : old);
        });
    }

    /** Returns this with a copy of the step behind it; the copy has a new id. */
    public Chain duplicated(int position) {
        Link link = stages.get(position).link();
        return withLink(position + 1, new Link(nextId(), link.step(), link.isOn()));
    }

    /**
     * Returns this with the step taken from one position and put in at another; references follow the steps that they name.
     *
     * @throws PixeronException if a step would then refer to one that is not before it
     */
    public Chain moved(int from, int to) {
        return changed(Math.min(from, to), links -> {
            links.add(to, links.remove(from));
            renumber(links, old -> old == 0 ? 0 : movedTo(old - 1, from, to) + 1);
            for (int at = 0; at < links.size(); at++) {
                requireEarlier(links.get(at).step(), at + 1);
            }
        });
    }

    private static int movedTo(int position, int from, int to) {
        return position == from ? to : position > from && position <= to ? position - 1 : position < from && position >= to ? position + 1
                : position;
    }

    private static void requireEarlier(Step step, int number) {
        for (String reference : step.references()) {
            int named = Reference.step(reference).orElse(0);
            if (named >= number) {
                throw PixeronException.of("Cannot move: step %d (%s) needs the result of step %d, which must come before it.", number, step.type().name(),
                        named);
            }
        }
    }

    /** Returns this with the same steps on another image. */
    public Chain onSource(Result other) {
        return new Chain(other, around, List.of()).changed(0, links -> links.addAll(links()));
    }

    /** Returns other images that steps may name, in their order, with their own steps. */
    public Map<String, Chain> others() {
        return around.others();
    }

    /** Returns which other image a step names, and which of its steps. */
    Reference.OfOther named(String reference) {
        return around.named(reference);
    }

    /**
     * Returns what a step that names another image means.
     *
     * @throws PixeronException if there is no such image, or it has no such result
     */
    public Result other(String reference, Progress progress) {
        return around.other(reference, progress);
    }

    /**
     * Returns a result of this chain for a step of another one.
     *
     * @param name what this chain is called there
     * @param number of the step, 0 for the image itself
     * @throws PixeronException if there is no such step, or it has no result; names this chain
     */
    Result result(String name, int number, Progress progress) {
        if (number > size()) {
            throw PixeronException.of("The image %s has no step %d. It has %s.", name, number, size() == 0 ? "no steps" : size() == 1 ? "one step" : size() + " steps");
        } else if (number == 0) {
            return input;
        } else if (stage(number - 1).after(progress) instanceof Outcome.Failed failed) {
            throw PixeronException.of("In the image %s, step %d: %s", name, failed.position() + 1, failed.message());
        }
        return stage(number - 1).after(progress).required();
    }

    /** Returns how many pixels results may have. */
    public long mostPixels() {
        return around.mostPixels();
    }

    /** Returns this with another limit of pixels that results may have. */
    public Chain withMostPixels(long most) {
        return new Chain(input, around.withMostPixels(most), List.of()).changed(0, links -> links.addAll(links()));
    }

    /** Returns this with other images that steps may name; none of them has steps of its own. */
    public Chain withImages(Map<String, Result> images) {
        Map<String, Chain> chains = new LinkedHashMap<>();
        images.forEach((name, image) -> chains.put(name, Chain.of(image)));
        return withOthers(chains);
    }

    /** Returns this with other images that steps may name. Results of steps before the first that names one stay. */
    public Chain withOthers(Map<String, Chain> others) {
        int first = 0;
        while (first < size() && stage(first).link().step().references().stream().allMatch(name -> Reference.step(name).isPresent())) {
            first++;
        }
        return new Chain(input, around.with(others), stages.subList(0, first)).changed(first, links -> links.addAll(links().subList(links.size(), size())));
    }

    /** Returns this with what steps name under other names; the other images stay as they are. */
    public Chain referring(UnaryOperator<String> named) {
        return changed(0, links -> links.replaceAll(link -> new Link(link.id(), link.step().referring(named), link.isOn())));
    }

    private int nextId() {
        return 1 + stages.stream().mapToInt(stage -> stage.link().id()).max().orElse(0);
    }

    /** Stages before the first change are shared; the others are made anew, because their input may be another. */
    private Chain changed(int first, Consumer<List<Link>> change) {
        List<Link> links = new ArrayList<>(links());
        change.accept(links);
        List<Stage> changed = new ArrayList<>(stages.subList(0, first));
        for (Link link : links.subList(first, links.size())) {
            changed.add(new Stage(input, around, changed.isEmpty() ? null : changed.get(changed.size() - 1), link));
        }
        return new Chain(input, around, changed);
    }

    /** Equal source and links. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Chain chain && input.equals(chain.input) && others().equals(chain.others()) && links().equals(chain.links());
    }

    @Override
    public int hashCode() {
        return links().hashCode();
    }
}
