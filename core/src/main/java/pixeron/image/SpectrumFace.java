package pixeron.image;

import java.util.Optional;
import pixeron.Worded;

/** What is seen of a coefficient as a number. */
public enum SpectrumFace implements Worded {
    REAL("real", "the real part"),
    IMAGINARY("imaginary", "the imaginary part"),
    MAGNITUDE("magnitude", "how strong the wave is: the root of the sum of both squares"),
    PHASE("phase", "where the wave begins, in degrees"),
    LOG("log", "ln(1 + magnitude), in which weak waves are seen beside strong ones");

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

    /** @return what it shows, for people */
    public String sentence() {
        return sentence;
    }

    /** @return the face with this word; empty where there is none */
    public static Optional<SpectrumFace> named(String word) {
        return Worded.find(values(), word);
    }
}
