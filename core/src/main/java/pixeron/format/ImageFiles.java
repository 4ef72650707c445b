package pixeron.format;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;

/** Images in files: the format is detected from the content when reading, and from the ending when writing. */
public final class ImageFiles {

    private static final long MAXIMUM_BYTES = 1L << 30;

    private interface Writer {
        void write(Image image, OutputStream out) throws IOException;
    }

    private static final Map<String, Writer> WRITERS = Map.ofEntries(
            Map.entry("png", PictureFiles::writePng),
            Map.entry("tif", PictureFiles::writeTiff),
            Map.entry("tiff", PictureFiles::writeTiff),
            Map.entry("bmp", PictureFiles::writeBmp),
            Map.entry("gif", PictureFiles::writeGif),
            Map.entry("jpg", PictureFiles::writeJpeg),
            Map.entry("jpeg", PictureFiles::writeJpeg),
            Map.entry("pgm", NetpbmFiles::writeGray),
            Map.entry("ppm", NetpbmFiles::writeColor),
            Map.entry("pam", NetpbmFiles::writeMap),
            Map.entry("xlsx", WorkbookFiles::write),
            Map.entry("npy", NpyFiles::write),
            Map.entry("csv", (image, out) -> NumberTables.write(image, ",", false, out)),
            Map.entry("tsv", (image, out) -> NumberTables.write(image, "\t", false, out)),
            Map.entry("txt", (image, out) -> NumberTables.write(image, " ", false, out)));
    private static final Map<String, Writer> EXACT_WRITERS = Map.of(
            "csv", (image, out) -> NumberTables.write(image, ",", true, out),
            "tsv", (image, out) -> NumberTables.write(image, "\t", true, out),
            "txt", (image, out) -> NumberTables.write(image, " ", true, out));

    private static final Set<String> ONLY_READ = Set.of("pbm", "pnm", "ods");

    private ImageFiles() {
    }

    /**
     * Returns the image; the file is never changed.
     *
     * @param file a picture (PNG, JPEG, BMP, GIF, TIFF, Netpbm), a table or an array of numbers, also as a spreadsheet (XLSX, ODS) or .npy
     * @param options what the file does not say itself
     * @throws PixeronException if the file cannot be read or is none of these; one line that names it
     */
    public static LoadedImage read(Path file, ReadOptions options) {
        byte[] bytes = bytes(file);
        try {
            return read(bytes, options);
        } catch (TooManyPixelsException | UndecidedException asked) {
            throw asked;
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", file.getFileName(), problem.getMessage());
        }
    }

    /**
     * Returns the image.
     *
     * @param text a table of numbers, such as a spreadsheet puts on the clipboard
     * @param options what the text does not say itself
     * @throws PixeronException if the text is no table of numbers; one line
     */
    public static LoadedImage parse(String text, ReadOptions options) {
        return NumberTables.read(text, options);
    }

    /**
     * Returns the text of a file that is no picture, to be read as a table; empty for a picture or a spreadsheet.
     *
     * @param file any
     * @throws PixeronException if the file cannot be read, is empty, or is neither a picture nor text
     */
    public static Optional<String> tableText(Path file) {
        byte[] bytes = bytes(file);
        try {
            requireContent(bytes);
            return isPicture(bytes) || Spreadsheets.matches(bytes) || NpyFiles.matches(bytes) ? Optional.empty()
                    : Optional.of(CellTable.decode(bytes));
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", file.getFileName(), problem.getMessage());
        }
    }

    /**
     * Returns whether it holds a picture, not text or a spreadsheet.
     *
     * @param file any
     * @throws PixeronException if the file cannot be read
     */
    public static boolean isPicture(Path file) {
        return isPicture(bytes(file));
    }

    private static boolean isPicture(byte[] bytes) {
        return PictureFiles.format(bytes).isPresent() || NetpbmFiles.matches(bytes);
    }

    private static void requireContent(byte[] bytes) {
        if (bytes.length == 0) {
            throw PixeronException.of("The file is empty. Choose a picture or a table of numbers.");
        }
    }

    static LoadedImage read(byte[] bytes, ReadOptions options) {
        requireContent(bytes);
        Optional<String> picture = PictureFiles.format(bytes);
        if (picture.isPresent()) {
            return PictureFiles.read(bytes, picture.get(), options);
        } else if (NetpbmFiles.matches(bytes)) {
            return NetpbmFiles.read(bytes, options);
        }
        if (NpyFiles.matches(bytes)) {
            return NpyFiles.read(bytes, options);
        }
        return Spreadsheets.matches(bytes) ? NumberTables.read(CellTable.firstFilled(Spreadsheets.read(bytes)).trimmed(), options)
                : NumberTables.read(CellTable.decode(bytes), options);
    }

    /**
     * Returns the bytes of a readable file.
     *
     * @throws PixeronException if it is missing, a folder, unreadable or larger than 1 GiB
     */
    static byte[] bytes(Path file) {
        try {
            if (Files.isDirectory(file)) {
                throw PixeronException.of("%s is a folder. Choose a file.", file);
            } else if (!Files.exists(file)) {
                throw PixeronException.of("There is no file %s.", file);
            } else if (!Files.isRegularFile(file)) {
                throw PixeronException.of("%s is not a regular file.", file);
            } else if (Files.size(file) > MAXIMUM_BYTES) {
                throw PixeronException.of("%s is larger than the limit of 1 GiB.", file);
            }
            return Files.readAllBytes(file);
        } catch (AccessDeniedException denied) {
            throw PixeronException.because(denied, "No permission to read %s.", file);
        } catch (IOException | OutOfMemoryError trouble) {
            throw PixeronException.because(trouble, "Cannot read %s: %s.", file, trouble.getMessage());
        }
    }

    /**
     * Writes beside the target and then moves, so that a failure leaves an existing file as it was.
     *
     * @param file ends with .png, .tif, .bmp, .gif, .jpg, .pgm, .ppm, .pam, .csv, .tsv, .txt, .xlsx or .npy
     * @param result an image or a color image; of a spectrum its picture is written
     * @param isExact true to write fractions instead of decimals; tables only
     * @throws PixeronException if the ending is unknown, the format cannot hold the result (names those that can), or the
     *     target cannot be written
     */
    public static void write(Path file, Result result, boolean isExact) {
        Writer writer = writer(file, isExact);
        if (result instanceof ColorImage && ending(file).equals("xlsx")) {
            SafeFile.write(file, out -> WorkbookFiles.write(result, out));
        } else if (result instanceof ColorImage && ending(file).equals("npy")) {
            SafeFile.write(file, out -> NpyFiles.write(result, out));
        } else if (result instanceof ColorImage color) {
            SafeFile.write(file, out -> ColorFiles.write(color, ending(file), out));
        } else {
            Image image = result instanceof Spectrum spectrum ? spectrum.picture() : (Image) result;
            SafeFile.write(file, out -> writer.write(image, out));
        }
    }

    /**
     * Writes a PNG.
     *
     * @param result an image or a color image with a maximum level that PNG has
     */
    public static void writePng(Result result, OutputStream out) throws IOException {
        if (result instanceof ColorImage color) {
            ColorFiles.write(color, "png", out);
        } else {
            PictureFiles.writePng((Image) result, out);
        }
    }

    /**
     * Checks that an image can be written to a file.
     *
     * @throws PixeronException if {@link #write} knows no format for the ending of file
     */
    public static void requireWritable(Path file, boolean isExact) {
        writer(file, isExact);
        SafeFile.requireTarget(file);
    }

    /** Returns whether {@link #write} knows a format for the ending of file. */
    public static boolean isWritable(Path file) {
        return WRITERS.containsKey(ending(file));
    }

    /** Returns whether a file of this ending is an image or a table as far as its name tells; files without a known ending may be all the same. */
    public static boolean isReadable(Path file) {
        return isWritable(file) || ONLY_READ.contains(ending(file));
    }

    /** Returns the ending of the most common lossless format that can hold the image, with its point. */
    public static String suggestedEnding(Result result) {
        boolean isPng = PictureFiles.PNG_MAXIMA.contains(result.frame().maximumLevel());
        if (result instanceof ColorImage color) {
            return isPng && color.frame().maximumLevel() >= Image.BYTE_MAXIMUM ? ".png" : color.alpha().isPresent() ? ".pam" : ".ppm";
        }
        return result instanceof Image image && !image.isLevelImage() ? ".csv" : isPng ? ".png" : ".pgm";
    }

    /** Returns whether the format of this ending has room for levels 0–M as they are; true where only writing tells. */
    public static boolean hasRoom(Path file, int maximumLevel) {
        return PictureFiles.maxima(ending(file)).map(maxima -> maxima.contains(maximumLevel)).orElse(true);
    }

    /** Returns whether a file with this ending is a table of numbers. */
    public static boolean isTable(Path file) {
        return String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT).matches(".*\\.(csv|tsv|txt|xlsx)");
    }

    /** Returns true when writing to this ending changes values. */
    public static boolean isLossy(Path file) {
        return String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT).matches(".*\\.jpe?g");
    }

    /** Returns whether some value of a result may become another one in a file: in a lossy format, or of values that are no levels as TIFF. */
    public static boolean mayChange(Path file, Result result) {
        return isLossy(file) || ending(file).startsWith("tif") && result instanceof Image image && !image.isLevelImage()
                && IntStream.range(0, image.count()).anyMatch(n -> (float) image.asDouble(n) != image.asDouble(n));
    }

    private static String ending(Path file) {
        String name = String.valueOf(file.getFileName());
        return name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    }

    private static Writer writer(Path file, boolean isExact) {
        String name = String.valueOf(file.getFileName());
        String ending = ending(file);
        Writer writer = (isExact ? EXACT_WRITERS : WRITERS).get(name.contains(".") ? ending : "");
        if (writer == null && isExact && WRITERS.containsKey(ending)) {
            throw PixeronException.of("Exact fractions can be written to .csv, .tsv or .txt, not to \"%s\".", name);
        } else if (writer == null) {
            throw PixeronException.of("“%s” has no known ending. Use .png, .tif, .bmp, .gif, .pgm,"
                    + " .ppm, .pam, .csv, .tsv, .txt, .xlsx, .npy, or the lossy .jpg.",
                    name);
        }
        return writer;
    }
}
