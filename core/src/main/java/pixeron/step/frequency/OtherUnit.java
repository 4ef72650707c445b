package pixeron.step.frequency;

/** An angle whose number is taken in the other unit when its sine and cosine are looked up; whole turns are not taken off before. */
enum OtherUnit {
    RADIANS_AS_DEGREES("radians are used as degrees: the sine and cosine of 2π × the turn are calculated in degrees", Math.toRadians(2 * Math.PI)),
    DEGREES_AS_RADIANS("degrees are used as radians: the sine and cosine of 360 × the turn are calculated in radians", Math.toDegrees(2 * Math.PI));

    private final String words;
    private final double factor;

    OtherUnit(String words, double factor) {
        this.words = words;
        this.factor = factor;
    }

    String words() {
        return words;
    }

    /** Returns the angle whose sine was looked up, in radians. */
    double angle(double turn) {
        return factor * turn;
    }
}
