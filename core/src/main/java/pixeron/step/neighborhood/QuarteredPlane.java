package pixeron.step.neighborhood;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import pixeron.image.Quarters;

/** Some rows of an image of bytes with what is outside around them, their columns in {@link Quarters}. */
final class QuarteredPlane extends RowsAround {

    private static final int FOUR = Quarters.FOUR;

    private final Quarters quarters;
    private final int size;
    private final RowRing<int[][]> rows;
    /** The runs further on in themselves, by how far. */
    private final List<List<RowRing<int[]>>> further;

    /** For reading downwards: only as many rows as the window is high are kept at a time. */
    QuarteredPlane(Margins around) {
        super(around);
        int width = window().width();
        int furthest = (width + FOUR - 2) / FOUR;
        this.size = Quarters.size(columns);
        this.quarters = new Quarters(FOUR * (size + furthest));
        this.rows = new RowRing<>(window().height(), () -> new int[FOUR][size + furthest], this::read);
        this.further = IntStream.range(0, FOUR).mapToObj(run -> IntStream.rangeClosed(0, furthest).mapToObj(by -> new RowRing<>(window().height(),
                () -> new int[size], (n, into) -> System.arraycopy(rows.get(n)[run], by, into, 0, size))).toList()).toList();
    }

    private void read(int n, int[]... into) {
        int from = around.row(n);
        if (from < 0) {
            for (int[] quarter : into) {
                Arrays.fill(quarter, around.outside());
            }
            return;
        }
        quarters.split(around.image(), from, around.left(), into);
        around.forSides((at, column) -> into[run(at)][place(at)] = column < 0 ? around.outside()
                : into[run(around.left() + column)][place(around.left() + column)]);
    }

    /** What stands so many columns further is in another run, or further on in its own. */
    @Override
    public int[] cells(int n, int by, int run) {
        int from = (run + by) % FOUR;
        int on = (run + by) / FOUR;
        return on == 0 ? rows.get(n)[from] : further.get(from).get(on).get(n);
    }

    @Override
    public int runs() {
        return FOUR;
    }

    @Override
    public int length() {
        return size;
    }
}
