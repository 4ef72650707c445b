package pixeron.app.model;

/** How a person looks at an image with colour. */
public enum ColourView {
    /** The picture as it looks, each pixel with all its channels. */
    TOGETHER("In colour", "The picture as it looks; a pixel is all its channels"),
    /** One channel as an image of its own. */
    CHANNEL("One channel", "One channel as an image of its own"),
    /** All channels as images beside each other. */
    APART("Side by side", "Every channel as an image of its own, beside each other");

    private final String title;
    private final String sentence;

    ColourView(String title, String sentence) {
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
