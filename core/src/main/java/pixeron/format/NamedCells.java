package pixeron.format;

/**
 * A sheet of a file with cells.
 *
 * @param name what the sheet is called; empty where a file has only one without a name
 * @param cells its cells, from its first row and column on
 */
public record NamedCells(String name, CellTable cells) {
}
