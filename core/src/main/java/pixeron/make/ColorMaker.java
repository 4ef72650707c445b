package pixeron.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.look.WrittenColor;
import pixeron.number.Decimals;
import pixeron.step.Progress;
import pixeron.step.key.Arguments;
import pixeron.step.key.TextParameter;

/** Every pixel has the same color; with an alpha channel where the color has one. */
final class ColorMaker extends Maker {

    private static final TextParameter COLOR = new TextParameter("color", "Color",
            "0xRRGGBB, 0xAARRGGBB with transparency, or three or four numbers", Optional.of("0x000000"));
    private static final List<String> CHANNELS = List.of("red", "green", "blue", "alpha");

    ColorMaker() {
        super(List.of(), "color", "Color", "Every pixel has the same color.", COLOR);
    }

    @Override
    public ColorImage make(Arguments arguments, Progress progress) {
        String text = arguments.get(COLOR);
        int maximum = whole(arguments, MAXIMUM);
        Map<String, String> levels = WrittenColor.find(text, CHANNELS, maximum).orElseThrow(() -> notOne(text));
        List<Image> channels = new ArrayList<>();
        for (String channel : CHANNELS) {
            if (levels.containsKey(channel)) {
                int level = level(levels.get(channel), channel, maximum);
                channels.add(Image.ofLevels(whole(arguments, ROWS), whole(arguments, COLUMNS), maximum, n -> level));
            }
        }
        return ColorImage.of(channels);
    }

    private static int level(String text, String channel, int maximum) {
        if (!text.matches("\\d{1,5}") || Integer.parseInt(text) > maximum) {
            throw PixeronException.of("%s=%s is not a level. Use a whole number from 0 to %d.", channel, Decimals.shortened(text), maximum);
        }
        return Integer.parseInt(text);
    }

    private static PixeronException notOne(String text) {
        return PixeronException.of("color=%s is not a color. Use %s.", Decimals.shortened(text), COLOR.range());
    }
}
