package pixeron.app.model;

/** How fast a walk plays. */
public enum Speed {
    /** Line of the loop by line, with the terms as they are added. */
    SLOW("slow"),
    /** Pixel by pixel, as one follows with the eyes. */
    NORMAL("normal"),
    /** Many pixels in each frame; the whole image in a few seconds. */
    FAST("fast");

    private final String title;

    Speed(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
