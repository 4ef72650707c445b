package pixeron.look;

import java.math.BigInteger;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.image.Image;

/**
 * A pixel with color as people and programs write it: {@code 0xRRGGBB}, {@code 0xAARRGGBB}, {@code #RRGGBB}, {@code #RRGGBBAA}, a number for each
 * channel with spaces or commas between them, bare or in any brackets, or a whole number of 32 bits, signed or not.
 */
public final class WrittenColor {

    private static final Pattern PACKED = Pattern.compile("0[xX]([0-9A-Fa-f]{1,8})");
    private static final Pattern HASH = Pattern.compile("#([0-9A-Fa-f]{6})([0-9A-Fa-f]{2})?");
    private static final Pattern WHOLE = Pattern.compile("[-+\u2212]?\\d{5,10}");
    private static final Pattern BRACKETS = Pattern.compile("[\\[({]([^\\[\\](){}]*)[\\])}]");
    /** A sign between blanks: then it is one expression, not a number for each channel. */
    private static final String OPERATOR = "[-+*/^×÷·:\u2212()]+";
    private static final int WITHOUT_ALPHA = 6;
    private static final String ALPHA = "alpha";
    /** Beyond these a whole number is no level of any image. */
    private static final BigInteger LARGEST_LEVEL = BigInteger.valueOf(Image.LARGEST_MAXIMUM);
    private static final BigInteger SMALLEST_WORD = BigInteger.valueOf(Short.MIN_VALUE);

    private WrittenColor() {
    }

    /**
     * Returns what a text says of each channel.
     *
     * @param faces the names of the channels, in their order
     * @param maximumLevel M of all of them
     * @return the value of each channel that it says something of, as text; empty where it is one number, an expression or no number at all
     * @throws PixeronException if it is packed, and the channels do not have eight bits
     */
    public static Optional<Map<String, String>> find(String text, List<String> faces, int maximumLevel) {
        String bare = text.strip();
        Matcher packed = PACKED.matcher(bare);
        Matcher hash = HASH.matcher(bare);
        if (packed.matches()) {
            return Optional.of(levels(bare, Integer.parseUnsignedInt(packed.group(1), 16), packed.group(1).length() > WITHOUT_ALPHA, faces, maximumLevel));
        } else if (hash.matches()) {
            boolean hasAlpha = hash.group(2) != null;
            int rgb = Integer.parseInt(hash.group(1), 16);
            return Optional.of(levels(bare, hasAlpha ? Integer.parseInt(hash.group(2), 16) << Byte.SIZE * 3 | rgb : rgb, hasAlpha, faces, maximumLevel));
        } else if (isOfThirtyTwoBits(bare)) {
            return Optional.of(levels(bare, whole(bare).intValue(), true, faces, maximumLevel));
        }
        Matcher brackets = BRACKETS.matcher(bare);
        return numbers(brackets.matches() ? brackets.group(1).strip() : bare, faces);
    }

    private static BigInteger whole(String text) {
        return new BigInteger(text.replace('\u2212', '-').replaceFirst("^\\+", ""));
    }

    /** Smaller whole numbers may be levels. */
    private static boolean isOfThirtyTwoBits(String text) {
        if (!WHOLE.matcher(text).matches()) {
            return false;
        }
        BigInteger number = whole(text);
        boolean isLevel = number.compareTo(SMALLEST_WORD) >= 0 && number.compareTo(LARGEST_LEVEL) <= 0;
        return !isLevel && number.bitLength() <= Integer.SIZE && number.compareTo(BigInteger.valueOf(Integer.MIN_VALUE)) >= 0;
    }

    private static Map<String, String> levels(String text, int packed, boolean hasAlpha, List<String> faces, int maximumLevel) {
        if (!faces.contains("red")) {
            throw PixeronException.of("\"%s\" is a packed value, but the result has %s. Write a number for each of them.", text, String.join(", ", faces));
        } else if (maximumLevel != Image.BYTE_MAXIMUM) {
            throw PixeronException.of("\"%s\" is a packed value with eight bits per channel, but the maximum level is %d. Write three numbers.", text, maximumLevel);
        }
        PackedPixel pixel = new PackedPixel(packed);
        Map<String, String> values = new LinkedHashMap<>();
        faces.stream().filter(face -> !face.equals(ALPHA) || hasAlpha).forEach(face -> values.put(face, String.valueOf(pixel.level(face))));
        return values;
    }

    private static Optional<Map<String, String>> numbers(String text, List<String> faces) {
        String[] numbers = text.split("[\\s,;]+");
        boolean isOneEach = (numbers.length == faces.size() || numbers.length == 3 && faces.contains(ALPHA)) && faces.size() >= 3
                && Arrays.stream(numbers).noneMatch(number -> number.matches(OPERATOR));
        Map<String, String> values = new LinkedHashMap<>();
        for (int n = 0; isOneEach && n < numbers.length; n++) {
            values.put(faces.get(n), numbers[n]);
        }
        return isOneEach ? Optional.of(values) : Optional.empty();
    }
}
