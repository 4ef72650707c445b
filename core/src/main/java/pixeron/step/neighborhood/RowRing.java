package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.function.Supplier;

/**
 * Rows that are made when they are first asked for, and kept until as many others were.
 *
 * @param <R> what holds a row; used again
 */
public final class RowRing<R> {

    /** Makes a row. */
    @FunctionalInterface
    public interface Maker<R> {
        void make(int row, R into);
    }

    private final List<R> kept;
    private final int[] rows;
    private final Supplier<R> holder;
    private final Maker<R> maker;

    /**
     * Creates an empty ring of rows.
     *
     * @param capacity how many rows are kept at a time
     * @param holder makes what holds a row
     * @param maker fills it
     */
    public RowRing(int capacity, Supplier<R> holder, Maker<R> maker) {
        this.rows = new int[capacity];
        this.kept = new ArrayList<>(Collections.nCopies(capacity, null));
        this.holder = holder;
        this.maker = maker;
        Arrays.fill(rows, -1);
    }

    /** Returns a row, from 0; it holds until another one takes its place. */
    public R get(int row) {
        int slot = row % rows.length;
        if (rows[slot] != row) {
            rows[slot] = row;
            if (kept.get(slot) == null) {
                kept.set(slot, holder.get());
            }
            maker.make(row, kept.get(slot));
        }
        return kept.get(slot);
    }
}
