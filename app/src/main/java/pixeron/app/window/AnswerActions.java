package pixeron.app.window;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import pixeron.PixeronException;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Target;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.answer.Answer;
import pixeron.byhand.answer.AnswerFile;
import pixeron.byhand.answer.ColorAnswer;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.search.ShapeSlip;
import pixeron.format.CellTable;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.step.Explained;

/** Values by hand from files: tables, spreadsheets, and what a user's own program made. */
final class AnswerActions {

    private static final List<Dialogs.Kind> ANSWERS = List.of(
            new Dialogs.Kind("Tables, spreadsheets and pictures", List.of("*.csv", "*.tsv", "*.txt", "*.xlsx", "*.ods",
                    "*.png", "*.pgm", "*.tif", "*.tiff", "*.bmp", "*.gif")),
            new Dialogs.Kind("All files", List.of("*")));
    /** More blocks than this are no choice any more. */
    private static final int MOST_OFFERED = 4;

    private final Bench bench;
    private final Background opening;
    private final Voice voice;
    private final Consumer<RuntimeException> trouble;

    AnswerActions(Bench bench, Background opening, Voice voice,
            Consumer<RuntimeException> trouble) {
        this.bench = bench;
        this.opening = opening;
        this.voice = voice;
        this.trouble = trouble;
    }

    /** Lets the user choose a file with values for the selected step: their own, or those of a program. */
    void open() {
        voice.dialogs().chooseToOpen("Open values by hand", ANSWERS).ifPresent(this::open);
    }

    void open(Path file) {
        if (bench.shown() == null || bench.shown().after().isEmpty()) {
            voice.banner().show("Values by hand belong to a step. First select a step with a result.");
            return;
        }
        if (bench.hand().isWhole()) {
            openInColor(file);
            return;
        }
        Frame grid = bench.shown().grid();
        opening.start(progress -> AnswerFile.read(file, grid), answers -> choose(file, answers, grid), trouble);
    }

    /** A picture in color, or a table whose cells are packed or have a number for each channel. */
    private void openInColor(Path file) {
        Abreast faces = bench.shown().whole().orElseThrow().faces();
        Target target = bench.hand().target();
        opening.start(progress -> ColorAnswer.read(file, faces), sheet -> {
            voice.banner().hide();
            Map<String, UnaryOperator<HandSheet>> changes = new LinkedHashMap<>();
            faces.apart(sheet).forEach((face, written) -> changes.put(face, old -> written.withTolerance(old.tolerance())));
            bench.hand().edit(target, changes);
            voice.say().accept("Read " + sheet.cells().size() + " values from " + file.getFileName());
        }, trouble);
    }

    /** Takes the only block that fits; asks where there are several, or one that fits only with rows for columns. */
    private void choose(Path file, List<Answer> answers, Frame grid) {
        Answer first = answers.get(0);
        if (first.otherShape().isPresent()) {
            voice.banner().show(file.getFileName() + " has " + first.otherShape().get().size() + " cells, but the result has " + grid.size() + ".");
            voice.banner().offer("Compare cells in both", () -> take(file, first, grid));
            return;
        }
        if (answers.size() == 1 && !first.isSwapped()) {
            take(file, first, grid);
            return;
        }
        voice.banner().show(first.isSwapped() ? file.getFileName() + " fits only when transposed."
                : file.getFileName() + " has " + answers.size() + " blocks of " + grid.rows() + " × " + grid.columns()
                        + ". Which one do you want to use?");
        answers.stream().limit(MOST_OFFERED).forEach(answer -> voice.banner().offer((answer.isSwapped() ? "Transpose" : "")
                + (answer.isSwapped() && answers.size() > 1 ? ", " : "") + (answers.size() > 1 ? answer.where() : ""),
                () -> take(file, answer, grid)));
    }

    private void take(Path file, Answer answer, Frame grid) {
        Optional<? extends Explained> right = bench.shown().operation();
        voice.banner().hide();
        opening.start(progress -> Taken.of(answer.sheet(grid), grid, right), taken -> {
            bench.hand().take(bench.hand().target(), taken.sheet());
            voice.say().accept("Read " + taken.sheet().cells().size() + " values from " + file.getFileName());
            answer.otherShape().flatMap(shape -> bench.shown().operation().flatMap(operation -> ShapeSlip.of(shape, operation)))
                    .ifPresent(slip -> voice.banner().show(slip.text()));
            offerToSwap(taken);
        }, problem -> trouble.accept(PixeronException.because(problem, "%s: %s", file.getFileName(), problem.getMessage())));
    }

    /**
     * Values that were opened or pasted.
     *
     * @param agree how many agree
     * @param swapped how many would with rows for columns; 0 where that is no question
     */
    private record Taken(HandSheet sheet, int agree, int swapped) {

        static Taken of(HandSheet sheet, Frame grid, Optional<? extends Explained> right) {
            boolean isOpen = grid.rows() == grid.columns() && right.isPresent() && sheet.cells().size() == grid.count();
            return !isOpen ? new Taken(sheet, 0, 0) : new Taken(sheet, Check.of(sheet, right.get()).agree(),
                    Check.of(sheet.swapped(), right.get()).agree());
        }
    }

    /** Writes a block from the clipboard from the picked cell on; offers to exchange rows and columns where that fits better. */
    void paste(CellTable block) {
        Frame grid = bench.shown().grid();
        Pixel corner = bench.pickedProperty().get();
        if (bench.hand().isWhole()) {
            pasteInColor(block.trimmed(), corner);
            return;
        }
        HandSheet before = bench.shown().sheet();
        try {
            HandSheet pasted = before.withBlock(corner, block, grid);
            bench.hand().take(bench.hand().target(), pasted);
            voice.say().accept("Pasted from " + corner + " on");
            Optional<? extends Explained> right = bench.shown().operation();
            if (before.isEmpty()) {
                opening.start(progress -> Taken.of(pasted, grid, right), this::offerToSwap, trouble);
            }
        } catch (PixeronException doesNotFit) {
            voice.banner().show(doesNotFit.getMessage());
            CellTable swapped = block.trimmed().swapped();
            HandSheet whole = HandSheet.ofAny(block.trimmed());
            // Of a text that is no table of numbers there is nothing to compare.
            if (corner.equals(new Pixel(0, 0)) && whole.isUnderstood()) {
                voice.banner().offer("Compare cells in both", () -> bench.hand().edit(old -> whole.withTolerance(old.tolerance())));
            }
            if (swapped.rows().size() == grid.rows() && swapped.width() == grid.columns()) {
                voice.banner().offer("Transpose", () -> bench.hand().edit(old -> old.withBlock(new Pixel(0, 0), swapped, grid)));
            }
        }
    }

    /** A block of packed values, or of numbers for each channel; plain numbers go to the channel that is looked at. */
    private void pasteInColor(CellTable block, Pixel corner) {
        Frame grid = bench.shown().grid();
        try {
            if (corner.row() + block.rows().size() > grid.rows() || corner.column() + block.width() > grid.columns()) {
                throw PixeronException.of("A block of %d × %d that begins at %s does not fit. The result has %s.", block.rows().size(), block.width(),
                        corner, grid.size());
            }
            bench.hand().writeBlock(bench.hand().target(), corner, block.rows());
            voice.say().accept("Pasted from " + corner + " on");
        } catch (PixeronException doesNotFit) {
            voice.banner().show(doesNotFit.getMessage());
        }
    }

    /** In a square the shape says nothing; where many more values agree with rows for columns, that is offered. */
    private void offerToSwap(Taken taken) {
        int count = taken.sheet().cells().size();
        if (taken.swapped() > taken.agree() && taken.swapped() * 2 > count) {
            voice.banner().show(taken.agree() + " of " + count + " values agree; transposed, " + taken.swapped() + " do.");
            voice.banner().offer("Transpose", () -> bench.hand().edit(HandSheet::swapped));
        }
    }

    /** Lets the user choose a program of their own. */
    Optional<Path> chooseProgram() {
        return voice.dialogs().chooseToOpen("Your program", List.of(new Dialogs.Kind("Programs", List.of("*.py", "*.java")), new Dialogs.Kind("All files", List.of("*"))));
    }

    /**
     * Lets the user choose a file with cells for a table.
     *
     * @param take gets them; what it throws is shown with the name of the file
     */
    void openCells(Consumer<CellTable> take) {
        voice.dialogs().chooseToOpen("Open values by hand", ANSWERS).ifPresent(file -> opening.start(
                progress -> CellTable.read(file), cells -> {
                    try {
                        voice.banner().hide();
                        take.accept(cells);
                    } catch (PixeronException doesNotFit) {
                        trouble.accept(PixeronException.because(doesNotFit, "%s: %s", file.getFileName(),
                                doesNotFit.getMessage()));
                    }
                }, trouble));
    }

    /**
     * Lets the user choose a picture or a table to compare with.
     *
     * @param take gets its name and the image, in color or gray
     */
    void openToCompare(BiConsumer<String, Result> take) {
        voice.dialogs().chooseToOpen("Open an answer", FileActions.TO_OPEN).ifPresent(file -> opening.start(
                progress -> ImageFiles.read(file, ReadOptions.DEFAULT).result(), image -> {
                    voice.banner().hide();
                    take.accept(String.valueOf(file.getFileName()), image);
                }, trouble));
    }
}
