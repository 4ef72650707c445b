package pixeron.step.geometry;

import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.step.neighborhood.Border;

/** Where a turned image is read, in doubles: which of its pixels are read nowhere. */
final class TurnBulk {

    private static final int NOT_COUNTED = -1;

    private final Image before;
    private final Frame frame;
    private final double cosine;
    private final double sine;
    private final boolean isLinear;
    private final Border border;
    private volatile int notRead = NOT_COUNTED;

    TurnBulk(Image before, Frame frame, double cosine, double sine, boolean isLinear, Border border) {
        this.before = before;
        this.frame = frame;
        this.cosine = cosine;
        this.sine = sine;
        this.isLinear = isLinear;
        this.border = border;
    }

    /** @return how many pixels of the image before no pixel of the result reads; counted once */
    int notRead() {
        if (notRead == NOT_COUNTED) {
            notRead = counted();
        }
        return notRead;
    }

    private int counted() {
        boolean[] isRead = new boolean[before.count()];
        for (int i = 0; i < frame.rows(); i++) {
            double down = i - (frame.rows() - 1) / 2.0;
            for (int j = 0; j < frame.columns(); j++) {
                double right = j - (frame.columns() - 1) / 2.0;
                double y = Points.near((before.rows() - 1) / 2.0 + right * sine + down * cosine);
                double x = Points.near((before.columns() - 1) / 2.0 + right * cosine - down * sine);
                mark(isRead, y, x);
            }
        }
        int count = 0;
        for (boolean read : isRead) {
            count += read ? 0 : 1;
        }
        return count;
    }

    private void mark(boolean[] isRead, double y, double x) {
        if (!isLinear) {
            mark(isRead, (int) Math.floor(y + 0.5), (int) Math.floor(x + 0.5));
            return;
        }
        int row = (int) Math.floor(y);
        int column = (int) Math.floor(x);
        boolean isOnRow = y == row;
        boolean isOnColumn = x == column;
        mark(isRead, row, column);
        if (!isOnColumn) {
            mark(isRead, row, column + 1);
        }
        if (!isOnRow) {
            mark(isRead, row + 1, column);
        }
        if (!isOnRow && !isOnColumn) {
            mark(isRead, row + 1, column + 1);
        }
    }

    private void mark(boolean[] isRead, int row, int column) {
        int from = border.source(row, before.rows());
        int at = border.source(column, before.columns());
        if (from >= 0 && at >= 0) {
            isRead[from * before.columns() + at] = true;
        }
    }
}
