package pixeron.cli;

import java.util.Optional;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;

/** Which face of a result with several is meant. */
final class FaceChoice {

    @Option(names = "--face", paramLabel = "FACE",
            description = "Of a colour image this channel alone: red, green, blue or alpha.")
    private String face;

    Optional<String> name() {
        return Optional.ofNullable(face);
    }

    /**
     * @return the face that was chosen
     * @throws PixeronException if the result has no faces to choose from, or not this one
     */
    Image of(Result result) {
        if (result instanceof Image) {
            throw PixeronException.of("--face %s: the result is an image; only a colour image has faces to choose from.",
                    Decimals.shortened(face));
        }
        return result.face(face).orElseThrow(() -> PixeronException.of("--face %s: the result has %s.", Decimals.shortened(face),
                        result.faces().stream().map(Result.Face::name).collect(Collectors.joining(", "))));
    }

    /** @return the result, or the face of it that was chosen */
    Result chosen(Result result) {
        return face == null ? result : of(result);
    }
}
