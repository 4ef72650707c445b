package pixeron.image;

import java.util.Arrays;
import pixeron.number.Rational;
import pixeron.number.Value;

/** Levels of an image with M from 256 to 65535, sixteen bits each. */
record WordSamples(char[] words) implements Samples {

    @Override
    public Value value(int offset) {
        return Rational.of(words[offset]);
    }

    @Override
    public double asDouble(int offset) {
        return words[offset];
    }

    @Override
    public Samples with(int[] offsets, int level) {
        char[] copy = words.clone();
        for (int offset : offsets) {
            copy[offset] = (char) level;
        }
        return new WordSamples(copy);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof WordSamples w && Arrays.equals(words, w.words);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(words);
    }
}
