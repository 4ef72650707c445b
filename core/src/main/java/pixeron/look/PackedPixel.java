package pixeron.look;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Rational;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * A color pixel as one number of 32 bits, 0xAARRGGBB: alpha in the highest eight bits, then red, green and blue. A
 * picture without transparency has alpha 255.
 *
 * @param packed the number; its sign bit is the highest bit of alpha
 */
public record PackedPixel(int packed) {

    private record Channel(String name, int shift, String word) {
    }

    private static final String LEVEL = "\\d{1,2}|1\\d\\d|2[0-4]\\d|25[0-5]";
    private static final int COLUMN = 15;
    private static final List<Channel> CHANNELS = List.of(new Channel("A", 24, "alpha"),
            new Channel("R", 16, "red"), new Channel("G", 8, "green"), new Channel("B", 0, "blue"));

    /**
     * Returns the packed number of a pixel.
     *
     * @throws PixeronException if the channels do not have eight bits, M = 255
     */
    public static PackedPixel of(ColorImage picture, Pixel pixel) {
        if (picture.maximumLevel() != Image.BYTE_MAXIMUM) {
            throw PixeronException.of("A packed value has eight bits per channel, but these channels have the maximum level"
                    + " %d.", picture.maximumLevel());
        }
        return find(picture, pixel).orElseThrow(() -> PixeronException.of("%s has a value that is not a level, so there is no packed value.", pixel));
    }

    /** Returns the packed number of a pixel of any result; empty where a channel has no level of 0 to 255 there. */
    public static Optional<PackedPixel> find(Result result, Pixel pixel) {
        boolean isPossible = result instanceof ColorImage && result.frame().maximumLevel() == Image.BYTE_MAXIMUM
                && result.faces().stream().allMatch(face -> Image.isLevel(face.image().value(pixel), Image.BYTE_MAXIMUM));
        if (!isPossible) {
            return Optional.empty();
        }
        ColorImage color = (ColorImage) result;
        int alpha = color.alpha().map(image -> whole(image, pixel)).orElse(Image.BYTE_MAXIMUM);
        return Optional.of(of(alpha, whole(color.red(), pixel), whole(color.green(), pixel), whole(color.blue(), pixel)));
    }

    private static int whole(Image image, Pixel pixel) {
        return ((Rational) image.value(pixel)).toInt();
    }

    /** Returns the number of four levels from 0 to 255: alpha, red, green, blue. */
    public static PackedPixel of(int alpha, int red, int green, int blue) {
        return new PackedPixel(alpha << 24 | red << 16 | green << 8 | blue);
    }

    /**
     * Returns the number; empty where one of them is no whole number from 0 to 255.
     *
     * @param levels red, green, blue and perhaps alpha, as they were written
     */
    public static Optional<PackedPixel> parse(List<String> levels) {
        return levels.stream().allMatch(text -> text.matches(LEVEL)) ? Optional.of(of(levels.size() > 3 ? Integer.parseInt(levels.get(3))
                : Image.BYTE_MAXIMUM, Integer.parseInt(levels.get(0)), Integer.parseInt(levels.get(1)), Integer.parseInt(levels.get(2)))) : Optional.empty();
    }

    /** Returns the level of a channel, by its name. */
    public int level(String channel) {
        return packed >>> shift(channel) & 0xFF;
    }

    /** Returns the bits that a channel stands higher than blue. */
    public static int shift(String channel) {
        return CHANNELS.stream().filter(found -> found.word.equals(channel)).findFirst().orElseThrow().shift;
    }

    /** Returns {@code 0xFF3A7BC4}. */
    public String hexadecimal() {
        return hexadecimal(packed);
    }

    private static String hexadecimal(int number) {
        return String.format("0x%08X", number);
    }

    /** Returns 32 binary digits in four groups. */
    public String binary() {
        return binary(packed);
    }

    private static String binary(int number) {
        String digits = Integer.toBinaryString(number);
        String all = "0".repeat(Integer.SIZE - digits.length()) + digits;
        return String.join(" ", all.substring(0, 8), all.substring(8, 16), all.substring(16, 24), all.substring(24));
    }

    /** Returns how each channel is taken out of the number: masked, then shifted right; the bits are one under the other. */
    public List<Line> apart() {
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("packed", Run.before(column(hexadecimal())), Run.plain(binary())));
        for (Channel channel : CHANNELS) {
            int mask = Image.BYTE_MAXIMUM << channel.shift();
            int level = level(channel.word);
            lines.add(Line.of(channel.name(), Run.plain(column("and " + hexadecimal(mask)) + binary(packed & mask)
                    + String.format("  right by %-2d = 0x%02X = ", channel.shift, level)), Run.after(Integer.toString(level))));
        }
        return lines;
    }

    /** Returns how the channels are put together: shifted left, then or; and how they follow each other in memory. */
    public List<Line> together() {
        List<Line> lines = new ArrayList<>();
        for (Channel channel : CHANNELS) {
            int shifted = level(channel.word) << channel.shift;
            lines.add(Line.of(channel.name(), Run.plain(column(level(channel.word) + " left by " + channel.shift) + binary(shifted)
                    + " = " + hexadecimal(shifted))));
        }
        lines.add(Line.of("together", Run.plain(column("or") + binary() + " = "), Run.after(hexadecimal())));
        lines.add(Line.of("packed", Run.after(hexadecimal()), Run.plain(" = " + Integer.toUnsignedString(packed))));
        lines.add(Line.of("in memory", Run.plain("R G B: " + level("red") + " " + level("green") + " " + level("blue")),
                Run.note("   also common: B G R: " + level("blue") + " " + level("green") + " " + level("red"))));
        return lines;
    }

    /** Returns the text in front of bits, as long as any such text. */
    private static String column(String text) {
        return String.format("%-" + COLUMN + "s", text);
    }
}
