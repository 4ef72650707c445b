package pixeron.format;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import pixeron.PixeronException;
import pixeron.image.Image;

/**
 * The gray files of the Netpbm family: plain (P2) and raw (P5), any maximum value from 1 to 65535, comments in the
 * header. Only the first image of a file is read.
 */
final class NetpbmFiles {

    private final byte[] bytes;
    private int at = 2;

    private NetpbmFiles(byte[] bytes) {
        this.bytes = bytes;
    }

    static boolean matches(byte[] bytes) {
        return bytes.length >= 2 && bytes[0] == 'P' && bytes[1] >= '1' && bytes[1] <= '7'
                && (bytes.length == 2 || isBlank(bytes[2]) || bytes[2] == '#');
    }

    static LoadedImage read(byte[] bytes, ReadOptions options) {
        char kind = (char) bytes[1];
        if (kind != '2' && kind != '5') {
            throw PixeronException.of("P%s files are not read yet; save the image as gray PGM (P2 or P5).", kind);
        }
        return new NetpbmFiles(bytes).read(kind == '5', options);
    }

    private LoadedImage read(boolean isRaw, ReadOptions options) {
        int columns = header("width");
        int rows = header("height");
        int maximum = header("maximum value");
        if (rows < 1 || columns < 1) {
            throw PixeronException.of("The header says %d × %d pixels; both numbers must be at least 1.", rows,
                    columns);
        } else if (maximum < 1 || maximum > Image.LARGEST_MAXIMUM) {
            throw PixeronException.of("The header's maximum value is %d; it must be from 1 to 65535.", maximum);
        }
        NumberTables.requirePixelLimit(rows, columns, options);
        requireBytes(isRaw, rows, columns, maximum);
        Image image = Image.ofLevels(rows, columns, maximum,
                n -> checked(isRaw ? raw(n, maximum > 255) : plain(n, columns), maximum, n, columns));
        return LoadedImage.gray(image, "pgm");
    }

    /** Before any memory is taken: a raw sample needs one byte or two, a plain one at least a digit and a blank. */
    private void requireBytes(boolean isRaw, int rows, int columns, int maximum) {
        if (isRaw) {
            at++;
        }
        long count = (long) rows * columns;
        long needed = !isRaw ? 2 * count - 1 : maximum > 255 ? 2 * count : count;
        if (bytes.length - at < needed) {
            throw PixeronException.of("The file ends too early: %d × %d pixels need at least %d bytes after the header, "
                    + "and %d are there.", rows, columns, needed, Math.max(0, bytes.length - at));
        }
    }

    private int raw(int n, boolean isWide) {
        return isWide ? (bytes[at + 2 * n] & 0xFF) << 8 | bytes[at + 2 * n + 1] & 0xFF : bytes[at + n] & 0xFF;
    }

    private int plain(int n, int columns) {
        skipBlanks();
        if (at == bytes.length) {
            throw PixeronException.of("The file ends before row %d, column %d (counted from 0).", n / columns,
                    n % columns);
        }
        int value = number();
        if (value < 0) {
            throw PixeronException.of("Row %d, column %d (counted from 0) is not a whole number below 2^31.",
                    n / columns, n % columns);
        }
        return value;
    }

    private static int checked(int level, int maximum, int n, int columns) {
        if (level > maximum) {
            throw PixeronException.of("Row %d, column %d (counted from 0): the sample %d is above the header's maximum %d.",
                    n / columns, n % columns, level, maximum);
        }
        return level;
    }

    private int header(String what) {
        skipBlanks();
        int value = number();
        if (value < 0) {
            throw PixeronException.of("The header's %s is missing or is not a whole number below 2^31.", what);
        }
        return value;
    }

    /** @return the whole number that stands here, or −1 where none stands or it is 2³¹ or more */
    private int number() {
        int start = at;
        long value = 0;
        while (at < bytes.length && bytes[at] >= '0' && bytes[at] <= '9') {
            value = Math.min(10 * value + bytes[at++] - '0', 1L << 31);
        }
        boolean isEnded = at == bytes.length || isBlank(bytes[at]) || bytes[at] == '#';
        return at > start && isEnded && value < 1L << 31 ? (int) value : -1;
    }

    private void skipBlanks() {
        while (at < bytes.length && (isBlank(bytes[at]) || bytes[at] == '#')) {
            if (bytes[at] == '#') {
                while (at < bytes.length && bytes[at] != '\n' && bytes[at] != '\r') {
                    at++;
                }
            } else {
                at++;
            }
        }
    }

    private static boolean isBlank(byte b) {
        return b == ' ' || b >= '\t' && b <= '\r';
    }

    /** Writes a raw file (P5). */
    static void write(Image image, OutputStream out) throws IOException {
        image.firstOpenPixel().ifPresent(pixel -> {
            throw PixeronException.of("PGM holds whole levels only, and the value at %s is none; use .csv, or round first.",
                    pixel);
        });
        out.write(("P5\n" + image.columns() + " " + image.rows() + "\n" + image.maximumLevel() + "\n")
                .getBytes(StandardCharsets.US_ASCII));
        for (int n = 0; n < image.count(); n++) {
            int level = image.level(n);
            if (image.maximumLevel() > 255) {
                out.write(level >> 8);
            }
            out.write(level);
        }
    }
}
