package pixeron.step.neighborhood;

/** Rows of a result with what is outside around them, as {@link Margins} say. */
abstract class RowsAround implements CellRows {

    final Margins around;
    final int columns;

    RowsAround(Margins around) {
        this.around = around;
        this.columns = around.resultColumns();
    }

    @Override
    public final int columns() {
        return columns;
    }

    @Override
    public final Window window() {
        return around.window();
    }
}
