package pixeron.format.array;

/** How an array is written as text. */
public enum Notation {
    BRACKETS("brackets"), BARS("bars"), LATEX("LaTeX rows"), COLUMNS("printed columns");

    private final String title;

    Notation(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
