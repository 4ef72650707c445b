package pixeron.exercise.library;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.Function;
import pixeron.exercise.Asked;
import pixeron.exercise.Choice;
import pixeron.exercise.Exercise;
import pixeron.exercise.GivenImage;
import pixeron.exercise.Wish;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;

/**
 * Something to be practiced: an exercise in three sizes.
 *
 * @param id one word, for files and progress
 * @param title for people
 * @param sized makes the exercise of a size
 */
public record Topic(String id, String title, Function<Size, Exercise> sized) {

    private static final long SEED = 20261127;
    private static final long MOST_SEEDS = 1_000_000;

    /** Returns the exercise of a size. */
    public Exercise exercise(Size size) {
        return sized.apply(size);
    }

    /** Puts an exercise together, part by part. */
    static final class Builder {

        private final Size size;
        private String image;
        private final List<String> steps = new ArrayList<>();
        private final List<Choice> choices = new ArrayList<>();
        private final List<Asked> asked = new ArrayList<>();
        private Wish wish = Wish.NONE;

        /** An image of random levels in a range, another for each variant. */
        Builder(Size size, int low, int high, int maximum) {
            this(size, String.format("uniform-noise rows=%d columns=%d maximum=%d low=%d high=%d seed={s}", size.side(), size.side(), maximum, low, high));
            choices.add(new Choice.OfRange("s", Rational.ONE, Rational.of(MOST_SEEDS), Rational.ONE));
        }

        Builder(Size size, String image) {
            this.size = size;
            this.image = image;
        }

        Builder step(String line) {
            steps.add(line);
            return this;
        }

        Builder choice(String name, String... values) {
            choices.add(new Choice.OfList(name, List.of(values)));
            return this;
        }

        private Builder ask(String face, Asked.What what, long points) {
            asked.add(new Asked(steps.size(), face, what, Rational.of(points)));
            return this;
        }

        /** Asks for all of the result of the last step. */
        Builder all(long points) {
            return ask(Image.VALUE, new Asked.All(), points);
        }

        /** Asks for the result of the last step: all of a small one, of a larger one a square at its corner. */
        Builder corner(long points) {
            int side = size == Size.MEDIUM ? 3 : 4;
            return size == Size.SMALL ? all(points) : ask(Image.VALUE, new Asked.Part(new Area(0, 0, side, side)), points);
        }

        Builder face(String face, long points, Pixel... pixels) {
            return ask(face, new Asked.Some(List.of(pixels)), points);
        }

        Builder column(String table, String column, long points) {
            return ask(Image.VALUE, new Asked.Column(table, column), points);
        }

        Builder constants(long points) {
            return ask(Image.VALUE, new Asked.Constants(), points);
        }

        Builder onTheWay(int row, int column, long points) {
            return ask(Image.VALUE, new Asked.OnTheWay(new Pixel(row, column)), points);
        }

        Builder withoutTies() {
            wish = new Wish(true, wish.decimals(), wish.clipped());
            return this;
        }

        Builder decimals(int most) {
            wish = new Wish(wish.isWithoutTies(), OptionalInt.of(most), wish.clipped());
            return this;
        }

        Builder clipped(int least) {
            wish = new Wish(wish.isWithoutTies(), wish.decimals(), least);
            return this;
        }

        Exercise titled(String title, String task) {
            return new Exercise(title, task, new GivenImage.Made(image), steps, choices, asked, wish, SEED);
        }
    }
}
