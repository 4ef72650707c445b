package pixeron.step.neighborhood;

import java.util.Arrays;
import pixeron.image.Image;
import pixeron.image.Lanes;
import pixeron.image.Quarters;

/** Some rows of an image of bytes with what is outside around them, two columns in one number: even columns are one run of {@link Lanes}, odd ones another. */
final class LanePlane extends RowsAround {

    private final Lanes lanes;
    private final int size;
    private final RowRing<int[][]> rows;

    /** For reading downwards: only as many rows as the window is high are kept at a time. */
    LanePlane(Margins around) {
        super(around);
        this.size = Quarters.size(columns);
        // The odd run's last cell begins a column further on than the even run's.
        int begins = window().width() + 1;
        this.lanes = new Lanes(columns, begins);
        this.rows = new RowRing<>(window().height(), () -> new int[begins + begins % 2][size], this::read);
    }

    /** Returns whether what is outside is a byte too. */
    static boolean isPossible(Margins around) {
        return around.outside() >= 0 && around.outside() <= Image.BYTE_MAXIMUM;
    }

    private void read(int n, int[]... into) {
        int from = around.row(n);
        if (from < 0) {
            for (int[] begin : into) {
                Arrays.fill(begin, around.outside() * Lanes.BOTH);
            }
            return;
        }
        lanes.take(around.image(), from, around.left());
        around.forSides((at, column) -> lanes.put(at, column < 0 ? around.outside() : lanes.level(around.left() + column)));
        for (int begin = 0; begin < into.length; begin += 2) {
            lanes.read(begin, into[begin], into[begin + 1]);
        }
    }

    @Override
    public int[] cells(int n, int by, int run) {
        return rows.get(n)[run + by];
    }

    @Override
    public int runs() {
        return 2;
    }

    @Override
    public int place(int column) {
        return column / Quarters.FOUR;
    }

    /** Returns the bits by which a column's number is shifted up. */
    int shift(int column) {
        return column / 2 % 2 * Lanes.BITS;
    }

    @Override
    public int length() {
        return size;
    }
}
