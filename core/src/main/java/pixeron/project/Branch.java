package pixeron.project;

import java.util.Map;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.chain.Chain;
import pixeron.image.Image;

/**
 * A branch of the work.
 *
 * @param name a letter
 * @param chain the image and its steps
 * @param sheets the values by hand by the id of their step
 * @param tables the values by hand in tables, by the id of their step and the name of the table
 */
public record Branch(String name, Chain chain, Map<Integer, HandSheet> sheets,
        Map<Integer, Map<String, HandTable>> tables) {

    public Branch {
        sheets = Map.copyOf(sheets);
        tables = Map.copyOf(tables);
    }

    Branch with(Chain changed) {
        return new Branch(name, changed, sheets, tables);
    }

    Branch with(Map<Integer, HandSheet> changed, Map<Integer, Map<String, HandTable>> changedTables) {
        return new Branch(name, chain, changed, changedTables);
    }

    Branch onSource(Image image) {
        return with(chain.onSource(image));
    }
}
