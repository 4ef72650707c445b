package pixeron.project;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import pixeron.chain.Chain;
import pixeron.image.Result;

/**
 * What is done with one image of a project: the project's own, or another one.
 *
 * @param origin where the image came from
 * @param present the branch that is worked on: the image and its steps, and the values by hand
 * @param others the other branches, on the same image
 */
public record Work(Origin origin, Branch present, List<Branch> others) {

    public Work {
        others = List.copyOf(others);
    }

    /** Returns work with one branch that has no values by hand. */
    static Work of(Origin origin, Chain chain) {
        return new Work(origin, new Branch(Project.FIRST_BRANCH, chain, Map.of()), List.of());
    }

    /** Returns all branches, in the order of their names. */
    List<Branch> branches() {
        return Stream.concat(Stream.of(present), others.stream()).sorted(Comparator.comparing(Branch::name)).toList();
    }

    /** Returns the chain that is meant where the image is named: that of the first branch. */
    Chain first() {
        return branches().get(0).chain();
    }

    Work with(Branch changed) {
        return new Work(origin, changed, others);
    }

    /** Returns this with the present branch on another chain; the image is the same for all branches: what is drawn on it shows in each. */
    Work withChain(Chain changed) {
        return new Work(origin, present.with(changed), changed.input() == present.chain().input() ? others
                : others.stream().map(other -> other.onInput(changed.input())).toList());
    }

    /** Returns this with the chains of all branches changed; their steps keep their ids. */
    Work withChains(UnaryOperator<Chain> change) {
        return new Work(origin, present.with(change.apply(present.chain())), others.stream().map(other ->
                other.with(change.apply(other.chain()))).toList());
    }

    /** Returns this with its steps on another image. */
    Work from(Origin other, Result input) {
        return new Work(other, present, others).withChain(present.chain().onSource(input));
    }

    /** Returns this with a branch more, which is the one that is worked on. */
    Work branched(int position) {
        Chain shared = present.chain();
        while (shared.size() > position + 1) {
            shared = shared.removed(shared.size() - 1);
        }
        List<String> taken = branches().stream().map(Branch::name).toList();
        char next = 'A';
        while (taken.contains(String.valueOf(next))) {
            next++;
        }
        List<Branch> all = new ArrayList<>(others);
        all.add(present);
        return new Work(origin, new Branch(String.valueOf(next), present.chain(), present.byHand()).with(shared), all);
    }

    /** Returns this with another branch as the one that is worked on; this itself when there is none with that name. */
    Work onBranch(String wanted) {
        return others.stream().filter(other -> other.name().equals(wanted)).findFirst().map(other -> {
            List<Branch> all = new ArrayList<>(others);
            all.remove(other);
            all.add(present);
            return new Work(origin, other, all);
        }).orElse(this);
    }

    /** Returns this without the branch that is worked on; the last one stays. */
    Work withoutBranch() {
        if (others.isEmpty()) {
            return this;
        }
        Work other = onBranch(others.get(others.size() - 1).name());
        return new Work(origin, other.present, other.others.stream().filter(left -> !left.name().equals(present.name())).toList());
    }
}
