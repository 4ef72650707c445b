package pixeron.project;

import java.util.HashMap;
import java.util.Map;
import java.util.function.UnaryOperator;
import pixeron.byhand.HandSheet;
import pixeron.chain.Chain;
import pixeron.chain.Link;
import pixeron.image.Image;

/**
 * A person's work: the image, the steps, and the values by hand for each step. Immutable.
 *
 * @param name what it is called
 * @param origin where the image came from
 * @param chain the image and its steps
 * @param sheets the values by hand by the id of their step; a step without any has no entry
 */
public record Project(String name, Origin origin, Chain chain, Map<Integer, HandSheet> sheets) {

    public Project {
        sheets = Map.copyOf(sheets);
    }

    /** @return a project without steps */
    public static Project of(String name, Origin origin, Image image) {
        return new Project(name, origin, Chain.of(image), Map.of());
    }

    /** @return the values by hand for the step at a position */
    public HandSheet sheet(int position) {
        return sheets.getOrDefault(chain.stage(position).link().id(), HandSheet.EMPTY);
    }

    /** @return this with a changed chain; values by hand of steps that are gone go with them */
    public Project withChain(UnaryOperator<Chain> change) {
        Chain changed = change.apply(chain);
        Map<Integer, HandSheet> kept = new HashMap<>(sheets);
        kept.keySet().retainAll(changed.links().stream().map(Link::id).toList());
        return new Project(name, origin, changed, kept);
    }

    /** @return this with changed values by hand for the step at a position */
    public Project withSheet(int position, UnaryOperator<HandSheet> change) {
        HandSheet changed = change.apply(sheet(position));
        Map<Integer, HandSheet> all = new HashMap<>(sheets);
        int id = chain.stage(position).link().id();
        if (changed.equals(HandSheet.EMPTY)) {
            all.remove(id);
        } else {
            all.put(id, changed);
        }
        return new Project(name, origin, chain, all);
    }
}
