package pixeron.app.model;

/** What dragging on a sheet does. */
public enum Tool {
    MOVE("Move", "moves the image under the sheets"),
    RECTANGLE("Rectangle", "marks a rectangle (also Shift+drag, Shift+arrows)"),
    LINE("Line", "marks a line between two pixels"),
    PENCIL("Pencil", "draws the chosen level into the image, pixel by pixel"),
    DRAW_LINE("Draw line", "draws a straight line of the chosen level"),
    DRAW_RECTANGLE("Draw rectangle", "fills a rectangle with the chosen level"),
    FILL("Fill", "fills what hangs together with the chosen level");

    private final String title;
    private final String sentence;

    Tool(String title, String sentence) {
        this.title = title;
        this.sentence = sentence;
    }

    public String title() {
        return title;
    }

    /** @return behind "Dragging": what it does */
    public String sentence() {
        return sentence;
    }

    /** @return true when it changes the image */
    public boolean isDrawing() {
        return ordinal() >= PENCIL.ordinal();
    }
}
