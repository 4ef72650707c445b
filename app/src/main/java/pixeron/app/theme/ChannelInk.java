package pixeron.app.theme;

import java.util.List;
import javafx.scene.paint.Color;

/** How a channel is drawn as a line: a color, and a way to break the line, because color alone is not seen by everybody. */
public enum ChannelInk {
    RED("red", "#a8262b", "#f2898b", List.of(), "—"),
    GREEN("green", "#2b6e2f", "#7fca8c", List.of(6.0, 3.0), "– –"),
    BLUE("blue", "#23508f", "#8fb4ea", List.of(2.0, 2.0), "· · ·"),
    ALPHA("alpha", "#6e6a61", "#b5b0a4", List.of(7.0, 2.0, 2.0, 2.0), "– ·");

    private final String channel;
    private final Color onLight;
    private final Color onDark;
    private final double[] dashes;
    private final String sample;

    ChannelInk(String channel, String onLight, String onDark, List<Double> dashes, String sample) {
        this.channel = channel;
        this.onLight = Color.web(onLight);
        this.onDark = Color.web(onDark);
        this.dashes = dashes.stream().mapToDouble(Double::doubleValue).toArray();
        this.sample = sample;
    }

    /** Returns that of a channel, by its name. */
    public static ChannelInk of(String channel) {
        for (ChannelInk ink : values()) {
            if (ink.channel.equals(channel)) {
                return ink;
            }
        }
        throw new IllegalArgumentException("no channel " + channel);
    }

    /** Returns the name of the channel. */
    public String channel() {
        return channel;
    }

    /** Returns its name and how its line looks. */
    public String words() {
        return sample + " " + channel;
    }

    public Color color(Theme theme) {
        return theme.isDark() ? onDark : onLight;
    }

    /** Returns the color as a style sheet writes it. */
    public String web(Theme theme) {
        Color ink = color(theme);
        return String.format("#%02x%02x%02x", Math.round(ink.getRed() * 255), Math.round(ink.getGreen() * 255), Math.round(ink.getBlue() * 255));
    }

    /** Returns lengths of strokes and gaps; none for a whole line. */
    public double[] dashes() {
        return dashes.clone();
    }
}
