package pixeron.project;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
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
 * @param chain the image and its steps
 * @param sheets the values by hand by the id of their step, {@link #GRAY_ID} for the making of gray; a step without any
 *     has no entry
 * @param tables the values by hand in the tables of a step, by its id and the name of the table; none without values
 */
public record Project(String name, Origin origin, Optional<GraySource> gray, Chain chain,
        Map<Integer, HandSheet> sheets, Map<Integer, Map<String, HandTable>> tables) {

    /** The position of the image itself, in front of the first step. */
    public static final int SOURCE = -1;
    /** Steps of a chain have ids from 1. */
    static final int GRAY_ID = 0;

    public Project {
        sheets = Map.copyOf(sheets);
        tables = Map.copyOf(tables);
    }

    /** @return a project without steps */
    public static Project of(String name, Origin origin, Image image) {
        return new Project(name, origin, Optional.empty(), Chain.of(image), Map.of(), Map.of());
    }

    /** @return a project without steps, whose image is made of a colour picture */
    public static Project of(String name, Origin origin, GraySource gray) {
        return new Project(name, origin, Optional.of(gray), Chain.of(gray.image()), Map.of(),
                Map.of());
    }

    private int id(int position) {
        return position == SOURCE ? GRAY_ID : chain.stage(position).link().id();
    }

    /** @return the values by hand for the step at a position, or for the making of gray */
    public HandSheet sheet(int position) {
        return sheets.getOrDefault(id(position), HandSheet.EMPTY);
    }

    /** @return this with a changed chain; values by hand of steps that are gone go with them */
    public Project withChain(UnaryOperator<Chain> change) {
        return new Project(name, origin, gray, change.apply(chain), sheets, tables).cleared();
    }

    /** @return this with its gray made in another way; the steps stay */
    public Project withGray(GraySource changed) {
        return new Project(name, origin, Optional.of(changed), chain.onSource(changed.image()), sheets,
                tables);
    }

    /** @return this with its gray image as it is and the colour picture forgotten, so that it can be drawn on */
    public Project withoutColour() {
        return new Project(name, origin, Optional.empty(), chain, sheets, tables).cleared();
    }

    private Project cleared() {
        Map<Integer, HandSheet> kept = new HashMap<>(sheets);
        kept.keySet().removeIf(id -> id == GRAY_ID ? gray.isEmpty()
                : chain.links().stream().noneMatch(link -> link.id() == id));
        Map<Integer, Map<String, HandTable>> keptTables = new HashMap<>(tables);
        keptTables.keySet().removeIf(id -> chain.links().stream().noneMatch(link -> link.id() == id));
        return new Project(name, origin, gray, chain, kept, keptTables);
    }

    /** @return this with changed values by hand for the step at a position */
    public Project withSheet(int position, UnaryOperator<HandSheet> change) {
        HandSheet changed = change.apply(sheet(position));
        Map<Integer, HandSheet> all = new HashMap<>(sheets);
        if (changed.equals(HandSheet.EMPTY)) {
            all.remove(id(position));
        } else {
            all.put(id(position), changed);
        }
        return new Project(name, origin, gray, chain, all, tables);
    }

    /** @return the values by hand in the tables of the step at a position, by the name of the table */
    public Map<String, HandTable> tables(int position) {
        return position == SOURCE ? Map.of() : tables.getOrDefault(id(position), Map.of());
    }

    /** @return this with changed values by hand in a table of the step at a position */
    public Project withTable(int position, String table, UnaryOperator<HandTable> change) {
        HandTable changed = change.apply(tables(position).getOrDefault(table, HandTable.EMPTY));
        Map<String, HandTable> ofStep = new HashMap<>(tables(position));
        Map<Integer, Map<String, HandTable>> all = new HashMap<>(tables);
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
        return new Project(name, origin, gray, chain, sheets, all);
    }
}
