package pixeron.format;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;

/**
 * The Netpbm family: bitmaps (P1, P4), gray (P2, P5), color (P3, P6), each plain and raw, and the arbitrary map (P7)
 * with one to four channels; any maximum value from 1 to 65535; comments in the header. Only the first image of a file
 * is read.
 *
 * <p>In a bitmap 1 is black, so its levels are 1 − bit: 0 is black here as everywhere.
 */
final class NetpbmFiles {

    private static final String[] FORMATS = {"pbm", "pgm", "ppm", "pbm", "pgm", "ppm", "pam"};

    private final byte[] bytes;
    private final int kind;
    private int at = 2;
    private int rows;
    private int columns;
    private int channels = 1;
    private int maximum = 1;

    private NetpbmFiles(byte[] bytes) {
        this.bytes = bytes;
        this.kind = bytes[1] - '0';
    }

    static boolean matches(byte[] bytes) {
        return bytes.length >= 2 && bytes[0] == 'P' && bytes[1] >= '1' && bytes[1] <= '7'
                && (bytes.length == 2 || isBlank(bytes[2]) || bytes[2] == '#');
    }

    static LoadedImage read(byte[] bytes, ReadOptions options) {
        return new NetpbmFiles(bytes).read(options);
    }

    private LoadedImage read(ReadOptions options) {
        if (kind == 7) {
            readMapHeader();
        } else {
            columns = header("width");
            rows = header("height");
            channels = isColor() ? 3 : 1;
            maximum = isBitmap() ? 1 : header("maximum value");
            // One blank is between the header and raw samples.
            at += isPlain() ? 0 : 1;
        }
        if (rows < 1 || columns < 1) {
            throw PixeronException.of("The header gives %d × %d pixels. Both numbers must be at least 1.", rows,
                    columns);
        } else if (maximum < 1 || maximum > Image.LARGEST_MAXIMUM) {
            throw PixeronException.of("The maximum value in the header is %d. It must be from 1 to 65535.", maximum);
        } else if (channels < 1 || channels > 4) {
            throw PixeronException.of("The header gives %d channels. Use 1 to 4.", channels);
        }
        NumberTables.requirePixelLimit(rows, columns, options);
        requireBytes();
        // One raw channel needs no samples in between: a packed bit would take eight times its byte twice.
        return channels > 1 || isPlain() ? loaded(samples())
                : LoadedImage.gray(image(kind == 4 ? this::packedLevel : n -> checked(raw(n), n)), FORMATS[kind - 1]);
    }

    private boolean isPlain() {
        return kind <= 3;
    }

    private boolean isBitmap() {
        return kind == 1 || kind == 4;
    }

    private boolean isColor() {
        return kind == 3 || kind == 6;
    }

    private LoadedImage loaded(char[] samples) {
        String format = FORMATS[kind - 1];
        Image first = image(n -> samples[n * channels]);
        if (channels == 1) {
            return LoadedImage.gray(first, format);
        }
        boolean isGray = channels == 2;
        Optional<Image> alpha = channels % 2 == 0
                ? Optional.of(image(n -> samples[n * channels + channels - 1])) : Optional.empty();
        return LoadedImage.color(new ColorImage(first, isGray ? first : image(n -> samples[n * channels + 1]),
                isGray ? first : image(n -> samples[n * channels + 2]), alpha), format, channels);
    }

    private Image image(IntUnaryOperator level) {
        return Image.ofLevels(rows, columns, maximum, level);
    }

    /** All samples in the order of the file. */
    private char[] samples() {
        char[] samples = new char[Math.multiplyExact(rows * columns, channels)];
        for (int n = 0; n < samples.length; n++) {
            samples[n] = (char) switch (kind) {
                case 1 -> 1 - bit(n);
                case 2, 3 -> checked(plain(n), n);
                default -> checked(raw(n), n);
            };
        }
        return samples;
    }

    /** Eight pixels in a byte, each row beginning with a new one; 1 is ink, which is level 0. */
    private int packedLevel(int n) {
        int rowBytes = (columns + 7) / 8;
        return 1 - (bytes[at + n / columns * rowBytes + n % columns / 8] >> (7 - n % columns % 8) & 1);
    }

    /** Before any memory is taken: what the header promises must be there. A plain sample needs a digit and a blank. */
    private void requireBytes() {
        long count = (long) rows * columns * channels;
        long needed = switch (kind) {
            case 1 -> count;
            case 2, 3 -> 2 * count - 1;
            case 4 -> (long) rows * ((columns + 7) / 8);
            default -> maximum > 255 ? 2 * count : count;
        };
        if (bytes.length - at < needed) {
            throw PixeronException.of("The file ends too early: %d × %d pixels need at least %d bytes after the header, "
                    + "but it has %d.", rows, columns, needed, Math.max(0, bytes.length - at));
        }
    }

    private void readMapHeader() {
        while (true) {
            skipBlanks();
            int start = at;
            while (at < bytes.length && !isBlank(bytes[at])) {
                at++;
            }
            String word = new String(bytes, start, at - start, StandardCharsets.US_ASCII);
            switch (word) {
                case "WIDTH" -> columns = header("width");
                case "HEIGHT" -> rows = header("height");
                case "DEPTH" -> channels = header("depth");
                case "MAXVAL" -> maximum = header("maximum value");
                case "TUPLTYPE" -> skipLine();
                case "ENDHDR" -> {
                    at++;
                    return;
                }
                default -> throw PixeronException.of("P7 header: found \"%s\", expected WIDTH, HEIGHT, DEPTH, "
                        + "MAXVAL, TUPLTYPE or ENDHDR.", pixeron.number.Decimals.shortened(word));
            }
        }
    }

    private int raw(int n) {
        return maximum > 255 ? (bytes[at + 2 * n] & 0xFF) << 8 | bytes[at + 2 * n + 1] & 0xFF : bytes[at + n] & 0xFF;
    }

    private int plain(int n) {
        skipBlanks();
        requireMore(n);
        int value = number();
        if (value < 0) {
            throw PixeronException.of("%s is not a whole number below 2^31.", place(n));
        }
        return value;
    }

    /** A bit of a plain bitmap; the digits may be without blanks between them. */
    private int bit(int n) {
        skipBlanks();
        requireMore(n);
        int bit = bytes[at++] - '0';
        if (bit != 0 && bit != 1) {
            throw PixeronException.of("%s is neither 0 nor 1.", place(n));
        }
        return bit;
    }

    private void requireMore(int n) {
        if (at == bytes.length) {
            throw PixeronException.of("The file ends before row %d, column %d (counted from 0).",
                    n / channels / columns, n / channels % columns);
        }
    }

    private String place(int n) {
        return String.format("Row %d, column %d (counted from 0)", n / channels / columns, n / channels % columns);
    }

    private int checked(int level, int n) {
        if (level > maximum) {
            throw PixeronException.of("%s: the value %d is above the maximum in the header, %d.", place(n), level, maximum);
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

    /** Returns the whole number that is here, or −1 where none stands or it is 2³¹ or more. */
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
                skipLine();
            } else {
                at++;
            }
        }
    }

    private void skipLine() {
        while (at < bytes.length && bytes[at] != '\n' && bytes[at] != '\r') {
            at++;
        }
    }

    private static boolean isBlank(byte b) {
        return b == ' ' || b >= '\t' && b <= '\r';
    }

    /** Writes raw gray (P5). */
    static void writeGray(Image image, OutputStream out) throws IOException {
        write("P5\n" + sizes(image), List.of(image), out);
    }

    /** Writes raw color (P6), with the three channels alike. */
    static void writeColor(Image image, OutputStream out) throws IOException {
        writeColor(List.of(image, image, image), out);
    }

    /** Writes raw color (P6). */
    static void writeColor(List<Image> channels, OutputStream out) throws IOException {
        write("P6\n" + sizes(channels.get(0)), channels, out);
    }

    private static String sizes(Image image) {
        return image.columns() + " " + image.rows() + "\n" + image.maximumLevel() + "\n";
    }

    /** Writes an arbitrary map (P7) of one channel. */
    static void writeMap(Image image, OutputStream out) throws IOException {
        writeMap(List.of(image), "GRAYSCALE", out);
    }

    /** Writes an arbitrary map (P7) of any channels, with the word for what they are. */
    static void writeMap(List<Image> channels, String kind, OutputStream out) throws IOException {
        Image first = channels.get(0);
        write("P7\nWIDTH " + first.columns() + "\nHEIGHT " + first.rows() + "\nDEPTH " + channels.size() + "\nMAXVAL "
                + first.maximumLevel() + "\nTUPLTYPE " + kind + "\nENDHDR\n", channels, out);
    }

    private static void write(String header, List<Image> channels, OutputStream out) throws IOException {
        Image first = channels.get(0);
        first.firstOpenPixel().ifPresent(pixel -> {
            throw PixeronException.of("Netpbm stores whole levels only, but the value at %s is not whole. Use .csv, or round the values first.",
                    pixel);
        });
        out.write(header.getBytes(StandardCharsets.US_ASCII));
        for (int n = 0; n < first.count(); n++) {
            for (Image channel : channels) {
                int level = channel.level(n);
                if (first.maximumLevel() > 255) {
                    out.write(level >> 8);
                }
                out.write(level);
            }
        }
    }
}
