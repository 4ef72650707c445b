package pixeron.report.pdf;

/** The few colors of printed pages; each also has a sign or a place that says the same. */
public enum Ink {
    TEXT(0.12f, 0.16f, 0.20f), SOFT(0.38f, 0.43f, 0.48f), LINE(0.77f, 0.79f, 0.82f), WRONG(0.60f, 0.22f, 0.13f),
    WRONG_GROUND(0.98f, 0.90f, 0.87f), RIGHT(0.17f, 0.42f, 0.25f), GROUND(0.93f, 0.95f, 0.97f),
    PARTING_GROUND(0.98f, 0.92f, 0.80f), BLACK(0, 0, 0), RULE(0.45f, 0.45f, 0.45f);

    private final float red;
    private final float green;
    private final float blue;

    Ink(float red, float green, float blue) {
        this.red = red;
        this.green = green;
        this.blue = blue;
    }

    float red() {
        return red;
    }

    float green() {
        return green;
    }

    float blue() {
        return blue;
    }
}
