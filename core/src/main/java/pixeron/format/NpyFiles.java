package pixeron.format;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.format.array.ArrayCells;
import pixeron.format.array.ArrayValue;
import pixeron.format.array.Notation;
import pixeron.image.Image;
import pixeron.image.Result;

/**
 * Files of the array format .npy, versions 1.0, 2.0 and 3.0: a header in text, then the values. Nothing in a file is executed: the header is compared with the one form that it may
 * have. No library that is kept well reads it, so it is read here.
 *
 * <p>Source: the format's published description.
 */
final class NpyFiles {

    private static final byte[] MAGIC = {(byte) 0x93, 'N', 'U', 'M', 'P', 'Y'};
    private static final int SHORT_HEADER = 10;
    private static final int LONG_HEADER = 12;
    private static final int LONGEST_HEADER = 1 << 16;
    private static final int ALIGNMENT = 64;
    private static final Pattern TYPE = Pattern.compile("'descr'\\s*:\\s*'([<>|=])([biuf])(\\d)'");
    private static final Pattern ORDER = Pattern.compile("'fortran_order'\\s*:\\s*(True|False)");
    private static final Pattern SHAPE = Pattern.compile("'shape'\\s*:\\s*\\(([\\d, ]*)\\)");
    private static final Map<String, String> NAMES = Map.ofEntries(Map.entry("b1", "bool"), Map.entry("u1", "uint8"), Map.entry("u2", "uint16"), Map.entry("u4", "uint32"),
            Map.entry("u8", "uint64"), Map.entry("i1", "int8"), Map.entry("i2", "int16"), Map.entry("i4", "int32"), Map.entry("i8", "int64"), Map.entry("f2", "float16"),
            Map.entry("f4", "float32"), Map.entry("f8", "float64"));

    private NpyFiles() {
    }

    static boolean matches(byte[] bytes) {
        return bytes.length >= SHORT_HEADER && Arrays.equals(bytes, 0, MAGIC.length, MAGIC, 0, MAGIC.length);
    }

    /**
     * Reads an array.
     *
     * @throws PixeronException if the header has another form, the type is no number, or the file holds more or fewer values than the header says; one line
     */
    static LoadedImage read(byte[] bytes, ReadOptions options) {
        return ArrayImages.read(array(bytes, options, NpyFiles::text), options);
    }

    /**
     * Returns the values as a person would write them: the fewest digits of each float, with the tolerance that its type asks for.
     *
     * @throws PixeronException as {@link #read}, and if there are channels
     */
    static CellTable byHand(byte[] bytes) {
        ArrayCells array = array(bytes, ReadOptions.DEFAULT, (buffer, at, kind) -> kind.startsWith("f") ? tolerant(buffer, at, kind) : text(buffer, at, kind));
        if (array.channels() > 1) {
            throw PixeronException.of("This .npy file contains a color image. As values by hand, save one channel.");
        }
        CellTable.Builder cells = new CellTable.Builder();
        array.rows().forEach(row -> cells.add(row.stream().map(cell -> cell.get(0)).map(text -> ArrayValue.isMissing(text) ? "" : ArrayValue.isTruth(text)
                ? ArrayValue.number(text).orElseThrow().toString() : text).toList()));
        return cells.build();
    }

    private static ArrayCells array(byte[] bytes, ReadOptions options, Kind values) {
        int version = bytes[MAGIC.length];
        int begin = version == 1 ? SHORT_HEADER : LONG_HEADER;
        ByteBuffer buffer = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
        if (version < 1 || version > 3 || bytes.length < begin) {
            throw PixeronException.of("This .npy file has the version %d. Versions 1 to 3 are read.", version);
        }
        long length = version == 1 ? buffer.getShort(8) & 0xFFFF : buffer.getInt(8) & 0xFFFF_FFFFL;
        if (length > LONGEST_HEADER || begin + length > bytes.length) {
            throw PixeronException.of("The header of this .npy file is longer than the file.");
        }
        String header = new String(bytes, begin, (int) length, StandardCharsets.UTF_8);
        Matcher type = TYPE.matcher(header);
        Matcher order = ORDER.matcher(header);
        Matcher shape = SHAPE.matcher(header);
        if (!type.find() || !order.find() || !shape.find()) {
            throw PixeronException.of("This .npy file does not contain plain numbers. Save whole numbers, truth values or floats.");
        }
        String kind = type.group(2) + type.group(3);
        if (!NAMES.containsKey(kind)) {
            throw PixeronException.of("The type %s of this .npy file is not read. Use one of %s.", kind, String.join(", ", NAMES.keySet().stream().sorted().toList()));
        }
        List<Integer> sizes = sizes(shape.group(1));
        int size = Integer.parseInt(type.group(3));
        BigInteger promised = sizes.stream().map(BigInteger::valueOf).reduce(BigInteger.valueOf(size), BigInteger::multiply);
        long held = bytes.length - begin - length;
        if (!promised.equals(BigInteger.valueOf(held))) {
            throw PixeronException.of("The header of this .npy file promises %s bytes of values, but the file contains %d.", promised, held);
        }
        long count = held / size;
        NumberTables.requirePixelLimit(count, 1, options);
        buffer.order(type.group(1).equals(">") ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
        int first = begin + (int) length;
        return cells(sizes, order.group(1).equals("True"), n -> values.text(buffer, first + n * size, kind), options.array().arePlanes()).ofType(Optional.of(NAMES.get(kind)));
    }

    /** The text of a value at a place in the bytes. */
    private interface Kind {
        String text(ByteBuffer buffer, int at, String kind);
    }

    private static List<Integer> sizes(String shape) {
        List<Integer> sizes = new ArrayList<>();
        for (String part : shape.split(",")) {
            if (!part.isBlank() && part.strip().length() > 9) {
                throw PixeronException.of("The shape (%s) of this .npy file is too large.", shape);
            } else if (!part.isBlank()) {
                sizes.add(Integer.parseInt(part.strip()));
            }
        }
        if (sizes.isEmpty() || sizes.size() > 3 || sizes.contains(0)) {
            throw PixeronException.of("The shape (%s) of this .npy file is not that of an image. Save an array with two dimensions, or three with channels.", shape);
        }
        return sizes;
    }

    private static String text(ByteBuffer buffer, int at, String kind) {
        return switch (kind) {
            case "b1" -> buffer.get(at) == 0 ? "False" : "True";
            case "u1" -> Integer.toString(buffer.get(at) & 0xFF);
            case "i1" -> Integer.toString(buffer.get(at));
            case "u2" -> Integer.toString(buffer.getShort(at) & 0xFFFF);
            case "i2" -> Integer.toString(buffer.getShort(at));
            case "u4" -> Long.toString(buffer.getInt(at) & 0xFFFF_FFFFL);
            case "i4" -> Integer.toString(buffer.getInt(at));
            case "u8" -> Long.toUnsignedString(buffer.getLong(at));
            case "i8" -> Long.toString(buffer.getLong(at));
            case "f2" -> exact(half(buffer.getShort(at)));
            case "f4" -> exact(buffer.getFloat(at));
            default -> exact(buffer.getDouble(at));
        };
    }

    /** The fewest digits that tell a float from its neighbors, and the relative tolerance in percent. */
    private static String tolerant(ByteBuffer buffer, int at, String kind) {
        double value = kind.equals("f2") ? half(buffer.getShort(at)) : kind.equals("f4") ? buffer.getFloat(at) : buffer.getDouble(at);
        if (!Double.isFinite(value)) {
            return "nan";
        }
        String number = new BigDecimal(kind.equals("f8") ? Double.toString(value) : Float.toString((float) value)).stripTrailingZeros().toPlainString();
        return number + (kind.equals("f2") ? " ±0.1%" : kind.equals("f4") ? " ±0.0001%" : " ±0.0000001%");
    }

    /** All digits of a double, which is a fraction of a power of two. */
    private static String exact(double value) {
        return Double.isFinite(value) ? new BigDecimal(value).toPlainString() : "nan";
    }

    /** A number of 16 bits: a sign, five bits of exponent, ten of fraction (IEEE 754). */
    private static double half(short bits) {
        int exponent = bits >> 10 & 0x1F;
        int fraction = bits & 0x3FF;
        double size = exponent == 0 ? Math.scalb((double) fraction, -24) : exponent == 0x1F ? (fraction == 0 ? Double.POSITIVE_INFINITY : Double.NaN)
                : Math.scalb((double) (fraction | 0x400), exponent - 25);
        return bits < 0 ? -size : size;
    }

    /** Values in rows and columns; with three dimensions 1, 3 or 4 last ones are channels, otherwise as many first ones. */
    private static ArrayCells cells(List<Integer> sizes, boolean areColumnsFirst, IntFunction<String> value, boolean wantsPlanes) {
        int dimensions = sizes.size();
        int[] steps = new int[dimensions];
        int step = 1;
        for (int n = 0; n < dimensions; n++) {
            int dimension = areColumnsFirst ? n : dimensions - 1 - n;
            steps[dimension] = step;
            step *= sizes.get(dimension);
        }
        if (dimensions == 1) {
            return ArrayCells.flat(IntStream.range(0, sizes.get(0)).mapToObj(value).toList());
        } else if (dimensions == 2) {
            return cells(sizes.get(0), sizes.get(1), 1, (i, j, c) -> value.apply(i * steps[0] + j * steps[1]));
        }
        boolean arePixels = ArrayCells.isChannelCount(sizes.get(2));
        boolean arePlanes = ArrayCells.isChannelCount(sizes.get(0));
        if (!arePixels && !arePlanes) {
            throw PixeronException.of("Three dimensions need 1, 3 or 4 values in the first or the last, but the shape is %s.", sizes);
        }
        return arePlanes && (wantsPlanes || !arePixels) ? cells(sizes.get(1), sizes.get(2), sizes.get(0), (i, j, c) -> value.apply(c * steps[0] + i * steps[1] + j * steps[2]))
                : cells(sizes.get(0), sizes.get(1), sizes.get(2), (i, j, c) -> value.apply(i * steps[0] + j * steps[1] + c * steps[2]));
    }

    private interface At {
        String text(int row, int column, int channel);
    }

    private static ArrayCells cells(int rows, int columns, int channels, At at) {
        return ArrayCells.of(Notation.BRACKETS, rows, columns, (i, j) -> IntStream.range(0, channels).mapToObj(c -> at.text(i, j, c)).toList());
    }

    /**
     * Writes an array: bytes for M ≤ 255, 16 bits for larger levels, doubles for other values; rows first, little end first, version 1.0.
     *
     * @param result an image, or a color image with its channels last
     */
    static void write(Result result, OutputStream out) throws IOException {
        List<Image> channels = result.faces().stream().map(Result.Face::image).toList();
        boolean areLevels = channels.stream().allMatch(Image::isLevelImage);
        int size = !areLevels ? Double.BYTES : result.frame().maximumLevel() > Image.BYTE_MAXIMUM ? Short.BYTES : 1;
        String type = size == 1 ? "|u1" : size == Short.BYTES ? "<u2" : "<f8";
        String shape = result.frame().rows() + ", " + result.frame().columns() + (channels.size() > 1 ? ", " + channels.size() : "");
        StringBuilder header = new StringBuilder("{'descr': '" + type + "', 'fortran_order': False, 'shape': (" + shape + "), }");
        while ((SHORT_HEADER + header.length() + 1) % ALIGNMENT != 0) {
            header.append(' ');
        }
        header.append('\n');
        ByteBuffer bytes = ByteBuffer.allocate(SHORT_HEADER + header.length() + size * channels.size() * result.frame().count()).order(ByteOrder.LITTLE_ENDIAN);
        bytes.put(MAGIC).put((byte) 1).put((byte) 0).putShort((short) header.length()).put(header.toString().getBytes(StandardCharsets.US_ASCII));
        for (int n = 0; n < result.frame().count(); n++) {
            for (Image channel : channels) {
                switch (size) {
                    case 1 -> bytes.put((byte) channel.level(n));
                    case Short.BYTES -> bytes.putShort((short) channel.level(n));
                    default -> bytes.putDouble(channel.asDouble(n));
                }
            }
        }
        out.write(bytes.array());
    }
}
