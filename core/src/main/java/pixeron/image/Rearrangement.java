package pixeron.image;

import java.util.Arrays;
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

    /**
     * @param outside what stands where nothing is read
     * @return the image rearranged
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

    /** @return the first column behind a run of columns that are read one after the other */
    private int runEnd(int j) {
        int end = j + 1;
        while (end < columns.length && columns[j] >= 0 && columns[end] == columns[end - 1] + 1) {
            end++;
        }
        return end;
    }

    private byte[] bytes(byte[] in, int width, byte outside) {
        byte[] out = new byte[frame.count()];
        if (isExchanged) {
            inBlocks((i, j) -> {
                int from = offset(i, j, width);
                out[i * frame.columns() + j] = from < 0 ? outside : in[from];
            });
            return out;
        }
        boolean isInRuns = runEnd(0) > 1 || columns.length == 1;
        IntStream.range(0, frame.rows()).parallel().forEach(i -> {
            int at = i * frame.columns();
            int from = rows[i] * width;
            if (rows[i] < 0) {
                Arrays.fill(out, at, at + columns.length, outside);
            } else if (isInRuns) {
                for (int j = 0; j < columns.length;) {
                    int end = runEnd(j);
                    if (columns[j] < 0) {
                        out[at + j] = outside;
                    } else {
                        System.arraycopy(in, from + columns[j], out, at + j, end - j);
                    }
                    j = end;
                }
            } else {
                for (int j = 0; j < columns.length; j++) {
                    out[at + j] = columns[j] < 0 ? outside : in[from + columns[j]];
                }
            }
        });
        return out;
    }

    private char[] words(char[] in, int width, char outside) {
        char[] out = new char[frame.count()];
        if (isExchanged) {
            inBlocks((i, j) -> {
                int from = offset(i, j, width);
                out[i * frame.columns() + j] = from < 0 ? outside : in[from];
            });
            return out;
        }
        IntStream.range(0, frame.rows()).parallel().forEach(i -> {
            int at = i * frame.columns();
            for (int j = 0; j < columns.length; j++) {
                out[at + j] = rows[i] < 0 || columns[j] < 0 ? outside : in[rows[i] * width + columns[j]];
            }
        });
        return out;
    }

    private interface Cell {
        void write(int i, int j);
    }

    private void inBlocks(Cell cell) {
        int down = (frame.rows() + BLOCK - 1) / BLOCK;
        IntStream.range(0, down).parallel().forEach(block -> {
            int last = Math.min(frame.rows(), (block + 1) * BLOCK);
            for (int left = 0; left < frame.columns(); left += BLOCK) {
                int right = Math.min(frame.columns(), left + BLOCK);
                for (int i = block * BLOCK; i < last; i++) {
                    for (int j = left; j < right; j++) {
                        cell.write(i, j);
                    }
                }
            }
        });
    }
}
