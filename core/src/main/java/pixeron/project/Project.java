package pixeron.project;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.work.ByHand;
import pixeron.chain.Chain;
import pixeron.chain.Link;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.step.Progress;
import pixeron.step.Reference;

/**
 * A user's work: the image, the steps, and the values by hand for each step; and other images, which can have all of that as well.
 * One of the images is open; what is asked of the project's chain, branches and values by hand is asked of that one. Immutable.
 *
 * @param name what it is called
 * @param main the project's own image and what is done with it
 * @param kernels kernels of one's own that are kept with the project
 * @param images other images, which steps can name
 * @param open the name of the other image that is open; empty when it is the project's own
 */
public record Project(String name, Work main, List<OwnKernel> kernels, List<OtherImage> images, Optional<String> open) {

    /** The name of the only branch of a new project. */
    public static final String FIRST_BRANCH = "A";
    /** The position of the image itself, in front of the first step. */
    public static final int SOURCE = -1;

    public Project {
        kernels = List.copyOf(kernels);
        images = List.copyOf(images);
    }

    /** Returns a project with one branch. */
    public static Project of(String name, Origin origin, Chain chain) {
        return new Project(name, Work.of(origin, chain), List.of(), List.of(), Optional.empty());
    }

    /** Returns a project without steps. */
    public static Project of(String name, Origin origin, Result input) {
        return of(name, origin, Chain.of(input));
    }

    /** Returns what is done with the image that is open. */
    public Work work() {
        return open.map(wanted -> image(wanted).work()).orElse(main);
    }

    /** Returns another image by its name, which there must be. */
    public OtherImage image(String wanted) {
        return images.stream().filter(image -> image.name().equals(wanted)).findFirst().orElseThrow();
    }

    /** Returns where the image that is open came from. */
    public Origin origin() {
        return work().origin();
    }

    public Chain chain() {
        return work().present().chain();
    }

    /** Returns the branch that is worked on. */
    public Branch present() {
        return work().present();
    }

    /** Returns the other branches, on the same image. */
    public List<Branch> others() {
        return work().others();
    }

    /** Returns the name of the branch that is worked on. */
    public String branch() {
        return present().name();
    }

    /** Returns this with another image open. */
    public Project opened(String wanted) {
        return new Project(name, main, kernels, images, Optional.of(image(wanted).name()));
    }

    /** Returns this with the project's own image open. */
    public Project atMain() {
        return new Project(name, main, kernels, images, Optional.empty());
    }

    /** Returns this once for each image with steps, that one open: the project's own first. */
    public List<Project> withEachOpen() {
        return Stream.concat(Stream.of(atMain()), images.stream().filter(image -> image.chain().size() > 0).map(image -> opened(image.name()))).toList();
    }

    private Project with(Work changed) {
        return open.isEmpty() ? new Project(name, changed, kernels, images, open)
                : withImages(images.stream().map(image -> image.name().equals(open.get()) ? new OtherImage(image.name(), changed) : image).toList());
    }

    private Project with(Branch changed) {
        // Values by hand change no result: nothing that names this image is made anew.
        return open.isEmpty() ? with(work().with(changed)) : new Project(name, main, kernels, images.stream().map(image -> image.name().equals(open.get())
                ? new OtherImage(image.name(), image.work().with(changed)) : image).toList(), open);
    }

    /**
     * Returns this with a changed chain; values by hand of steps that are gone go with them, and steps that name a step of an image follow it.
     *
     * @throws PixeronException if a step of another chain names a step that is gone
     */
    public Project withChain(UnaryOperator<Chain> change) {
        Chain before = work().first();
        Work changed = work().withChain(change.apply(chain()));
        return open.isEmpty() ? with(changed) : with(changed).following(open.get(), before.links(), changed.first().links());
    }

    /** Steps that name a step of an image name it under its new number. */
    private Project following(String image, List<Link> before, List<Link> after) {
        List<Integer> ids = after.stream().map(Link::id).toList();
        UnaryOperator<String> named = reference -> {
            Reference.OfOther other = Reference.other(reference);
            int number = other.step().orElse(0);
            if (!other.image().equals(image) || number == 0 || number > before.size()) {
                return reference;
            }
            int at = ids.indexOf(before.get(number - 1).id());
            if (at < 0) {
                throw PixeronException.of("Another step uses %s. Change that step first.", reference);
            }
            return new Reference.OfOther(image, OptionalInt.of(at + 1)).written();
        };
        return referring(named);
    }

    private Project referring(UnaryOperator<String> named) {
        UnaryOperator<Chain> change = chain -> chain.links().stream().flatMap(link -> link.step().references().stream()).allMatch(reference ->
                named.apply(reference).equals(reference)) ? chain : chain.referring(named);
        return new Project(name, main.withChains(change), kernels, images.stream().map(image ->
                new OtherImage(image.name(), image.work().withChains(change))).toList(), open).linked();
    }

    /** Every chain knows the other images as they are now; another image those before it, so that none can lead back to itself. */
    private Project linked() {
        Map<String, Chain> known = new LinkedHashMap<>();
        List<OtherImage> all = new ArrayList<>();
        for (OtherImage image : images) {
            OtherImage now = new OtherImage(image.name(), image.work().withChains(chain -> knowing(chain, known)));
            all.add(now);
            known.put(now.name(), now.chain());
        }
        return new Project(name, main.withChains(chain -> knowing(chain, known)), kernels, all, open);
    }

    /** A chain that knows the very same images keeps its results. */
    private static Chain knowing(Chain chain, Map<String, Chain> images) {
        boolean isSame = List.copyOf(chain.others().keySet()).equals(List.copyOf(images.keySet()))
                && images.entrySet().stream().allMatch(entry -> chain.others().get(entry.getKey()) == entry.getValue());
        return isSame ? chain : chain.withOthers(images);
    }

    private Branch.Face face(int position, String name) {
        return new Branch.Face(chain().stage(position).link().id(), name);
    }

    /**
     * Returns what was written by hand for it.
     *
     * @param position of a step
     * @param face the name of a face of its result
     */
    public ByHand byHand(int position, String face) {
        return present().byHand().getOrDefault(face(position, face), ByHand.NONE);
    }

    /** Returns this with other values by hand for a face of the step at a position. */
    public Project withByHand(int position, String face, UnaryOperator<ByHand> change) {
        return with(present().with(face(position, face), change.apply(byHand(position, face))));
    }

    /** Returns the values by hand for the step at a position, whose result is an image. */
    public HandSheet sheet(int position) {
        return byHand(position, Image.VALUE).sheet();
    }

    /** Returns this with changed values by hand for the step at a position, whose result is an image. */
    public Project withSheet(int position, UnaryOperator<HandSheet> change) {
        return withByHand(position, Image.VALUE, written -> written.withSheet(change));
    }

    /** Returns this with changed values by hand in a table of the step at a position, whose result is an image. */
    public Project withTable(int position, String table, UnaryOperator<HandTable> change) {
        return withByHand(position, Image.VALUE, written -> written.withTable(table, change));
    }

    /** Returns this with another custom kernel; it replaces one with the same name. */
    public Project withKernel(OwnKernel kernel) {
        return new Project(name, main, kernel.in(kernels), images, open);
    }

    /** Returns this with these other images, which the steps of all branches know; the project's own image is open when that which was is gone. */
    public Project withImages(List<OtherImage> changed) {
        boolean isThere = open.isPresent() && changed.stream().anyMatch(image -> image.name().equals(open.get()));
        return new Project(name, main, kernels, changed, isThere ? open : Optional.empty()).linked();
    }

    /**
     * Returns this with another image more.
     *
     * @param like what its name shall be like
     */
    public Project withImage(String like, Origin from, Result image) {
        List<OtherImage> all = new ArrayList<>(images);
        all.add(OtherImage.of(OtherImage.nameLike(like, images), from, image));
        return withImages(all);
    }

    /**
     * Returns this with the last result of another image as the project's own image, under the same steps. The image that was there is
     * put with the others, unless it is one of them.
     *
     * @throws PixeronException if the other image's steps have no result, or a spectrum
     */
    public Project using(String wanted, Progress progress) {
        OtherImage other = image(wanted);
        Result result = other.chain().last(progress).required();
        if (result instanceof ModelImage model) {
            throw PixeronException.of("The last result of %s is %s, but an image is needed. Convert it back (convert to=rgb) first.", wanted, model.kind());
        } else if (result instanceof Spectrum) {
            throw PixeronException.of("The last result of %s is a spectrum, but an image is needed. Add the step fourier-inverse.", wanted);
        }
        Result old = main.present().chain().input();
        boolean isKept = images.stream().anyMatch(image -> image.input().equals(old));
        Project with = isKept ? this : withImage(main.origin().file().isBlank() ? "image" : main.origin().file(), main.origin(), old);
        return new Project(name, with.main.from(other.origin().after(other.chain().links(), result), result), kernels, with.images, Optional.empty());
    }

    /**
     * Returns this with another image under another name; steps of all branches that name it follow.
     *
     * @throws pixeron.PixeronException if the new name is none, or taken
     */
    public Project renamed(String old, String other) {
        if (!other.equals(old) && images.stream().anyMatch(image -> image.name().equals(other))) {
            throw PixeronException.of("There is already an image named %s.", other);
        }
        Reference.requireName(other);
        List<OtherImage> all = images.stream().map(image -> image.name().equals(old) ? new OtherImage(other, image.work()) : image).toList();
        return new Project(name, main, kernels, all, open.map(wanted -> wanted.equals(old) ? other : wanted)).referring(reference -> {
            Reference.OfOther named = Reference.other(reference);
            return named.image().equals(old) ? new Reference.OfOther(other, named.step()).written() : reference;
        });
    }

    /** Returns the names of all branches, in their order. */
    public List<String> branches() {
        return work().branches().stream().map(Branch::name).toList();
    }

    /**
     * Begins a branch: the steps up to a position with their values by hand, to be gone on from in another way.
     *
     * @param position the last step that the new branch has; {@link #SOURCE} for none
     * @return this with the new branch as the one that is worked on
     */
    public Project branched(int position) {
        return with(work().branched(position));
    }

    /** Returns this with another branch as the one that is worked on; this itself when there is none with that name. */
    public Project onBranch(String wanted) {
        return with(work().onBranch(wanted));
    }

    /** Returns this without the branch that is worked on; the last one stays. */
    public Project withoutBranch() {
        return with(work().withoutBranch());
    }

    /** Returns the chain of a branch. */
    public Chain chain(String of) {
        return work().branches().stream().filter(branch -> branch.name().equals(of)).findFirst().orElseThrow().chain();
    }
}
