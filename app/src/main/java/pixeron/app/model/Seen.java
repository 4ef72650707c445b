package pixeron.app.model;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;

/**
 * What is on one side of a step, with the findings about each of its faces. Faces of a spectrum are described when they are first
 * looked at; those of anything else at once.
 */
public final class Seen {

    private final Result result;
    private final Map<String, Described> described = new ConcurrentHashMap<>();

    private Seen(Result result) {
        this.result = result;
    }

    /** Returns a result with the findings about each of its faces. */
    public static Seen of(Result result) {
        return of(result, Optional.empty(), "");
    }

    /** Returns an image that is described already. */
    public static Seen of(Described image) {
        Seen seen = new Seen(image.image());
        seen.described.put(seen.names().get(0), image);
        return seen;
    }

    /**
     * @param known what was shown last; the findings about the same image are kept
     * @param channel which face is looked at
     */
    static Seen of(Result result, Optional<Shown> known, String channel) {
        Optional<Seen> same = known.stream().flatMap(Shown::seen).filter(old -> old.result == result).findFirst();
        Seen seen = same.orElseGet(() -> new Seen(result));
        for (Result.Face face : result.faces()) {
            if (!seen.isSpectrum() || face.name().equals(seen.name(channel))) {
                seen.described.computeIfAbsent(face.name(), name -> known.stream().flatMap(Shown::described).filter(old -> old.image() == face.image()).findFirst()
                        .orElseGet(() -> Described.of(face.image(), seen.isSpectrum())));
            }
        }
        return seen;
    }

    /** Returns an image, or one with several faces. */
    public Result result() {
        return result;
    }

    /** Returns its faces in their order. */
    public List<Described> faces() {
        return names().stream().map(this::face).toList();
    }

    /** Returns those of its faces that are described already. */
    Stream<Described> described() {
        return described.values().stream();
    }

    public boolean hasColor() {
        return result instanceof ColorImage;
    }

    /** Returns the channels; empty where there is no color. */
    public Optional<ColorImage> color() {
        return result instanceof ColorImage color ? Optional.of(color) : Optional.empty();
    }

    public boolean isSpectrum() {
        return result instanceof Spectrum;
    }

    /** Returns whether it has the components of a color model. */
    public boolean isModel() {
        return result instanceof ModelImage;
    }

    /** Returns whether one of its components is looked at, never all of them as a picture. */
    public boolean isByComponent() {
        return isSpectrum() || isModel();
    }

    /** Returns the coefficients; empty where it is no spectrum. */
    public Optional<Spectrum> spectrum() {
        return result instanceof Spectrum spectrum ? Optional.of(spectrum) : Optional.empty();
    }

    public Frame frame() {
        return result.frame();
    }

    /** Returns the names of the faces. */
    public List<String> names() {
        return result.faces().stream().map(Result.Face::name).toList();
    }

    /** Returns the name of the face that is looked at while a channel is chosen: that channel where there is one, else the first; of a spectrum the logarithm. */
    public String name(String channel) {
        return names().contains(channel) ? channel : isSpectrum() ? SpectrumFace.LOG.word() : names().get(0);
    }

    /** Returns the face that is looked at while a channel is chosen. */
    public Described face(String channel) {
        return described.computeIfAbsent(name(channel), name -> Described.of(result.face(name).orElseThrow(), isSpectrum()));
    }
}
