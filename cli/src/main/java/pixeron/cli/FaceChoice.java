package pixeron.cli;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Decimals;

/** Which face of a result with several is meant. */
final class FaceChoice {

    private final Argument<String> face;

    FaceChoice(Syntax syntax) {
        face = syntax.option("--face", "FACE", String.class,
                "Of a colour image this channel alone: red, green, blue or alpha. Of a spectrum this face: real, imaginary, magnitude, phase or log.");
    }

    Optional<String> name() {
        return Optional.ofNullable(face.value());
    }

    /**
     * @return the face that was chosen
     * @throws PixeronException if the result has no faces to choose from, or not this one
     */
    Image of(Result result) {
        if (result instanceof Image) {
            throw PixeronException.of("--face %s: the result is an image; only a colour image or a spectrum has faces to choose from.",
                    Decimals.shortened(face.value()));
        }
        return result.face(face.value()).orElseThrow(() -> PixeronException.of("--face %s: the result has %s.", Decimals.shortened(face.value()),
                        result.faces().stream().map(Result.Face::name).collect(Collectors.joining(", "))));
    }

    /** @throws PixeronException if the result is a spectrum and no face of it was chosen */
    void requireOf(Result result, String why) {
        if (!face.isGiven() && result instanceof Spectrum) {
            throw PixeronException.of("The result is a spectrum, and %s; add --face %s.", why, Arrays.stream(SpectrumFace.values()).map(SpectrumFace::word)
                    .collect(Collectors.joining(", ")).replace(", log", " or log"));
        }
    }

    /** @return the result, or the face of it that was chosen */
    Result chosen(Result result) {
        return face.isGiven() ? of(result) : result;
    }
}
