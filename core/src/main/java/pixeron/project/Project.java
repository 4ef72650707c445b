package pixeron.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.work.ByHand;
import pixeron.chain.Chain;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.Reference;

/**
 * A person's work: the image, the steps, and the values by hand for each step. Immutable.
 *
 * @param name what it is called
 * @param origin where the image came from
 * @param present the branch that is worked on: the image and its steps, and the values by hand
 * @param others the other branches of the work, on the same image
 * @param kernels kernels of one's own that are kept with the project
 * @param images other images, which steps of all branches can name
 */
public record Project(String name, Origin origin, Branch present, List<Branch> others, List<OwnKernel> kernels,
        List<OtherImage> images) {

    /** The name of the only branch of a new project. */
    public static final String FIRST_BRANCH = "A";
    /** The position of the image itself, in front of the first step. */
    public static final int SOURCE = -1;

    public Project {
        others = List.copyOf(others);
        kernels = List.copyOf(kernels);
        images = List.copyOf(images);
    }

    /** @return a project with one branch */
    public static Project of(String name, Origin origin, Chain chain) {
        return new Project(name, origin, new Branch(FIRST_BRANCH, chain, Map.of()), List.of(), List.of(), List.of());
    }

    /** @return a project without steps */
    public static Project of(String name, Origin origin, Result input) {
        return of(name, origin, Chain.of(input));
    }

    public Chain chain() {
        return present.chain();
    }

    /** @return the name of the branch that is worked on */
    public String branch() {
        return present.name();
    }

    private Project with(Branch changed) {
        return with(changed, others);
    }

    private Project with(Branch changed, List<Branch> changedOthers) {
        return new Project(name, origin, changed, changedOthers, kernels, images);
    }

    /** @return this with a changed chain; values by hand of steps that are gone go with them */
    public Project withChain(UnaryOperator<Chain> change) {
        Chain changed = change.apply(chain());
        // The image is the same for all branches: what is drawn on it shows in each.
        List<Branch> all = changed.input() == chain().input() ? others
                : others.stream().map(other -> other.onInput(changed.input())).toList();
        return with(present.with(changed), all);
    }

    private Branch.Face face(int position, String name) {
        return new Branch.Face(chain().stage(position).link().id(), name);
    }

    /**
     * @param position of a step
     * @param face the name of a face of its result
     * @return what was written by hand for it
     */
    public ByHand byHand(int position, String face) {
        return present.byHand().getOrDefault(face(position, face), ByHand.NONE);
    }

    /** @return this with other values by hand for a face of the step at a position */
    public Project withByHand(int position, String face, UnaryOperator<ByHand> change) {
        return with(present.with(face(position, face), change.apply(byHand(position, face))));
    }

    /** @return the values by hand for the step at a position, whose result is an image */
    public HandSheet sheet(int position) {
        return byHand(position, Image.VALUE).sheet();
    }

    /** @return this with changed values by hand for the step at a position, whose result is an image */
    public Project withSheet(int position, UnaryOperator<HandSheet> change) {
        return withByHand(position, Image.VALUE, written -> written.withSheet(change));
    }

    /** @return this with changed values by hand in a table of the step at a position, whose result is an image */
    public Project withTable(int position, String table, UnaryOperator<HandTable> change) {
        return withByHand(position, Image.VALUE, written -> written.withTable(table, change));
    }

    /** @return this with a kernel of one's own more; it takes the place of one with the same name */
    public Project withKernel(OwnKernel kernel) {
        return new Project(name, origin, present, others, kernel.in(kernels), images);
    }

    /** @return this with these other images, which the steps of all branches know */
    public Project withImages(List<OtherImage> changed) {
        Map<String, Result> named = OtherImage.byName(changed);
        return new Project(name, origin, present.with(chain().withImages(named)), others.stream().map(other ->
                other.with(other.chain().withImages(named))).toList(), kernels, changed);
    }

    /**
     * @param like what its name shall be like
     * @return this with another image more
     */
    public Project withImage(String like, Origin from, Result image) {
        List<OtherImage> all = new ArrayList<>(images);
        all.add(new OtherImage(OtherImage.nameLike(like, images), from, image));
        return withImages(all);
    }

    /**
     * @return this with another image under another name; steps of all branches that name it follow
     * @throws pixeron.PixeronException if the new name is none, or taken
     */
    public Project renamed(String old, String other) {
        if (!other.equals(old) && images.stream().anyMatch(image -> image.name().equals(other))) {
            throw PixeronException.of("There is another image %s already.", other);
        }
        Reference.requireName(other);
        return new Project(name, origin, present.with(chain().renamed(old, other)), others.stream().map(branch ->
                branch.with(branch.chain().renamed(old, other))).toList(), kernels, images.stream().map(image -> image.name().equals(old)
                        ? new OtherImage(other, image.origin(), image.result()) : image).toList());
    }

    /** @return the names of all branches, in their order */
    public List<String> branches() {
        return Stream.concat(Stream.of(branch()), others.stream().map(Branch::name)).sorted().toList();
    }

    /**
     * Begins a branch: the steps up to a position with their values by hand, to be gone on from in another way.
     *
     * @param position the last step that the new branch has; {@link #SOURCE} for none
     * @return this with the new branch as the one that is worked on
     */
    public Project branched(int position) {
        Chain shared = chain();
        while (shared.size() > position + 1) {
            shared = shared.removed(shared.size() - 1);
        }
        char next = 'A';
        while (branches().contains(String.valueOf(next))) {
            next++;
        }
        List<Branch> all = new ArrayList<>(others);
        all.add(present);
        return with(new Branch(String.valueOf(next), chain(), present.byHand()).with(shared), all);
    }

    /** @return this with another branch as the one that is worked on; this itself when there is none with that name */
    public Project onBranch(String wanted) {
        return others.stream().filter(other -> other.name().equals(wanted)).findFirst().map(other -> {
            List<Branch> all = new ArrayList<>(others);
            all.remove(other);
            all.add(present);
            return with(other, all);
        }).orElse(this);
    }

    /** @return this without the branch that is worked on; the last one stays */
    public Project withoutBranch() {
        if (others.isEmpty()) {
            return this;
        }
        Project other = onBranch(others.get(others.size() - 1).name());
        return other.with(other.present, other.others.stream().filter(left -> !left.name().equals(branch())).toList());
    }

    /** @return the chain of a branch */
    public Chain chain(String of) {
        return of.equals(branch()) ? chain() : others.stream().filter(other -> other.name().equals(of)).findFirst()
                .orElseThrow().chain();
    }
}
