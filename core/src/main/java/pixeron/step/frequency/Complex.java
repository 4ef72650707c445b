package pixeron.step.frequency;

import pixeron.image.Spectrum;
import pixeron.number.Rational;
import pixeron.number.Value;

/** A number with a real and an imaginary part; exact where its parts are. */
record Complex(Value real, Value imaginary) {

    static final Complex ZERO = new Complex(Rational.ZERO, Rational.ZERO);

    Complex plus(Complex other) {
        return new Complex(real.plus(other.real), imaginary.plus(other.imaginary));
    }

    Complex times(Complex other) {
        return new Complex(real.times(other.real).minus(imaginary.times(other.imaginary)), real.times(other.imaginary).plus(imaginary.times(other.real)));
    }

    /** Returns a real number turned backwards: r · (cos a − i · sin a). */
    static Complex turnedBack(Value r, Turn by) {
        return new Complex(r.times(by.cosine()), r.times(by.sine()).negated());
    }

    /** Returns this turned backwards. */
    Complex turnedBack(Turn by) {
        return times(turnedBack(Rational.ONE, by));
    }

    /** Returns such as 3 − 4i. */
    String text() {
        return Spectrum.text(real, imaginary);
    }
}
