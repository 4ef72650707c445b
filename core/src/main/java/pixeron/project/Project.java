package pixeron.project;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.chain.Chain;
import pixeron.image.Image;
import pixeron.step.gray.GraySource;

/**
 * A person's work: the image, the steps, and the values by hand for each step. Immutable.
 *
 * @param name what it is called
 * @param origin where the image came from
 * @param gray how the chain's image was made of a colour picture; empty when it was gray from the beginning
 * @param present the branch that is worked on: the image and its steps, and the values by hand; those for the making of gray
 *     stand under {@link #GRAY_ID}, and go along from branch to branch
 * @param others the other branches of the work, on the same image
 * @param kernels kernels of one's own that are kept with the project
 */
public record Project(String name, Origin origin, Optional<GraySource> gray, Branch present, List<Branch> others,
        List<OwnKernel> kernels) {

    /** The name of the only branch of a new project. */
    public static final String FIRST_BRANCH = "A";
    /** The position of the image itself, in front of the first step. */
    public static final int SOURCE = -1;
    /** Steps of a chain have ids from 1. */
    static final int GRAY_ID = 0;

    public Project {
        others = List.copyOf(others);
        kernels = List.copyOf(kernels);
    }

    /** @return a project with one branch */
    public static Project of(String name, Origin origin, Chain chain) {
        return new Project(name, origin, Optional.empty(), new Branch(FIRST_BRANCH, chain, Map.of(), Map.of()), List.of(), List.of());
    }

    /** @return a project without steps */
    public static Project of(String name, Origin origin, Image image) {
        return of(name, origin, Chain.of(image));
    }

    /** @return a project without steps, whose image is made of a colour picture */
    public static Project of(String name, Origin origin, GraySource gray) {
        return of(name, origin, gray.image()).withGray(Optional.of(gray));
    }

    public Chain chain() {
        return present.chain();
    }

    /** @return the values by hand by the id of their step; a step without any has no entry */
    public Map<Integer, HandSheet> sheets() {
        return present.sheets();
    }

    /** @return the values by hand in the tables of a step, by its id and the name of the table; none without values */
    public Map<Integer, Map<String, HandTable>> tables() {
        return present.tables();
    }

    /** @return the name of the branch that is worked on */
    public String branch() {
        return present.name();
    }

    private Project with(Branch changed) {
        return with(changed, others);
    }

    private Project with(Branch changed, List<Branch> changedOthers) {
        return new Project(name, origin, gray, changed, changedOthers, kernels);
    }

    private Project withGray(Optional<GraySource> changed) {
        return new Project(name, origin, changed, present, others, kernels);
    }

    private int id(int position) {
        return position == SOURCE ? GRAY_ID : chain().stage(position).link().id();
    }

    /** @return the values by hand for the step at a position, or for the making of gray */
    public HandSheet sheet(int position) {
        return sheets().getOrDefault(id(position), HandSheet.EMPTY);
    }

    /** @return this with a changed chain; values by hand of steps that are gone go with them */
    public Project withChain(UnaryOperator<Chain> change) {
        Chain changed = change.apply(chain());
        // The image is the same for all branches: what is drawn on it shows in each.
        List<Branch> all = changed.source() == chain().source() ? others
                : others.stream().map(other -> other.onSource(changed.source())).toList();
        return with(present.with(changed), all).cleared();
    }

    /** @return this with its gray made in another way; the steps stay */
    public Project withGray(GraySource changed) {
        return withGray(Optional.of(changed)).with(present.onSource(changed.image()),
                others.stream().map(other -> other.onSource(changed.image())).toList());
    }

    /** @return this with its gray image as it is and the colour picture forgotten, so that it can be drawn on */
    public Project withoutColour() {
        return withGray(Optional.empty()).cleared();
    }

    private Project cleared() {
        Map<Integer, HandSheet> kept = new HashMap<>(sheets());
        kept.keySet().removeIf(id -> id == GRAY_ID ? gray.isEmpty()
                : chain().links().stream().noneMatch(link -> link.id() == id));
        Map<Integer, Map<String, HandTable>> keptTables = new HashMap<>(tables());
        keptTables.keySet().removeIf(id -> chain().links().stream().noneMatch(link -> link.id() == id));
        return with(present.with(kept, keptTables));
    }

    /** @return this with changed values by hand for the step at a position */
    public Project withSheet(int position, UnaryOperator<HandSheet> change) {
        HandSheet changed = change.apply(sheet(position));
        Map<Integer, HandSheet> all = new HashMap<>(sheets());
        if (changed.equals(HandSheet.EMPTY)) {
            all.remove(id(position));
        } else {
            all.put(id(position), changed);
        }
        return with(present.with(all, tables()));
    }

    /** @return the values by hand in the tables of the step at a position, by the name of the table */
    public Map<String, HandTable> tables(int position) {
        return position == SOURCE ? Map.of() : tables().getOrDefault(id(position), Map.of());
    }

    /** @return this with changed values by hand in a table of the step at a position */
    public Project withTable(int position, String table, UnaryOperator<HandTable> change) {
        HandTable changed = change.apply(tables(position).getOrDefault(table, HandTable.EMPTY));
        Map<String, HandTable> ofStep = new HashMap<>(tables(position));
        Map<Integer, Map<String, HandTable>> all = new HashMap<>(tables());
        if (changed.isEmpty()) {
            ofStep.remove(table);
        } else {
            ofStep.put(table, changed);
        }
        if (ofStep.isEmpty()) {
            all.remove(id(position));
        } else {
            all.put(id(position), Map.copyOf(ofStep));
        }
        return with(present.with(sheets(), all));
    }

    /** @return this with a kernel of one's own more; it takes the place of one with the same name */
    public Project withKernel(OwnKernel kernel) {
        return new Project(name, origin, gray, present, others, kernel.in(kernels));
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
        all.add(withoutGray());
        return with(new Branch(String.valueOf(next), shared, sheets(), tables()), all).cleared();
    }

    private Branch withoutGray() {
        Map<Integer, HandSheet> ofSteps = new HashMap<>(sheets());
        ofSteps.remove(GRAY_ID);
        return present.with(ofSteps, tables());
    }

    /** @return this with another branch as the one that is worked on; this itself when there is none with that name */
    public Project onBranch(String wanted) {
        return others.stream().filter(other -> other.name().equals(wanted)).findFirst().map(other -> {
            List<Branch> all = new ArrayList<>(others);
            all.remove(other);
            all.add(withoutGray());
            Map<Integer, HandSheet> with = new HashMap<>(other.sheets());
            if (sheets().containsKey(GRAY_ID)) {
                with.put(GRAY_ID, sheets().get(GRAY_ID));
            }
            return with(other.with(with, other.tables()), all);
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
