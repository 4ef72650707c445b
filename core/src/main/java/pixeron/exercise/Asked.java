package pixeron.exercise;

import java.util.List;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A part of an exercise that whoever solves it fills in.
 *
 * @param step which step it is about, from 1
 * @param face of the step's result, such as {@code magnitude} or {@code red}; {@link Image#VALUE} where there is only one
 * @param what is to be filled in
 * @param points for all of it, 0 or more; each cell has the same part of them
 */
public record Asked(int step, String face, What what, Rational points) {

    private static final int CENTS = 2;

    /** What is to be filled in. */
    public sealed interface What {
    }

    /** Cells of the result: all of them. */
    public record All() implements What {
    }

    /** Cells of the result: a rectangle. */
    public record Part(Area area) implements What {
    }

    /**
     * Cells of the result by their places.
     *
     * @param pixels at least one, each once
     */
    public record Some(List<Pixel> pixels) implements What {
        public Some {
            pixels = pixels.stream().distinct().sorted().toList();
            if (pixels.isEmpty()) {
                throw PixeronException.of("The list of cells is empty. Use a list such as [\"0,0\", \"1,2\"].");
            }
        }
    }

    /**
     * A column of one of the step's tables.
     *
     * @param table its name, such as {@code levels}
     * @param column its name, such as {@code running}
     */
    public record Column(String table, String column) implements What {
    }

    /** The numbers that the step takes from the image, such as N and C0. */
    public record Constants() implements What {
    }

    /** The numbers on the way to a pixel. */
    public record OnTheWay(Pixel pixel) implements What {
    }

    public Asked {
        if (step < 1) {
            throw PixeronException.of("The exercise asks for step %d, but steps are counted from 1.", step);
        } else if (points.signum() < 0) {
            throw PixeronException.of("%s points are not possible. Use 0 or more.", points);
        }
    }

    /** Returns points as people write them: 7.5, or 7.33 where they go on. */
    public static String written(Rational points) {
        return Decimals.table(points.toDecimals(CENTS));
    }

    /** Returns points with their word: "10 points", "1 point". */
    public static String worth(Rational points) {
        String number = written(points);
        return number + (number.equals("1") ? " point" : " points");
    }

    /** Returns the position of the step in its chain, from 0. */
    public int position() {
        return step - 1;
    }

    /** Returns whether cells of the result are asked for, and not those of a table. */
    public boolean isOfResult() {
        return what instanceof All || what instanceof Part || what instanceof Some;
    }
}
