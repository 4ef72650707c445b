package pixeron.recipe;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.format.ImageFiles;
import pixeron.format.LossyNote;
import pixeron.format.SafeFile;
import pixeron.format.array.ArrayNotation;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.look.PackedPixel;
import pixeron.number.Decimals;

/** What a result becomes in a file, whoever writes it: a command, many files at once, or the window. */
public final class ResultFile {

    private static final Map<String, String> SEPARATORS = Map.of("csv", ",", "tsv", "\t", "txt", " ");

    private ResultFile() {
    }

    /**
     * How a result is wanted.
     *
     * @param face of a result with several the one that is written; empty: all of a color image, of a spectrum the picture of its logarithm
     * @param isExact whether fractions are written as such
     * @param isPacked whether a table holds an image in color as packed pixels
     */
    public record Wish(Optional<String> face, boolean isExact, boolean isPacked) {
    }

    /**
     * What was written.
     *
     * @param note what the format changed; empty where it keeps everything
     */
    public record Written(Frame size, Optional<String> note) {
    }

    /**
     * Writes a result.
     *
     * @throws PixeronException if the format cannot hold it; the file stays as it was
     */
    public static Written write(Path file, Result result, Wish wish) {
        boolean isTable = ImageFiles.isTable(file);
        // As a picture the logarithm is drawn from black to white.
        boolean isDrawn = !isTable && result instanceof Spectrum && wish.face.orElse(SpectrumFace.LOG.word()).equals(SpectrumFace.LOG.word());
        Result kept = isDrawn ? ((Spectrum) result).picture() : wish.face.isEmpty() ? result : face(result, wish.face.get());
        if (kept instanceof ModelImage model) {
            throw PixeronException.of("The result is %s, and a file stores one component. Choose %s.", model.kind(), String.join(", ", model.names()).replaceFirst(", (?=[^,]*$)", " or "));
        } else if (isTable && kept instanceof Spectrum) {
            throw PixeronException.of("The result is a spectrum, which does not fit into one table. Write a picture, or add the step fourier-inverse.");
        } else if (isTable && kept instanceof ColorImage color) {
            requirePacked(color, wish);
            writePacked(file, color);
            return new Written(color.frame(), Optional.empty());
        }
        ImageFiles.write(file, kept, wish.isExact);
        return new Written(kept.frame(), ImageFiles.mayChange(file, kept) ? Optional.of(LossyNote.of(file, kept)) : Optional.empty());
    }

    /**
     * Writes a result as the text of an array.
     *
     * @throws PixeronException if the notation cannot hold it, or the file cannot be written; the file stays as it was
     */
    public static Written write(Path file, Result result, Wish wish, ArrayNotation notation) {
        Result kept = wish.face.isEmpty() ? result : face(result, wish.face.get());
        String text = notation.write(kept, wish.isExact);
        SafeFile.write(file, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
        return new Written(kept.frame(), Optional.empty());
    }

    /** Returns the notation of a file by its ending; empty for pictures and tables. */
    public static Optional<ArrayNotation> notation(Path file) {
        String name = String.valueOf(file.getFileName());
        return ArrayNotation.ofEnding(name.substring(name.lastIndexOf('.') + 1));
    }

    private static Image face(Result result, String name) {
        return result.face(name).orElseThrow(() -> PixeronException.of("The result has no %s. It has %s.", Decimals.shortened(name),
                result.faces().stream().map(Result.Face::name).collect(Collectors.joining(", "))));
    }

    private static void requirePacked(ColorImage color, Wish wish) {
        if (!wish.isPacked) {
            throw PixeronException.of("The result is a color image, which does not fit into one table of numbers. Write one channel or packed pixels.");
        } else if (color.maximumLevel() != Image.BYTE_MAXIMUM || color.faces().stream().anyMatch(face -> !face.image().isLevelImage())) {
            throw PixeronException.of("Packed pixels need whole levels from 0 to 255, but the result has other values.");
        }
    }

    private static void writePacked(Path file, ColorImage color) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        String separator = SEPARATORS.get(name.substring(name.lastIndexOf('.') + 1));
        if (separator == null) {
            throw PixeronException.of("Packed pixels can be written as .csv, .tsv or .txt, not as %s.", file.getFileName());
        }
        SafeFile.write(file, out -> {
            for (int i = 0; i < color.rows(); i++) {
                int row = i;
                String line = IntStream.range(0, color.columns()).mapToObj(j -> PackedPixel.find(color, new Pixel(row, j)).orElseThrow().hexadecimal())
                        .collect(Collectors.joining(separator));
                out.write((line + "\n").getBytes(StandardCharsets.UTF_8));
            }
        });
    }
}
