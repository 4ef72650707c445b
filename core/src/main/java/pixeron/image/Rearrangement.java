package pixeron.image;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Samples of an image in other places: the row and the column that each comes from depend on its own row and column alone.
 *
 * <p>Cost: one look-up a pixel; whole rows are copied where their samples stay beside each other.
 *
 * @param frame of the result
 * @param rows the row that is read, −1 for none: for each row of the result, or for each of its columns when rows and columns
 *     are exchanged
 * @param columns the column that is read, −1 for none: for each column of the result, or for each of its rows
 * @param isExchanged whether rows are read for columns
 */
public record Rearrangement(Frame frame, int[] rows, int[] columns, boolean isExchanged) {

    /** Side of a square that is exchanged at once: its rows and columns both stay near to the processor. */
    private static final int BLOCK = 64;
    private static final int SQUARE_ROW = BLOCK + Long.BYTES;
    /** Shorter runs than this on average are copied byte by byte. */
    private static final int LEAST_RUN = 8;
    private static final VarHandle EIGHT = MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.LITTLE_ENDIAN);
    private static final long HALF = 0xFFFFFFFFL;
    private static final long QUARTERS = 0x0000FFFF0000FFFFL;
    private static final long EIGHTHS = 0x00FF00FF00FF00FFL;

    /**
     * Returns the image rearranged.
     *
     * @param outside what is where nothing is read
     */
    public Image of(Image image, Value outside) {
        boolean isLevel = image.isLevelImage() && Image.isLevel(outside, frame.maximumLevel());
        if (!isLevel) {
            Value[] values = new Value[frame.count()];
            Arrays.setAll(values, n -> {
                int from = offset(n / frame.columns(), n % frame.columns(), image.columns());
                return from < 0 ? outside : image.value(from);
            });
            return Image.from(frame.rows(), frame.columns(), frame.maximumLevel(), values);
        }
        int level = ((Rational) outside).toInt();
        return image.samples() instanceof ByteSamples bytes ? image(new ByteSamples(bytes(bytes.bytes(), image.columns(), (byte) level)))
                : image(new WordSamples(words(((WordSamples) image.samples()).words(), image.columns(), (char) level)));
    }

    private Image image(Samples samples) {
        return new Image(frame.rows(), frame.columns(), frame.maximumLevel(), samples);
    }

    private int offset(int i, int j, int width) {
        int row = isExchanged ? rows[j] : rows[i];
        int column = isExchanged ? columns[i] : columns[j];
        return row < 0 || column < 0 ? -1 : row * width + column;
    }

    /**
     * Columns beside each other that are read one after the other.
     *
     * @param at the first column of the result
     * @param from the column that it reads
     * @param step 1 forwards, −1 backwards, 0 where nothing is read
     */
    private record Run(int at, int length, int from, int step) {
    }

    private List<Run> runs() {
        List<Run> runs = new ArrayList<>();
        int at = 0;
        while (at < columns.length) {
            int end = at + 1;
            int step = columns[at] < 0 ? 0 : end < columns.length && columns[end] == columns[at] - 1 && columns[end] >= 0 ? -1 : 1;
            while (end < columns.length && (step == 0 ? columns[end] < 0 : columns[end] == columns[end - 1] + step && columns[end] >= 0)) {
                end++;
            }
            runs.add(new Run(at, end - at, columns[at], step));
            at = end;
        }
        return runs;
    }

    private byte[] bytes(byte[] in, int width, byte outside) {
        byte[] out = new byte[frame.count()];
        if (isExchanged) {
            exchange(in, width, out, outside);
            return out;
        }
        List<Run> runs = runs();
        boolean isInRuns = runs.size() <= columns.length / LEAST_RUN + 1;
        inStripes((first, last) -> {
            for (int i = first; i < last; i++) {
                int at = i * columns.length;
                int from = rows[i] * width;
                if (rows[i] < 0) {
                    Arrays.fill(out, at, at + columns.length, outside);
                } else if (i > first && rows[i] == rows[i - 1]) {
                    System.arraycopy(out, at - columns.length, out, at, columns.length);
                } else if (isInRuns) {
                    runs.forEach(run -> copy(in, from, out, at, run, outside));
                } else {
                    for (int j = 0; j < columns.length; j++) {
                        out[at + j] = columns[j] < 0 ? outside : in[from + columns[j]];
                    }
                }
            }
        });
        return out;
    }

    private static void copy(byte[] in, int from, byte[] out, int at, Run run, byte outside) {
        if (run.step > 0) {
            System.arraycopy(in, from + run.from, out, at + run.at, run.length);
        } else if (run.step == 0) {
            Arrays.fill(out, at + run.at, at + run.at + run.length, outside);
        } else {
            int last = from + run.from;
            int n = 0;
            for (; n + Long.BYTES <= run.length; n += Long.BYTES) {
                EIGHT.set(out, at + run.at + n, Long.reverseBytes((long) EIGHT.get(in, last - n - Long.BYTES + 1)));
            }
            for (; n < run.length; n++) {
                out[at + run.at + n] = in[last - n];
            }
        }
    }

    private void exchange(byte[] in, int width, byte[] out, byte outside) {
        List<Run> runs = runs();
        boolean isWhole = runs.size() == 1 && runs.get(0).step > 0 && Arrays.stream(rows).allMatch(row -> row >= 0);
        int start = columns[0];
        inStripes((first, last) -> {
            // Rows of an image lie a multiple of 4096 bytes apart only too often and then push each other out of what is near to the
            // processor; a square's rows in a room of its own do not.
            byte[] square = new byte[BLOCK * SQUARE_ROW];
            for (int left = 0; left < frame.columns(); left += BLOCK) {
                int right = Math.min(frame.columns(), left + BLOCK);
                int down = isWhole ? first + (last - first) / Long.BYTES * Long.BYTES : first;
                int across = isWhole ? left + (right - left) / Long.BYTES * Long.BYTES : left;
                for (int j = left; j < across; j += Long.BYTES) {
                    for (int i = first; i < down; i += Long.BYTES) {
                        exchangeEight(in, width, j, start + i, square, (i - first) * SQUARE_ROW + j - left);
                    }
                }
                for (int i = first; i < last; i++) {
                    int done = i < down ? across : left;
                    System.arraycopy(square, (i - first) * SQUARE_ROW, out, i * frame.columns() + left, done - left);
                    for (int j = done; j < right; j++) {
                        int from = offset(i, j, width);
                        out[i * frame.columns() + j] = from < 0 ? outside : in[from];
                    }
                }
            }
        });
    }

    /** Eight rows of eight bytes each in eight whole numbers; halves, quarters and eighths of them change places. */
    private void exchangeEight(byte[] in, int width, int j, int column, byte[] out, int first) {
        long a = (long) EIGHT.get(in, rows[j] * width + column);
        long b = (long) EIGHT.get(in, rows[j + 1] * width + column);
        long c = (long) EIGHT.get(in, rows[j + 2] * width + column);
        long d = (long) EIGHT.get(in, rows[j + 3] * width + column);
        long e = (long) EIGHT.get(in, rows[j + 4] * width + column);
        long f = (long) EIGHT.get(in, rows[j + 5] * width + column);
        long g = (long) EIGHT.get(in, rows[j + 6] * width + column);
        long h = (long) EIGHT.get(in, rows[j + 7] * width + column);
        long t = (a >>> 32 ^ e) & HALF;
        a ^= t << 32;
        e ^= t;
        t = (b >>> 32 ^ f) & HALF;
        b ^= t << 32;
        f ^= t;
        t = (c >>> 32 ^ g) & HALF;
        c ^= t << 32;
        g ^= t;
        t = (d >>> 32 ^ h) & HALF;
        d ^= t << 32;
        h ^= t;
        t = (a >>> 16 ^ c) & QUARTERS;
        a ^= t << 16;
        c ^= t;
        t = (b >>> 16 ^ d) & QUARTERS;
        b ^= t << 16;
        d ^= t;
        t = (e >>> 16 ^ g) & QUARTERS;
        e ^= t << 16;
        g ^= t;
        t = (f >>> 16 ^ h) & QUARTERS;
        f ^= t << 16;
        h ^= t;
        t = (a >>> 8 ^ b) & EIGHTHS;
        int at = first;
        EIGHT.set(out, at, a ^ t << 8);
        EIGHT.set(out, at += SQUARE_ROW, b ^ t);
        t = (c >>> 8 ^ d) & EIGHTHS;
        EIGHT.set(out, at += SQUARE_ROW, c ^ t << 8);
        EIGHT.set(out, at += SQUARE_ROW, d ^ t);
        t = (e >>> 8 ^ f) & EIGHTHS;
        EIGHT.set(out, at += SQUARE_ROW, e ^ t << 8);
        EIGHT.set(out, at += SQUARE_ROW, f ^ t);
        t = (g >>> 8 ^ h) & EIGHTHS;
        EIGHT.set(out, at += SQUARE_ROW, g ^ t << 8);
        EIGHT.set(out, at + SQUARE_ROW, h ^ t);
    }

    private char[] words(char[] in, int width, char outside) {
        char[] out = new char[frame.count()];
        inStripes((first, last) -> {
            for (int left = 0; left < frame.columns(); left += BLOCK) {
                int right = Math.min(frame.columns(), left + BLOCK);
                for (int i = first; i < last; i++) {
                    for (int j = left; j < right; j++) {
                        int from = offset(i, j, width);
                        out[i * frame.columns() + j] = from < 0 ? outside : in[from];
                    }
                }
            }
        });
        return out;
    }

    private interface Stripe {
        void fill(int first, int last);
    }

    private void inStripes(Stripe stripe) {
        IntStream.range(0, (frame.rows() + BLOCK - 1) / BLOCK).parallel().forEach(n ->
                stripe.fill(n * BLOCK, Math.min(frame.rows(), (n + 1) * BLOCK)));
    }
}
