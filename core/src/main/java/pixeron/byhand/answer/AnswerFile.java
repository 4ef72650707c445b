package pixeron.byhand.answer;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.format.CellTable;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.NamedCells;
import pixeron.format.ReadOptions;
import pixeron.format.TooManyPixelsException;
import pixeron.image.Frame;
import pixeron.image.Image;

/**
 * Finds in a file what can be the answer for a result: a table of just its size, a block of this size in a spreadsheet, or a
 * picture. Where nothing but a block with rows for columns fits, that is it.
 */
public final class AnswerFile {

    private static final long MOST_PIXELS = 1 << 22;

    private AnswerFile() {
    }

    /**
     * Returns what fits, best first; at least one.
     *
     * @param file a text, a spreadsheet (XLSX, ODS) or a picture
     * @param grid the result whose size the answer has
     * @throws PixeronException if the file cannot be read or nothing in it fits; says what it holds
     */
    public static List<Answer> read(Path file, Frame grid) {
        try {
            return find(sheets(file), grid);
        } catch (PixeronException problem) {
            String name = String.valueOf(file.getFileName());
            throw problem.getMessage().startsWith(name) ? problem
                    : PixeronException.because(problem, "%s: %s", name, problem.getMessage());
        }
    }

    /**
     * Returns the values of cells that are an answer as a whole or hold just one.
     *
     * @throws PixeronException if nothing fits, or more than one block does
     */
    public static HandSheet only(CellTable cells, Frame grid) {
        List<Answer> found = find(List.of(new NamedCells("", cells)), grid).stream().filter(answer -> !answer.isSwapped()).toList();
        if (found.size() != 1 || found.get(0).otherShape().isPresent()) {
            throw PixeronException.of("The file contains %s, but the result has %d × %d.", sizes(List.of(new NamedCells("", cells))), grid.rows(), grid.columns());
        }
        return found.get(0).sheet(grid);
    }

    /** Returns the sheets of a text, a spreadsheet or a gray picture. */
    public static List<NamedCells> sheets(Path file) {
        if (!ImageFiles.isPicture(file)) {
            return CellTable.readAll(file);
        }
        LoadedImage picture = picture(file);
        if (picture.color().isPresent()) {
            throw PixeronException.of("The picture has color or transparency. An answer must be a gray picture.");
        }
        Image image = picture.image();
        return List.of(new NamedCells("", CellTable.of(image)));
    }

    /** @throws PixeronException if it cannot be read, or has more pixels than anybody calculates */
    static LoadedImage picture(Path file) {
        try {
            return ImageFiles.read(file, ReadOptions.DEFAULT.withPixelLimit(MOST_PIXELS));
        } catch (TooManyPixelsException tooMany) {
            throw PixeronException.because(tooMany, "The picture has %d pixels. Values by hand can have at most %d.", tooMany.pixels(), MOST_PIXELS);
        }
    }

    static List<Answer> find(List<NamedCells> sheets, Frame grid) {
        List<Answer> fitting = new ArrayList<>();
        List<Answer> swapped = new ArrayList<>();
        for (NamedCells sheet : sheets) {
            CellTable all = sheet.cells();
            if (all.rows().size() >= grid.rows() && all.trimmed().rows().size() <= grid.rows() && all.width() == grid.columns()) {
                // A text of just this size may have blank rows and columns anywhere.
                fitting.add(new Answer(sheet.name(), all, false, Optional.empty()));
                continue;
            }
            for (Block block : Block.all(all)) {
                addFitting(fitting, swapped, sheet, block, grid);
            }
        }
        List<Answer> found = fitting.isEmpty() ? swapped : fitting;
        if (found.isEmpty() && sheets.size() == 1 && sheets.get(0).name().isEmpty()) {
            CellTable cells = sheets.get(0).cells();
            if (isRectangle(cells)) {
                return List.of(new Answer("", cells, false, Optional.of(new Frame(cells.rows().size(), cells.width(), grid.maximumLevel()))));
            }
            // Rows of different lengths: the error names the row that is too long or too short.
            HandSheet.of(cells, grid);
        }
        if (found.isEmpty()) {
            throw PixeronException.of("The file contains %s, but the result has %d × %d.", sizes(sheets), grid.rows(), grid.columns());
        }
        return found;
    }

    private static boolean isRectangle(CellTable cells) {
        return cells.width() > 0 && cells.rows().stream().allMatch(row -> row.size() == cells.width());
    }

    private static void addFitting(List<Answer> fitting, List<Answer> swapped, NamedCells sheet, Block block, Frame grid) {
        for (Block part : block.isNumbered(sheet.cells()) ? List.of(block, block.inner()) : List.of(block)) {
            CellTable cells = sheet.cells().part(part.top(), part.left(), part.height(), part.width());
            if (part.height() == grid.rows() && part.width() == grid.columns()) {
                fitting.add(new Answer(part.where(sheet.name()), cells, false, Optional.empty()));
            } else if (part.height() == grid.columns() && part.width() == grid.rows()) {
                swapped.add(new Answer(part.where(sheet.name()), cells.swapped(), true, Optional.empty()));
            }
        }
    }

    private static String sizes(List<NamedCells> sheets) {
        String sizes = sheets.stream().flatMap(sheet -> Block.all(sheet.cells()).stream()).limit(5)
                .map(block -> block.height() + " × " + block.width()).collect(Collectors.joining(", "));
        return sizes.isEmpty() ? "no values" : "values in blocks of " + sizes + " rows and columns";
    }
}
