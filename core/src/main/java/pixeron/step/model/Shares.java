package pixeron.step.model;

import java.util.List;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Red, green and blue of a pixel divided by M, and what every color model starts from.
 *
 * @param red R, 0–1
 * @param green G, 0–1
 * @param blue B, 0–1
 */
record Shares(Value red, Value green, Value blue) {

    private static final Rational SIX = Rational.of(6);

    /**
     * Returns the shares of a pixel.
     *
     * @throws PixeronException if a sample is not in 0–M; names the pixel
     */
    static Shares of(ColorImage color, Pixel pixel) {
        Rational maximum = Rational.of(color.maximumLevel());
        for (var face : color.faces().subList(0, 3)) {
            Value sample = face.image().value(pixel);
            if (sample.signum() < 0 || sample.compareValue(maximum) > 0) {
                throw PixeronException.of("%s: %s is %s, but a color model needs values from 0 to %d.", pixel, face.name(), Decimals.legible(sample), color.maximumLevel());
            }
        }
        return new Shares(color.red().value(pixel).dividedBy(maximum), color.green().value(pixel).dividedBy(maximum), color.blue().value(pixel).dividedBy(maximum));
    }

    /** Returns R, G, B. */
    List<Value> all() {
        return List.of(red, green, blue);
    }

    /** Returns X, the largest. */
    Value largest() {
        return all().stream().max(Value::compareValue).orElseThrow();
    }

    /** Returns N, the smallest. */
    Value smallest() {
        return all().stream().min(Value::compareValue).orElseThrow();
    }

    /** Returns C = X − N. */
    Value difference() {
        return largest().minus(smallest());
    }

    /** Returns which decides the hue: 0 if red is the largest, else 1 if green is, else 2. */
    int sector() {
        Value largest = largest();
        return red.compareValue(largest) == 0 ? 0 : green.compareValue(largest) == 0 ? 1 : 2;
    }

    /** Returns the difference that belongs to a sector, ÷ C: (G − B) ÷ C, (B − R) ÷ C or (R − G) ÷ C; 0 if C = 0. */
    Value turn(int sector) {
        Value c = difference();
        Value top = sector == 0 ? green.minus(blue) : sector == 1 ? blue.minus(red) : red.minus(green);
        return c.signum() == 0 ? Rational.ZERO : top.dividedBy(c);
    }

    /** Returns the hue as a part of the circle, 0 ≤ hue < 1; 0 if C = 0. */
    Value hue() {
        int sector = sector();
        return modSix(turn(sector).plus(Rational.of(2L * sector))).dividedBy(SIX);
    }

    /** Returns sixths of a circle, 0 ≤ sixths < 6. */
    static Value modSix(Value sixths) {
        return sixths.signum() < 0 ? sixths.plus(SIX) : sixths.compareValue(SIX) >= 0 ? sixths.minus(SIX) : sixths;
    }

    /** Returns L = (X + N) ÷ 2. */
    Value lightness() {
        return largest().plus(smallest()).dividedBy(Rational.of(2));
    }

    /** Returns C ÷ X; 0 if X = 0. */
    Value saturationOfValue() {
        return largest().signum() == 0 ? Rational.ZERO : difference().dividedBy(largest());
    }

    /** Returns C ÷ (1 − |2L − 1|); 0 if C = 0. */
    Value saturationOfLightness() {
        return difference().signum() == 0 ? Rational.ZERO : difference().dividedBy(room());
    }

    /** Returns 1 − |2L − 1|, the largest difference that this lightness has room for. */
    Value room() {
        return Rational.ONE.minus(lightness().times(Rational.of(2)).minus(Rational.ONE).absolute());
    }

    /** Returns (X − share) ÷ X, the ink over the key; 0 if X = 0. */
    Value ink(Value share) {
        return largest().signum() == 0 ? Rational.ZERO : largest().minus(share).dividedBy(largest());
    }

    /** Returns Y = 0.299·R + 0.587·G + 0.114·B. */
    Value luma() {
        return Luma.RED.times(red).plus(Luma.GREEN.times(green)).plus(Luma.BLUE.times(blue));
    }

    /** The weights of ITU-R BT.601, and what the differences to luma are divided by so that they lie in −½–½. */
    static final class Luma {
        static final Rational RED = Rational.of(299, 1000);
        static final Rational GREEN = Rational.of(587, 1000);
        static final Rational BLUE = Rational.of(114, 1000);
        static final Rational CB = Rational.of(1772, 1000);
        static final Rational CR = Rational.of(1402, 1000);

        private Luma() {
        }
    }

    /**
     * Returns a component that counts 0–1, a hue as a part of the circle, a color difference −½–½.
     *
     * @param isLightness whether saturation is that of hsl
     */
    Value component(String name, boolean isLightness) {
        return switch (name) {
            case "hue" -> hue();
            case "saturation" -> isLightness ? saturationOfLightness() : saturationOfValue();
            case "value" -> largest();
            case "lightness" -> lightness();
            case "cyan" -> ink(red);
            case "magenta" -> ink(green);
            case "yellow" -> ink(blue);
            case "key" -> Rational.ONE.minus(largest());
            case "luma" -> luma();
            case "cb" -> blue.minus(luma()).dividedBy(Luma.CB);
            case "cr" -> red.minus(luma()).dividedBy(Luma.CR);
            default -> throw new IllegalArgumentException(name);
        };
    }
}
