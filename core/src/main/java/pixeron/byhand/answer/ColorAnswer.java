package pixeron.byhand.answer;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.color.ColorCells;
import pixeron.format.CellTable;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;

/** Values by hand for all channels from a file: a picture in color, or a table of packed values or numbers for each channel. */
public final class ColorAnswer {

    private static final String TABLES = ".*\\.(csv|tsv|txt|xlsx|ods)";

    private ColorAnswer() {
    }

    /**
     * Returns what was written, all channels beside each other.
     *
     * @param faces what the values are for
     * @throws PixeronException if the file cannot be read, has another size, or a cell is none of these; names the file
     */
    public static HandSheet read(Path file, Abreast faces) {
        String name = String.valueOf(file.getFileName());
        try {
            if (name.toLowerCase(Locale.ROOT).matches(TABLES)) {
                return ColorCells.sheet(CellTable.read(file).rows(), faces);
            }
            return sheet(AnswerFile.picture(file).result(), faces);
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", name, problem.getMessage());
        }
    }

    private static HandSheet sheet(Result picture, Abreast faces) {
        if (picture instanceof Image) {
            throw PixeronException.of("The picture is gray, but the result is in color. Choose the channel that the picture belongs to.");
        } else if (!picture.frame().isSized(faces.after().frame())) {
            throw PixeronException.of("The picture has %s, but the result has %s.", picture.frame().size(), faces.after().frame().size());
        }
        Map<Pixel, String> texts = new HashMap<>();
        for (Result.Face face : picture.faces()) {
            for (int n = 0; faces.bound().faces().contains(face.name()) && n < face.image().count(); n++) {
                texts.put(faces.place(face.name(), face.image().pixel(n)), Decimals.table(face.image().value(n)));
            }
        }
        return HandSheet.EMPTY.with(texts);
    }
}
