package pixeron.app.model;

/** What dragging on a sheet does. */
public enum Tool {
    MOVE("Move", "moves the visible part of the image"),
    RECTANGLE("Rectangle", "selects a rectangle (also Shift+drag, Shift+arrows)"),
    LINE("Line", "selects a line between two pixels"),
    PENCIL("Pencil", "draws single pixels with the chosen level"),
    DRAW_LINE("Draw line", "draws a straight line with the chosen level"),
    DRAW_RECTANGLE("Draw rectangle", "fills a rectangle with the chosen level"),
    FILL("Fill", "fills the connected region with the chosen level");

    private final String title;
    private final String sentence;

    Tool(String title, String sentence) {
        this.title = title;
        this.sentence = sentence;
    }

    public String title() {
        return title;
    }

    /** Returns behind "Dragging": what it does. */
    public String sentence() {
        return sentence;
    }

    /** Returns true when it changes the image. */
    public boolean isDrawing() {
        return ordinal() >= PENCIL.ordinal();
    }
}
