package pixeron.image;

/**
 * A level image that is being written row by row; several threads may write different rows.
 *
 * <p>Cost: one pass over the samples.
 */
public final class LevelRaster {

    private final int rows;
    private final int columns;
    private final int maximumLevel;
    private byte[] bytes;
    private char[] words;

    /**
     * Creates a raster of zeros.
     *
     * @param rows H ≥ 1
     * @param columns W ≥ 1
     * @param maximumLevel M of the image
     * @throws pixeron.PixeronException if a size or M is out of range
     */
    public LevelRaster(int rows, int columns, int maximumLevel) {
        int count = Image.requireSize(rows, columns);
        this.rows = rows;
        this.columns = columns;
        this.maximumLevel = Image.requireMaximum(maximumLevel);
        if (maximumLevel <= Image.BYTE_MAXIMUM) {
            bytes = new byte[count];
        } else {
            words = new char[count];
        }
    }

    /**
     * Writes a row.
     *
     * @param row 0 to rows − 1
     * @param levels the levels of the row in its first columns, each in 0–M
     * @throws pixeron.PixeronException if one is not; names its pixel
     */
    public void write(int row, int... levels) {
        int at = row * columns;
        // The bits of all levels together show whether one of them is too large or negative, without a jump for each.
        int all = 0;
        for (int j = 0; j < columns; j++) {
            all |= levels[j] | (maximumLevel - levels[j]);
        }
        if (all < 0) {
            for (int j = 0; j < columns; j++) {
                Image.requireLevel(levels[j], maximumLevel, at + j, columns);
            }
        }
        if (bytes != null) {
            byte[] out = bytes;
            for (int j = 0; j < columns; j++) {
                out[at + j] = (byte) levels[j];
            }
        } else {
            char[] out = words;
            for (int j = 0; j < columns; j++) {
                out[at + j] = (char) levels[j];
            }
        }
    }

    /**
     * Writes a row as it is, for images of bytes.
     *
     * @param row 0 to rows − 1
     * @param levels bytes of 0–M
     * @param at where the first one stands
     */
    public void write(int row, byte[] levels, int at) {
        System.arraycopy(levels, at, bytes, row * columns, columns);
    }

    /**
     * Writes a row of bytes that are apart, for images of bytes.
     *
     * @param row 0 to rows − 1
     * @param levels bytes of 0–M
     * @param at where the first one stands
     * @param step from one to the next, at least 1
     */
    public void write(int row, byte[] levels, int at, int step) {
        if (step == 1) {
            write(row, levels, at);
            return;
        }
        byte[] out = bytes;
        int to = row * columns;
        for (int j = 0; j < columns; j++) {
            out[to + j] = levels[at + j * step];
        }
    }

    /** Returns the image; this cannot be written to any more. */
    public Image image() {
        Samples samples = bytes != null ? new ByteSamples(bytes) : new WordSamples(words);
        bytes = null;
        words = null;
        return new Image(rows, columns, maximumLevel, samples);
    }
}
