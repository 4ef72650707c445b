package pixeron.exercise;

import java.util.List;
import java.util.OptionalInt;
import pixeron.image.Image;
import pixeron.number.Rational;

/** Exercises that tests are done on. */
public final class Exercises {

    private Exercises() {
    }

    /** Equalize, then threshold: a column of a table, and two results. */
    public static Exercise threeParts(long seed) {
        return new Exercise("A dull proof", "Proof {variant}: equalize it, then threshold at {t}.",
                new GivenImage.Made("uniform-noise rows=5 columns=4 maximum=7 seed={s}"), List.of("equalize", "threshold at={t}"),
                List.of(new Choice.OfRange("s", Rational.ONE, Rational.of(1_000_000), Rational.ONE), new Choice.OfList("t", List.of("3", "4", "5"))),
                List.of(column(1, "levels", "s", 8), all(1, 10), all(2, 4)), new Wish(true, OptionalInt.empty(), 0), seed);
    }

    public static Asked all(int step, long points) {
        return new Asked(step, Image.VALUE, new Asked.All(), Rational.of(points));
    }

    public static Asked column(int step, String table, String column, long points) {
        return new Asked(step, Image.VALUE, new Asked.Column(table, column), Rational.of(points));
    }
}
