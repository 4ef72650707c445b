package pixeron.chain;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.Progress;
import pixeron.step.Step;

/** The image and its steps, in order. Immutable; every change is a new chain that shares what it can. */
public final class Chain {

    private final Result input;
    private final List<Stage> stages;

    private Chain(Result input, List<Stage> stages) {
        this.input = input;
        this.stages = List.copyOf(stages);
    }

    /** @return a chain without steps */
    public static Chain of(Result input) {
        return new Chain(input, List.of());
    }

    /** @return what stands in front of the first step, of any kind */
    public Result input() {
        return input;
    }

    /**
     * @return the image in front of the first step
     * @throws PixeronException if it is a colour image
     */
    public Image source() {
        return new Outcome.Done(input).image();
    }

    public int size() {
        return stages.size();
    }

    /** @return the stage at position 0 … size() − 1 */
    public Stage stage(int position) {
        return stages.get(position);
    }

    public List<Stage> stages() {
        return stages;
    }

    public List<Link> links() {
        return stages.stream().map(Stage::link).toList();
    }

    /** @return the result of the last step, or the source when there is none */
    public Outcome last(Progress progress) {
        return stages.isEmpty() ? new Outcome.Done(input) : stages.get(size() - 1).after(progress);
    }

    /** @return this with a new step at the position 0 … size(); the new step has the highest id */
    public Chain withStep(int position, Step step) {
        return withLink(position, new Link(nextId(), step, true));
    }

    /** @return this with a link put in at the position 0 … size(); for reading a project */
    public Chain withLink(int position, Link link) {
        return changed(position, links -> links.add(position, link));
    }

    /** @return this with the step at the position replaced; its id and switch stay */
    public Chain replaced(int position, Step step) {
        Link link = stages.get(position).link();
        return changed(position, links -> links.set(position, new Link(link.id(), step, link.isOn())));
    }

    /** @return this with the step at the position switched on or off */
    public Chain switched(int position, boolean isOn) {
        Link link = stages.get(position).link();
        return changed(position, links -> links.set(position, new Link(link.id(), link.step(), isOn)));
    }

    /** @return this without the step at the position */
    public Chain removed(int position) {
        return changed(position, links -> links.remove(position));
    }

    /** @return this with a copy of the step behind it; the copy has a new id */
    public Chain duplicated(int position) {
        Link link = stages.get(position).link();
        return withLink(position + 1, new Link(nextId(), link.step(), link.isOn()));
    }

    /** @return this with the step taken from one position and put in at another */
    public Chain moved(int from, int to) {
        return changed(Math.min(from, to), links -> links.add(to, links.remove(from)));
    }

    /** @return this with the same steps on another image */
    public Chain onSource(Result other) {
        return new Chain(other, List.of()).changed(0, links -> links.addAll(links()));
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
            changed.add(new Stage(input, changed.isEmpty() ? null : changed.get(changed.size() - 1), link));
        }
        return new Chain(input, changed);
    }

    /** Equal source and links. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Chain chain && input.equals(chain.input) && links().equals(chain.links());
    }

    @Override
    public int hashCode() {
        return links().hashCode();
    }
}
