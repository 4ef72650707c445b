package pixeron.image;

import java.util.Arrays;
import pixeron.number.Rational;
import pixeron.number.Value;

/** Levels of an image with M ≤ 255, one byte each. */
record ByteSamples(byte[] bytes) implements Samples {

    @Override
    public Value value(int offset) {
        return Rational.of(bytes[offset] & 0xFF);
    }

    @Override
    public double asDouble(int offset) {
        return bytes[offset] & 0xFF;
    }

    @Override
    public Samples with(int[] offsets, int level) {
        byte[] copy = bytes.clone();
        for (int offset : offsets) {
            copy[offset] = (byte) level;
        }
        return new ByteSamples(copy);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ByteSamples b && Arrays.equals(bytes, b.bytes);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(bytes);
    }
}
