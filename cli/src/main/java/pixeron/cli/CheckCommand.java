package pixeron.cli;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.ComplexCells;
import pixeron.byhand.HandSheet;
import pixeron.byhand.Verdict;
import pixeron.byhand.answer.ColourAnswer;
import pixeron.byhand.colour.Abreast;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.ShapeSlip;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.chain.Stage;
import pixeron.format.CellTable;
import pixeron.image.ColourImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Decimals;
import pixeron.project.ProjectFile;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.table.LevelRows;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;

/** {@code pixeron check IMAGE --step LINE… --by-hand TABLE}: marks and slips for the last step. */
@Command(name = "check", mixinStandardHelpOptions = true,
        description = "Compares values by hand with the last step, or all values by hand of a project. Exit code 1 when "
                + "something differs.")
final class CheckCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Mixin
    private OneImage image;

    @Mixin
    private StepLines steps;

    @Mixin
    private FaceChoice face;

    @Option(names = "--by-hand", paramLabel = "TABLE",
            description = "CSV with as many rows and columns as the result; a blank cell is not filled. Or a spreadsheet (XLSX, "
                    + "ODS), a picture, or a folder of them, with --out.")
    private Path byHand;

    @Mixin
    private AnswerChoice answer;

    @Mixin
    private ByProgram program;

    @Option(names = "--table", paramLabel = "NAME",
            description = "Checks a table of the last step, such as levels or otsu, instead of its result; the first line of "
                    + "the CSV names the columns, and the first column says which row it is. \"pixel ROW,COLUMN\": the numbers "
                    + "on the way to that pixel, such as sum, quotient and rounded.")
    private String table;

    @Option(names = "--out", paramLabel = "FILE",
            description = "For a folder: a CSV with one row for each of its files: file, filled, agree, differ, first slip, score.")
    private Path out;

    @Option(names = "--tolerance", paramLabel = "T", description = "Values within ± T agree, whatever their decimals.")
    private String tolerance;

    @Option(names = "--format", defaultValue = "text",
            description = "${COMPLETION-CANDIDATES}; default ${DEFAULT-VALUE}.")
    private Format format;

    @Override
    public Integer call() {
        boolean isProject = image.file().getFileName().toString().endsWith(ProjectFile.ENDING);
        if (program.isGiven()) {
            return checkProgram();
        }
        if (byHand == null && isProject) {
            return ProjectCheck.write(ProjectFile.read(image.file()).project(), format == Format.json,
                    spec.commandLine().getOut());
        } else if (byHand == null) {
            throw PixeronException.of("Missing required option --by-hand TABLE (or --by-program COMMAND); only a project (%s) brings its own values by hand.",
                    ProjectFile.ENDING);
        }
        Stage stage = steps.last(image);
        if (stage.after(Progress.NONE).required() instanceof ColourImage && face.name().isEmpty()) {
            return checkColour(stage);
        }
        Operation operation = operation(stage);
        if (table == null && stage.after(Progress.NONE).required() instanceof Spectrum && !Files.isDirectory(byHand)) {
            return checkSpectrum(stage, operation);
        }
        if (table != null) {
            // A pixel's numbers on the way are a table too, which is not listed with the others: there is one for every pixel.
            Table right = PixelTable.pixel(table).flatMap(pixel -> PixelTable.named(operation, table))
                    .orElseGet(() -> TableCommand.named(operation.tables(), table));
            return checkTable(right, operation);
        }
        if (Files.isDirectory(byHand)) {
            return FolderCheck.write(FolderCheck.Subject.of(operation), byHand, out, file -> answer.written(operation, file, tolerance), spec.commandLine().getOut());
        } else if (out != null) {
            throw PixeronException.of("--out is for a folder of tables; %s is one file.", byHand.getFileName());
        }
        AnswerChoice.Written written = answer.written(operation, byHand, tolerance);
        Check check = Check.of(written.sheet(), operation);
        requireUnderstood(check, byHand);
        Findings found = written.otherShape().flatMap(shape -> ShapeSlip.of(shape, operation)).map(shape ->
                SlipFinder.find(check, operation).with(shape)).orElseGet(() -> SlipFinder.find(check, operation));
        PrintWriter out = spec.commandLine().getOut();
        out.print(format == Format.json ? Json.text(Json.withFace(Json.check(check, found), face.name())) + System.lineSeparator()
                : CheckText.shape(written.otherShape(), operation.frame()) + CheckText.of(check, found, CheckText.parts(operation)));
        return check.differing().isEmpty() && written.otherShape().isEmpty() ? 0 : Pixeron.DIFFERS;
    }

    private int checkProgram() {
        if (byHand != null || table != null || out != null || tolerance != null) {
            throw PixeronException.of("--by-program stands in place of --by-hand, and without --table, --out and --tolerance.");
        }
        Stage stage = steps.last(image);
        Result after = stage.after(Progress.NONE).required();
        face.name().ifPresent(name -> face.of(after));
        face.requireOf(after, "a program is checked on one face");
        return program.check(steps.chain(image.chain(), image.input()), face.name(), format == Format.json, spec.commandLine().getOut());
    }

    /** @return how the result is worked out, or the face of it that was chosen */
    private Operation operation(Stage stage) {
        Result after = stage.after(Progress.NONE).required();
        face.name().ifPresent(name -> face.of(after));
        if (after instanceof Spectrum && face.name().isEmpty() && table != null) {
            // Its tables are of all faces.
            return stage.bound(Progress.NONE).orElseThrow().face(SpectrumFace.REAL.word()).orElseThrow();
        }
        face.requireOf(after, "values by hand are of one face");
        return stage.bound(Progress.NONE).orElseThrow().face(face.name().orElse(Image.VALUE)).orElseThrow();
    }

    /** One face, and of cells with both parts of a coefficient the real and the imaginary one. */
    private int checkSpectrum(Stage stage, Operation operation) {
        AnswerChoice.Written written = answer.written(operation, byHand, tolerance);
        Map<String, HandSheet> sheets = ComplexCells.apart(written.sheet(), face.name().orElseThrow());
        List<FaceCheck> checks = new ArrayList<>();
        sheets.forEach((name, sheet) -> checks.add(FaceCheck.of(name, stage.bound(Progress.NONE).orElseThrow().face(name).orElseThrow(), sheet)));
        checks.forEach(one -> requireUnderstood(one.check(), byHand));
        spec.commandLine().getOut().print(format == Format.json ? Json.text(FaceCheck.json(checks)) + System.lineSeparator()
                : CheckText.shape(written.otherShape(), operation.frame()) + FaceCheck.text(checks));
        return checks.stream().allMatch(one -> one.check().differing().isEmpty()) && written.otherShape().isEmpty() ? 0 : Pixeron.DIFFERS;
    }

    /** All faces at once: cells with packed values, or with three numbers. */
    private int checkColour(Stage stage) {
        if (table != null) {
            throw PixeronException.of("The result is a colour image; choose with --face which channel the values of the table belong to.");
        }
        Abreast right = new Abreast(stage.bound(Progress.NONE).orElseThrow(), stage.before(Progress.NONE).required(),
                (ColourImage) stage.after(Progress.NONE).required());
        if (Files.isDirectory(byHand)) {
            return FolderCheck.write(new FolderCheck.Subject(right, new SlipFinder(right), shape -> Optional.empty()), byHand, out, file ->
                    new AnswerChoice.Written(tolerant(ColourAnswer.read(file, right)), Optional.empty()), spec.commandLine().getOut());
        }
        HandSheet sheet = ColourAnswer.read(byHand, right);
        Check check = Check.of(tolerant(sheet), right);
        requireUnderstood(check, byHand);
        Findings found = new SlipFinder(right).find(check, Progress.NONE);
        spec.commandLine().getOut().print(format == Format.json ? Json.text(Json.colourCheck(check, found, right))
                + System.lineSeparator() : CheckText.of(check, found, right));
        return check.differing().isEmpty() ? 0 : Pixeron.DIFFERS;
    }

    private HandSheet tolerant(HandSheet sheet) {
        return tolerance == null ? sheet : sheet.withTolerance(Optional.of(Decimals.parse(tolerance)));
    }

    /** @throws PixeronException if a cell is neither a number nor an expression; names it */
    static void requireUnderstood(Check check, Path byHand) {
        check.cells().stream().filter(cell -> cell.state() == Verdict.NOT_UNDERSTOOD).findFirst()
                .ifPresent(cell -> {
            throw PixeronException.of("%s: %s (counted from 0): \"%s\" is neither a number nor an expression. %s",
                    byHand.getFileName(), cell.pixel(), Decimals.shortened(cell.byHand().text()),
                            cell.byHand().problem());
        });
    }

    private int checkTable(Table right, Operation operation) {
        if (tolerance != null) {
            throw PixeronException.of("--tolerance is for results; the cells of a table agree by their decimals.");
        }
        TableCheck check = TableCheck.of(handTable(right), right);
        check.cells().stream().filter(cell -> cell.state() == Verdict.NOT_UNDERSTOOD).findFirst()
                .ifPresent(cell -> {
            throw PixeronException.of("%s: row %s, column %s: \"%s\" is neither a number nor an expression. %s",
                    byHand.getFileName(), right.key(cell.row()), cell.column(),
                    Decimals.shortened(cell.byHand().text()), cell.byHand().problem());
        });
        PrintWriter out = spec.commandLine().getOut();
        List<TableSlip> slips = TableSlips.find(check, right, operation);
        out.print(format == Format.json ? Json.text(Json.check(check, right, slips)) + System.lineSeparator()
                : CheckText.of(check, right, slips));
        return check.cells().stream().anyMatch(TableCheck.Cell::isWrong) ? Pixeron.DIFFERS : 0;
    }

    private HandTable handTable(Table right) {
        try {
            CellTable cells = CellTable.read(byHand);
            List<String> first = cells.rows().isEmpty() ? List.of() : cells.rows().get(0);
            boolean isNamed = first.stream().anyMatch(right.columns()::contains);
            // Without a head line it has the columns that the command "table" writes.
            return HandTable.of(cells, isNamed ? right : LevelRows.written(right));
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", byHand.getFileName(), problem.getMessage());
        }
    }
}
