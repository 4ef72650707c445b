package pixeron.project;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import pixeron.byhand.work.ByHand;
import pixeron.chain.Chain;
import pixeron.image.Result;

/**
 * A branch of the work.
 *
 * @param name a letter
 * @param chain the image and its steps
 * @param byHand what was written by hand; a face without anything has no entry
 */
public record Branch(String name, Chain chain, Map<Face, ByHand> byHand) {

    /**
     * What values by hand are for.
     *
     * @param step the id of the step
     * @param name of a face of its result
     */
    public record Face(int step, String name) {
    }

    public Branch {
        byHand = Map.copyOf(byHand);
    }

    /** Returns this with a changed chain; values by hand of steps that are gone go with them. */
    Branch with(Chain changed) {
        return new Branch(name, changed, byHand.entrySet().stream().filter(entry -> changed.links().stream().anyMatch(link ->
                link.id() == entry.getKey().step())).collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
    }

    Branch with(Face face, ByHand written) {
        Map<Face, ByHand> all = new HashMap<>(byHand);
        if (written.isEmpty()) {
            all.remove(face);
        } else {
            all.put(face, written);
        }
        return new Branch(name, chain, all);
    }

    Branch onInput(Result input) {
        return with(chain.onSource(input));
    }
}
