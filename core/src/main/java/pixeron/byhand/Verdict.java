package pixeron.byhand;

import pixeron.Worded;

/** How a value by hand compares with what is right, in a sheet or in a table. */
public enum Verdict implements Worded {
    AGREES("agrees"),
    DIFFERS("differs"),
    /** Right before rounding and overflow; in sheets. */
    NOT_ROUNDED("not-rounded"),
    /** Wrong, but right given the user's own earlier cells, which are wrong; in tables. */
    FOLLOWS("follows"),
    /** Neither a number nor an expression. */
    NOT_UNDERSTOOD("not-understood");

    private final String word;

    Verdict(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
