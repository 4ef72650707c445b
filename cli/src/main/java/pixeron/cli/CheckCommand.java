package pixeron.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.ComplexCells;
import pixeron.byhand.HandSheet;
import pixeron.byhand.Verdict;
import pixeron.byhand.answer.ColorAnswer;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.ShapeSlip;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.chain.Stage;
import pixeron.format.CellTable;
import pixeron.image.Components;
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
final class CheckCommand implements Callable<Integer> {

    private final Syntax syntax;
    private final OneImage image;
    private final StepLines steps;
    private final FaceChoice face;
    private final Argument<Path> byHand;
    private final AnswerChoice answer;
    private final ByProgram program;
    private final Argument<String> table;
    private final Argument<Path> out;
    private final Argument<Boolean> isReplacing;
    private final Argument<String> tolerance;
    private final Argument<Format> format;

    CheckCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Compare values by hand with the last step, or all values by hand of a project. Exit code 1: some values differ.");
        image = OneImage.withoutSwap(syntax);
        steps = new StepLines(syntax);
        face = new FaceChoice(syntax);
        byHand = syntax.option("--by-hand", "TABLE", Path.class,
                "CSV with the size of the result; empty cells are not checked. Or a spreadsheet (XLSX, ODS), a picture, "
                        + "or a folder of them (with --out).");
        answer = new AnswerChoice(syntax);
        program = new ByProgram(syntax);
        table = syntax.option("--table", "NAME", String.class,
                "Check a table of the last step, such as levels or otsu, instead of its result. The first line of the CSV names the "
                        + "columns, and the first column identifies the row. \"pixel ROW,COLUMN\" checks the intermediate values of that pixel, such as "
                        + "sum, quotient and rounded.");
        out = syntax.option("--out", "FILE", Path.class, "For a folder: CSV file for the results, with one row per file.");
        isReplacing = syntax.flag("--replace", "For a folder: replace an existing results file inside it.");
        tolerance = syntax.option("--tolerance", "T", String.class, "Values within ± T agree.");
        format = syntax.format(Format.class);
    }

    @Override
    public Integer call() {
        boolean isProject = image.file().getFileName().toString().endsWith(ProjectFile.ENDING);
        if (program.isGiven()) {
            return checkProgram();
        }
        if (!byHand.isGiven() && isProject) {
            return ProjectCheck.write(ProjectFile.read(image.file()).project(), format.value() == Format.json,
                    syntax.out());
        } else if (!byHand.isGiven()) {
            throw PixeronException.of("Missing required option --by-hand TABLE or --by-program COMMAND. Only a project (%s) contains values by hand.",
                    ProjectFile.ENDING);
        }
        Stage stage = steps.last(image);
        if (stage.after(Progress.NONE).required() instanceof Components && face.name().isEmpty()) {
            return checkColor(stage);
        }
        Operation operation = operation(stage);
        if (!table.isGiven() && stage.after(Progress.NONE).required() instanceof Spectrum && !Files.isDirectory(byHand.value())) {
            return checkSpectrum(stage, operation);
        }
        if (table.isGiven()) {
            // A pixel's numbers on the way are a table too, which is not listed with the others: there is one for every pixel.
            Table right = PixelTable.pixel(table.value()).flatMap(pixel -> PixelTable.named(operation, table.value()))
                    .orElseGet(() -> TableCommand.named(operation.tables(), table.value()));
            return checkTable(right, operation);
        }
        if (Files.isDirectory(byHand.value())) {
            return FolderCheck.write(FolderCheck.Subject.of(operation), byHand.value(), new FolderCheck.Target(out.value(), isReplacing.value()), file -> answer.written(operation, file, tolerance.value()), syntax.out());
        } else if (out.isGiven()) {
            throw PixeronException.of("--out works with a folder of tables, but %s is a file.", byHand.value().getFileName());
        }
        AnswerChoice.Written written = answer.written(operation, byHand.value(), tolerance.value());
        Check check = Check.of(written.sheet(), operation);
        requireUnderstood(check, byHand.value());
        Findings slips = Patience.find(progress -> new SlipFinder(operation).find(check, progress), this::tell);
        Findings found = written.otherShape().flatMap(shape -> ShapeSlip.of(shape, operation)).map(slips::with).orElse(slips);
        syntax.out().print(format.value() == Format.json ? Json.text(Json.withFace(Json.check(check, found), face.name())) + System.lineSeparator()
                : CheckText.shape(written.otherShape(), operation.frame()) + CheckText.of(check, found, CheckText.parts(operation)));
        return check.differing().isEmpty() && written.otherShape().isEmpty() ? 0 : Pixeron.DIFFERS;
    }

    private void tell(String note) {
        syntax.err().println("pixeron: " + note);
    }

    private int checkProgram() {
        if (byHand.isGiven() || table.isGiven() || out.isGiven() || tolerance.isGiven()) {
            throw PixeronException.of("--by-program cannot be combined with --by-hand, --table, --out or --tolerance.");
        }
        Stage stage = steps.last(image);
        Result after = stage.after(Progress.NONE).required();
        face.name().ifPresent(name -> face.of(after));
        face.requireOf(after, "a program is checked on one component");
        return program.check(steps.chain(image.chain(), image.input()), face.name(), format.value() == Format.json, syntax.out());
    }

    /** Returns how the result is calculated, or the face of it that was chosen. */
    private Operation operation(Stage stage) {
        Result after = stage.after(Progress.NONE).required();
        face.name().ifPresent(name -> face.of(after));
        if (after instanceof Spectrum && face.name().isEmpty() && table.isGiven()) {
            // Its tables are of all faces.
            return stage.bound(Progress.NONE).orElseThrow().face(SpectrumFace.REAL.word()).orElseThrow();
        }
        face.requireOf(after, "values by hand belong to one component");
        return stage.bound(Progress.NONE).orElseThrow().face(face.name().orElse(Image.VALUE)).orElseThrow();
    }

    /** One face, and of cells with both parts of a coefficient the real and the imaginary one. */
    private int checkSpectrum(Stage stage, Operation operation) {
        AnswerChoice.Written written = answer.written(operation, byHand.value(), tolerance.value());
        Map<String, HandSheet> sheets = ComplexCells.apart(written.sheet(), face.name().orElseThrow());
        List<FaceCheck> checks = new ArrayList<>();
        sheets.forEach((name, sheet) -> checks.add(FaceCheck.of(name, stage.bound(Progress.NONE).orElseThrow().face(name).orElseThrow(), sheet)));
        checks.forEach(one -> requireUnderstood(one.check(), byHand.value()));
        syntax.out().print(format.value() == Format.json ? Json.text(FaceCheck.json(checks)) + System.lineSeparator()
                : CheckText.shape(written.otherShape(), operation.frame()) + FaceCheck.text(checks));
        return checks.stream().allMatch(one -> one.check().differing().isEmpty()) && written.otherShape().isEmpty() ? 0 : Pixeron.DIFFERS;
    }

    /** All faces at once: cells with packed values, or with three numbers. */
    private int checkColor(Stage stage) {
        if (table.isGiven()) {
            throw PixeronException.of("The result has several components. Choose the one of the table with --component.");
        }
        Abreast right = new Abreast(stage.bound(Progress.NONE).orElseThrow(), stage.before(Progress.NONE).required(),
                (Components) stage.after(Progress.NONE).required());
        if (Files.isDirectory(byHand.value())) {
            return FolderCheck.write(new FolderCheck.Subject(right, new SlipFinder(right), shape -> Optional.empty()), byHand.value(), new FolderCheck.Target(out.value(), isReplacing.value()), file ->
                    new AnswerChoice.Written(tolerant(ColorAnswer.read(file, right)), Optional.empty()), syntax.out());
        }
        HandSheet sheet = ColorAnswer.read(byHand.value(), right);
        Check check = Check.of(tolerant(sheet), right);
        requireUnderstood(check, byHand.value());
        Findings found = Patience.find(progress -> new SlipFinder(right).find(check, progress), this::tell);
        syntax.out().print(format.value() == Format.json ? Json.text(Json.colorCheck(check, found, right))
                + System.lineSeparator() : CheckText.of(check, found, right));
        return check.differing().isEmpty() ? 0 : Pixeron.DIFFERS;
    }

    private HandSheet tolerant(HandSheet sheet) {
        return tolerance.isGiven() ? sheet.withTolerance(Optional.of(Decimals.parse(tolerance.value()))) : sheet;
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
        if (tolerance.isGiven()) {
            throw PixeronException.of("--tolerance works with results only; table cells agree if they match at their number of decimals.");
        }
        TableCheck check = TableCheck.of(handTable(right), right);
        check.cells().stream().filter(cell -> cell.state() == Verdict.NOT_UNDERSTOOD).findFirst()
                .ifPresent(cell -> {
            throw PixeronException.of("%s: row %s, column %s: \"%s\" is neither a number nor an expression. %s",
                    byHand.value().getFileName(), right.key(cell.row()), cell.column(),
                    Decimals.shortened(cell.byHand().text()), cell.byHand().problem());
        });
        List<TableSlip> slips = TableSlips.find(check, right, operation);
        syntax.out().print(format.value() == Format.json ? Json.text(Json.check(check, right, slips)) + System.lineSeparator()
                : CheckText.of(check, right, slips));
        return check.cells().stream().anyMatch(TableCheck.Cell::isWrong) ? Pixeron.DIFFERS : 0;
    }

    private HandTable handTable(Table right) {
        try {
            CellTable cells = CellTable.read(byHand.value());
            List<String> first = cells.rows().isEmpty() ? List.of() : cells.rows().get(0);
            boolean isNamed = first.stream().anyMatch(right.columns()::contains);
            // Without a head line it has the columns that the command "table" writes.
            return HandTable.of(cells, isNamed ? right : LevelRows.written(right));
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", byHand.value().getFileName(), problem.getMessage());
        }
    }
}
