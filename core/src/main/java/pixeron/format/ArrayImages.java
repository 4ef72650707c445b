package pixeron.format;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.format.array.ArrayCells;
import pixeron.format.array.ArrayValue;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/** Arrays as images: values become levels, pixels with channels become colors, and a summary tells in one line what was read. */
final class ArrayImages {

    private static final Map<String, Integer> MAXIMA = Map.of("uint8", 255, "uint16", 65_535, "bool", 1, "bool_", 1);
    private static final int MOST_KNOWN = 1 << 16;
    private static final String CHANNELS = "rgba";
    private static final long ALL_BITS = 0xFFFF_FFFFL;
    private static final int SMALLEST_BYTE = -128;
    private static final int LARGEST_SIGNED_BYTE = 127;
    private static final int SMALLEST_SHORT = -32_768;

    private final ArrayCells array;
    private final ReadOptions options;
    private final List<List<List<Rational>>> rows;
    /** Texts and numbers of the cells that differ: an array of levels has millions of cells and few different ones. */
    private final List<List<String>> differentTexts = new ArrayList<>();
    private final List<List<Rational>> different = new ArrayList<>();

    private ArrayImages(ArrayCells array, ReadOptions options) {
        this.array = array;
        this.options = options;
        List<List<List<Rational>>> read = regrouped(numbers());
        this.rows = options.array().isSwapped() ? transposed(read) : read;
    }

    /**
     * Returns the image.
     *
     * @throws PixeronException if a value is missing or is no level, or an option does not fit; says what would be right
     */
    static LoadedImage read(ArrayCells array, ReadOptions options) {
        return new ArrayImages(array, options).image();
    }

    private List<List<List<Rational>>> numbers() {
        NumberTables.requirePixelLimit(array.rows().size(), array.rows().get(0).size(), options);
        Rational factor = array.factor().flatMap(ArrayValue::number).orElse(Rational.ONE);
        // Cells that are written alike are one list in memory.
        Map<List<String>, List<Rational>> known = new HashMap<>();
        List<List<List<Rational>>> numbers = new ArrayList<>();
        for (int i = 0; i < array.rows().size(); i++) {
            List<List<Rational>> row = new ArrayList<>();
            for (int j = 0; j < array.rows().get(i).size(); j++) {
                List<String> texts = array.rows().get(i).get(j);
                List<Rational> pixel = known.get(texts);
                if (pixel == null) {
                    pixel = numbers(texts, i, j, factor);
                    differentTexts.add(texts);
                    different.add(pixel);
                    if (known.size() < MOST_KNOWN) {
                        known.put(texts, pixel);
                    }
                }
                row.add(pixel);
            }
            numbers.add(row);
        }
        return numbers;
    }

    private List<Rational> numbers(List<String> texts, int row, int column, Rational factor) {
        return texts.stream().map(text -> number(text, row, column).times(factor)).toList();
    }

    private Rational number(String text, int row, int column) {
        return ArrayValue.packed(text).or(() -> ArrayValue.number(text)).orElseThrow(() -> NumberTables.notANumber(text, row, column));
    }

    private boolean areColors() {
        return texts().allMatch(ArrayValue::isColor);
    }

    private Stream<String> texts() {
        return differentTexts.stream().flatMap(List::stream);
    }

    /** A flat list gets rows, and values that are channels become pixels. */
    private List<List<List<Rational>>> regrouped(List<List<List<Rational>>> read) {
        List<List<List<Rational>>> pixels = read;
        Optional<String> order = options.array().channels().map(text -> text.toLowerCase(Locale.ROOT));
        order.ifPresent(ArrayImages::requireOrder);
        if (order.isPresent() && array.channels() == 1) {
            pixels = grouped(read, order.get().length());
        } else if (order.isPresent() && array.channels() != order.get().length()) {
            throw PixeronException.of("--channels %s names %d channels, but the pixels have %d values.", order.get(), order.get().length(), array.channels());
        }
        OptionalInt columns = options.array().columns();
        return columns.isPresent() ? cut(pixels, columns.getAsInt()) : pixels;
    }

    private static void requireOrder(String order) {
        boolean isOrder = (order.length() == 3 || order.length() == 4) && order.chars().distinct().count() == order.length()
                && CHANNELS.substring(0, order.length()).chars().allMatch(letter -> order.indexOf(letter) >= 0);
        if (!isOrder) {
            throw PixeronException.of("“%s” is not an order of channels. Use the letters r, g, b, and a if there is alpha, such as rgb or bgra.", Decimals.shortened(order));
        }
    }

    private static List<List<List<Rational>>> grouped(List<List<List<Rational>>> rows, int size) {
        List<List<List<Rational>>> grouped = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            List<List<Rational>> row = rows.get(i);
            if (row.size() % size != 0) {
                throw PixeronException.of("Row %d (counted from 0) has %d values, which is not a multiple of %d channels.", i, row.size(), size);
            }
            List<List<Rational>> pixels = new ArrayList<>();
            for (int j = 0; j < row.size(); j += size) {
                pixels.add(row.subList(j, j + size).stream().map(value -> value.get(0)).toList());
            }
            grouped.add(pixels);
        }
        return grouped;
    }

    private List<List<List<Rational>>> cut(List<List<List<Rational>>> rows, int columns) {
        List<List<Rational>> all = rows.stream().flatMap(List::stream).toList();
        boolean isFlat = array.isFlat() || rows.size() == 1 || rows.get(0).size() == 1;
        if (!isFlat) {
            throw PixeronException.of("--columns applies to a flat list, but this array has %d rows of %d values.", rows.size(), rows.get(0).size());
        } else if (columns < 1 || all.size() % columns != 0) {
            throw PixeronException.of("The list has %d values, which is not a multiple of %d columns.", all.size(), columns);
        }
        List<List<List<Rational>>> cut = new ArrayList<>();
        for (int from = 0; from < all.size(); from += columns) {
            cut.add(all.subList(from, from + columns));
        }
        return cut;
    }

    private static List<List<List<Rational>>> transposed(List<List<List<Rational>>> rows) {
        return IntStream.range(0, rows.get(0).size()).mapToObj(column -> rows.stream().map(row -> row.get(column)).toList()).toList();
    }

    private LoadedImage image() {
        int channels = rows.get(0).get(0).size();
        LoadedImage loaded;
        String kind;
        if (channels == 1 && (options.array().packed().isPresent() || areColors())) {
            loaded = packed();
            kind = "packed pixels";
        } else {
            requireNoPackedValues();
            int maximum = maximum();
            List<Image> images = new ArrayList<>();
            for (int c = 0; c < channels; c++) {
                images.add(channel(c, maximum));
            }
            loaded = channels == 1 ? LoadedImage.gray(images.get(0), LoadedImage.TABLE) : LoadedImage.color(ordered(images), LoadedImage.TABLE, channels);
            kind = array.type().orElse(array.notation().title());
        }
        return noted(loaded.withSummary(summary(loaded, kind)));
    }

    private String summary(LoadedImage loaded, String kind) {
        Image first = loaded.color().map(ColorImage::red).orElseGet(loaded::image);
        return "Array, " + first.rows() + " × " + first.columns() + ", " + kind + (loaded.color().isPresent() ? ", " + loaded.channels() + " channels" : "")
                + (array.arePlanes() ? " as planes" : "") + (first.isLevelImage() ? ", levels 0–" + first.maximumLevel() : ", real-valued");
    }

    private LoadedImage noted(LoadedImage loaded) {
        LoadedImage noted = loaded;
        for (String note : array.notes()) {
            noted = noted.withNote(note);
        }
        if (array.factor().isPresent()) {
            noted = noted.withNote("All values were multiplied by the common factor " + array.factor().get() + ".");
        }
        if (array.hasOtherReading() && !array.arePlanes()) {
            noted = noted.withNote("The innermost brackets were read as pixels. Use --planes to read one plane per channel.");
        }
        if (options.array().isSwapped()) {
            noted = noted.withNote("The array was transposed: its rows are the columns of the image.");
        }
        return options.array().areSignedBytes() ? noted.withNote("256 was added to negative values.") : noted;
    }

    private int maximum() {
        Optional<Integer> typed = array.type().map(MAXIMA::get);
        return options.maximum().isPresent() ? options.maximum().getAsInt() : typed.isPresent() ? typed.get() : texts().allMatch(ArrayValue::isTruth) ? 1
                : !options.isOpen() && largest() > Image.BYTE_MAXIMUM ? Image.LARGEST_MAXIMUM : Image.BYTE_MAXIMUM;
    }

    private double largest() {
        return all().mapToDouble(Rational::asDouble).max().orElse(0);
    }

    private Stream<Rational> all() {
        return different.stream().flatMap(List::stream);
    }

    private Image channel(int channel, int maximum) {
        int columns = rows.get(0).size();
        Value[] values = new Value[rows.size() * columns];
        boolean areBytes = areSignedBytes();
        boolean areLevels = all().allMatch(value -> Image.isLevel(value, maximum));
        for (int n = 0; n < values.length; n++) {
            Rational value = rows.get(n / columns).get(n % columns).get(channel);
            if (options.array().areSignedBytes() && value.signum() < 0) {
                value = value.plus(Rational.of(Image.BYTE_MAXIMUM + 1));
            }
            if (!areLevels && !options.isOpen() && !Image.isLevel(value, maximum)) {
                throw notALevel(value, n / columns, n % columns, maximum, areBytes);
            }
            values[n] = value;
        }
        return Image.from(rows.size(), columns, maximum, values);
    }

    private static PixeronException notALevel(Rational value, int row, int column, int maximum, boolean areBytes) {
        return areBytes && value.signum() < 0
                ? new UndecidedException(String.format("Row %d, column %d (counted from 0): %s is negative. These may be bytes printed with a sign.", row, column, Decimals.table(value)),
                        "Add 256 with --signed-bytes, or keep negative values with --open.", UndecidedException.Way.SIGNED_BYTES, UndecidedException.Way.KEEP)
                : NumberTables.notALevel(value, row, column, maximum);
    }

    /** All values are whole and fit a signed byte, and one is negative. */
    private boolean areSignedBytes() {
        return all().allMatch(value -> value.isWhole() && value.compareTo(Rational.of(SMALLEST_BYTE)) >= 0 && value.compareTo(Rational.of(LARGEST_SIGNED_BYTE)) <= 0);
    }

    private void requireNoPackedValues() {
        boolean canBeLevels = all().allMatch(value -> value.compareTo(Rational.of(SMALLEST_SHORT)) >= 0 && value.compareTo(Rational.of(Image.LARGEST_MAXIMUM)) <= 0);
        if (options.isOpen() || canBeLevels || !all().allMatch(Rational::isWhole)) {
            return;
        }
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.get(i).size(); j++) {
                Rational value = rows.get(i).get(j).get(0);
                if (value.compareTo(Rational.of(SMALLEST_SHORT)) < 0 || value.compareTo(Rational.of(Image.LARGEST_MAXIMUM)) > 0) {
                    throw new UndecidedException(String.format("Row %d, column %d (counted from 0): %s is not a level. These may be packed pixels.", i, j,
                            Decimals.table(value)), "Use --packed argb or --packed rgb, or keep the values with --open.", UndecidedException.Way.PACKED, UndecidedException.Way.PACKED_WITH_ALPHA,
                            UndecidedException.Way.KEEP);
                }
            }
        }
    }

    private LoadedImage packed() {
        boolean hasAlpha = options.array().packed().map(way -> way.equals("argb")).orElseGet(() -> texts().anyMatch(ArrayValue::hasAlpha));
        int columns = rows.get(0).size();
        int[] pixels = new int[rows.size() * columns];
        for (int n = 0; n < pixels.length; n++) {
            Rational value = rows.get(n / columns).get(n % columns).get(0);
            if (!value.isWhole()) {
                throw PixeronException.of("Row %d, column %d (counted from 0): %s is not a packed pixel, which is a whole number.", n / columns, n % columns, Decimals.table(value));
            }
            pixels[n] = value.numerator().and(BigInteger.valueOf(ALL_BITS)).intValue();
        }
        List<Image> channels = new ArrayList<>();
        for (int shift : List.of(16, 8, 0)) {
            channels.add(Image.ofLevels(rows.size(), columns, Image.BYTE_MAXIMUM, n -> pixels[n] >>> shift & 0xFF));
        }
        Optional<Image> alpha = hasAlpha ? Optional.of(Image.ofLevels(rows.size(), columns, Image.BYTE_MAXIMUM, n -> pixels[n] >>> 24)) : Optional.empty();
        return LoadedImage.color(new ColorImage(channels.get(0), channels.get(1), channels.get(2), alpha), LoadedImage.TABLE, hasAlpha ? 4 : 3);
    }

    private ColorImage ordered(List<Image> images) {
        String order = options.array().channels().map(text -> text.toLowerCase(Locale.ROOT)).orElse(CHANNELS.substring(0, images.size()));
        return new ColorImage(images.get(order.indexOf('r')), images.get(order.indexOf('g')), images.get(order.indexOf('b')),
                order.indexOf('a') >= 0 ? Optional.of(images.get(order.indexOf('a'))) : Optional.empty());
    }
}
