package pixeron.make;

import java.util.Arrays;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;

/** What becomes of values beyond the levels 0–M, such as 400 in a table of products. */
public enum TooLarge {
    RAISE("raise the maximum", "M becomes the largest value") {
        @Override
        Image fit(Image image, ImageFacts facts) {
            Rational largest = ((Rational) Rounding.CEILING.apply(facts.largest()));
            if (largest.compareTo(Rational.of(Image.LARGEST_MAXIMUM)) > 0) {
                throw PixeronException.of("The largest value %s is above %d, the largest maximum level.", largest,
                        Image.LARGEST_MAXIMUM);
            }
            return image.withMaximum(Math.max(image.maximumLevel(), largest.toInt()));
        }
    },
    RESCALE("rescale", "smallest to 0, largest to M, rounded to nearest") {
        @Override
        Image fit(Image image, ImageFacts facts) {
            Value span = facts.largest().minus(facts.smallest());
            Rational maximum = Rational.of(image.maximumLevel());
            Finish finish = new Finish(Rounding.NEAREST, Overflow.CLIP, image.maximumLevel());
            return mapped(image, value -> finish.apply(span.signum() == 0 ? Rational.ZERO
                    : value.minus(facts.smallest()).times(maximum).dividedBy(span)));
        }
    },
    CLIP("clip", "rounded to nearest, below 0 to 0, above M to M") {
        @Override
        Image fit(Image image, ImageFacts facts) {
            return mapped(image, new Finish(Rounding.NEAREST, Overflow.CLIP, image.maximumLevel())::apply);
        }
    },
    KEEP("keep unchanged", "a real-valued image with M as its nominal maximum") {
        @Override
        Image fit(Image image, ImageFacts facts) {
            return image;
        }
    };

    private final String title;
    private final String sentence;

    TooLarge(String title, String sentence) {
        this.title = title;
        this.sentence = sentence;
    }

    public String title() {
        return title;
    }

    /** Returns what it does, in a few words. */
    public String sentence() {
        return sentence;
    }

    abstract Image fit(Image image, ImageFacts facts);

    /**
     * Returns the image dealt with in this way.
     *
     * @param image any; a level image stays as it is
     * @throws PixeronException if raising would need a maximum level above 65535
     */
    public Image apply(Image image) {
        return image.isLevelImage() ? image : fit(image, ImageFacts.of(image));
    }

    private static Image mapped(Image image, java.util.function.UnaryOperator<Value> change) {
        Value[] values = new Value[image.count()];
        Arrays.setAll(values, n -> change.apply(image.value(n)));
        return Image.from(image.rows(), image.columns(), image.maximumLevel(), values);
    }
}
