package pixeron.image;

import java.util.Optional;
import pixeron.Worded;

/** What is seen of a coefficient as a number. */
public enum SpectrumFace implements Worded {
    REAL("real", "the real part"),
    IMAGINARY("imaginary", "the imaginary part"),
    MAGNITUDE("magnitude", "the magnitude of the wave: √(real² + imaginary²)"),
    PHASE("phase", "the phase of the wave, in degrees"),
    LOG("log", "ln(1 + magnitude), which makes weak waves visible beside strong ones");

    private final String word;
    private final String sentence;

    SpectrumFace(String word, String sentence) {
        this.word = word;
        this.sentence = sentence;
    }

    @Override
    public String word() {
        return word;
    }

    /** Returns what it shows, for people. */
    public String sentence() {
        return sentence;
    }

    /** Returns the face with this word; empty where there is none. */
    public static Optional<SpectrumFace> named(String word) {
        return Worded.find(values(), word);
    }
}
