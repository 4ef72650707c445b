package pixeron.cli;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Decimals;

/** The channel or component that a command is asked about, if the result has several. */
final class FaceChoice {

    private final Argument<String> component;
    private final Argument<String> earlier;

    FaceChoice(Syntax syntax) {
        component = syntax.option("--component", "NAME", String.class,
                "Channel of a color image (such as red), or component of a color model (such as hue) or a spectrum (such as magnitude).");
        earlier = syntax.earlier("--face", String.class);
    }

    Optional<String> name() {
        return Optional.ofNullable(component.value()).or(() -> Optional.ofNullable(earlier.value()));
    }

    /**
     * Returns the chosen channel or component.
     *
     * @throws PixeronException if the result has none to choose from, or not this one
     */
    Image of(Result result) {
        String name = name().orElseThrow();
        if (result instanceof Image) {
            throw PixeronException.of("--component %s: the result is a gray image; only color images, color models and spectra have components. Leave it out.",
                    Decimals.shortened(name));
        }
        return result.face(name).orElseThrow(() -> PixeronException.of("--component %s: the result has %s.", Decimals.shortened(name),
                        result.faces().stream().map(Result.Face::name).collect(Collectors.joining(", "))));
    }

    /** @throws PixeronException if the result is a spectrum or a model image and no component was chosen */
    void requireOf(Result result, String why) {
        if (name().isEmpty() && result instanceof ModelImage model) {
            throw PixeronException.of("The result is %s, and %s. Add --component %s.", model.kind(), why, String.join(", ", model.names()).replaceFirst(", (?=[^,]*$)", " or "));
        }
        if (name().isEmpty() && result instanceof Spectrum) {
            throw PixeronException.of("The result is a spectrum, and %s. Add --component %s.", why, Arrays.stream(SpectrumFace.values()).map(SpectrumFace::word)
                    .collect(Collectors.joining(", ")).replace(", log", " or log"));
        }
    }

    /** Returns the result, or its chosen component. */
    Result chosen(Result result) {
        return name().isPresent() ? of(result) : result;
    }
}
