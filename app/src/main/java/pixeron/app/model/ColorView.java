package pixeron.app.model;

/** How a user looks at an image with color. */
public enum ColorView {
    /** The picture as it looks, each pixel with all its channels. */
    TOGETHER("In color", "Show the picture in color; a pixel has all channels"),
    /** One channel as an image of its own. */
    CHANNEL("One channel", "Show one channel as a separate image"),
    /** All channels as images beside each other. */
    APART("Side by side", "Show all channels as separate images, side by side");

    private final String title;
    private final String sentence;

    ColorView(String title, String sentence) {
        this.title = title;
        this.sentence = sentence;
    }

    public String title() {
        return title;
    }

    public String sentence() {
        return sentence;
    }
}
