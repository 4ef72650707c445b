package pixeron.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.Wording;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.slip.SlipTitles;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.work.ColorWork;
import pixeron.byhand.work.Start;
import pixeron.byhand.work.StepWork;
import pixeron.byhand.work.WrittenFaces;
import pixeron.chain.Stage;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.project.Project;
import pixeron.project.ProjectWork;
import pixeron.report.Block.Code;
import pixeron.report.Block.Grid;
import pixeron.report.Block.Grids;
import pixeron.report.Block.Heading;
import pixeron.report.Block.Words;
import pixeron.report.Block.Workings;
import pixeron.step.Progress;
import pixeron.step.color.AsItIs;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;
import pixeron.working.Working;

/**
 * Puts a report together: for every step before, by hand and after with marks, the score, the slips in words, and the working
 * of the first cell of each slip beside the slipped one.
 */
public final class ReportMaker {

    private static final int MOST_WRONG = 12;

    private final List<Block> blocks = new ArrayList<>();
    private final Progress progress;

    private ReportMaker(Progress progress) {
        this.progress = progress;
    }

    /**
     * Returns the report on it.
     *
     * @param project a user's work
     * @param progress receives the progress
     */
    public static Report of(Project project, Progress progress) {
        ReportMaker maker = new ReportMaker(progress);
        maker.add(project);
        return new Report(maker.blocks);
    }

    private void add(Project project) {
        Result image = project.main().present().chain().input();
        Frame frame = image.frame();
        blocks.add(new Heading(1, project.name()));
        blocks.add(new Words(frame.rows() + " rows, " + frame.columns() + " columns, levels 0–" + frame.maximumLevel()
                + (image instanceof ColorImage ? ", in color" : "") + ". Rows and columns are counted from 0.", false));
        project.withEachOpen().forEach(this::addSteps);
    }

    private void addSteps(Project project) {
        project.open().ifPresent(name -> blocks.add(new Heading(2, "The image " + name)));
        List<StepWork> works = ProjectWork.of(project, progress);
        Start.of(works).ifPresent(start -> blocks.add(new Words(start.sentence(Pixel::toString), true)));
        for (Stage stage : project.chain().stages()) {
            progress.report((double) stage.position() / project.chain().size());
            List<StepWork> faces = works.stream().filter(work -> work.position() == stage.position()).toList();
            if (!faces.isEmpty()) {
                blocks.add(new Heading(2, "Step " + (stage.position() + 1) + ": " + stage.link().step().type().title()));
                blocks.add(new Code(stage.link().step().line()));
                Optional<ColorWork> color = ProjectWork.color(project, stage.position(), works, progress);
                color.ifPresentOrElse(whole -> add(faces, whole), () -> WrittenFaces.of(faces).forEach(this::addFace));
            }
        }
        project.chain().stages().stream().filter(stage -> works.stream().noneMatch(work -> work.position() == stage.position()))
                .forEach(stage -> blocks.add(new Words("Step " + (stage.position() + 1) + " has no result or is off: "
                        + stage.link().step().line(), false)));
    }

    /** Each channel that was worked on or written by hand, then the findings about all together. */
    private void add(List<StepWork> faces, ColorWork whole) {
        Check check = whole.check();
        int cells = whole.faces().after().frame().count() * faces.size();
        if (check.filled() > 0) {
            score(check, cells);
        }
        for (StepWork face : faces) {
            if (!face.isEmpty() || check.filled() == 0 && !(face.step().type() instanceof AsItIs)) {
                blocks.add(new Heading(3, Wording.capital(face.face())));
                grids(face);
                following(face);
                tables(face);
            }
        }
        Findings found = whole.findings(new SlipFinder(whole.faces()), progress);
        Function<Pixel, String> place = at -> whole.faces().face(at) + ", " + whole.faces().pixel(at);
        for (Explanation slip : found.slips()) {
            add(slip);
            blocks.add(new Workings(List.of(Blocks.work("Correct values, " + place.apply(slip.pixels().get(0)), whole.faces().explain(slip.pixels().get(0)),
                    Integer.MAX_VALUE))));
        }
        simplyWrong(found.wrong(), place);
        if (found.slips().isEmpty()) {
            Pixel first = check.first().map(cell -> whole.faces().pixel(cell.pixel())).orElse(new Pixel(0, 0));
            Working working = whole.faces().whole().explain(first);
            blocks.add(new Workings(List.of(Blocks.work("Working, " + first, working, Integer.MAX_VALUE))));
        }
    }

    private void addFace(StepWork work) {
        work.channel().ifPresent(face -> blocks.add(new Heading(3, Wording.capital(face))));
        add(work);
    }

    private void add(StepWork work) {
        if (work.check().filled() > 0) {
            score(work.check(), work.operation().frame().count());
        }
        grids(work);
        following(work);
        Findings found = work.findings(progress);
        for (Explanation slip : found.slips()) {
            add(slip);
            // What the shape of a table says has no cell to be calculated.
            if (!slip.pixels().isEmpty()) {
                blocks.add(Blocks.workings(work.operation(), slip));
            }
        }
        simplyWrong(found.wrong(), Pixel::toString);
        tables(work);
        if (found.slips().isEmpty()) {
            Pixel first = work.check().first().map(CellCheck::pixel).orElse(new Pixel(0, 0));
            if (work.operation().contains(first)) {
                blocks.add(new Workings(List.of(Blocks.work("Working", work.operation().explain(first), Integer.MAX_VALUE))));
            }
        }
    }

    private void grids(StepWork work) {
        Image before = work.operation().before();
        Image after = work.operation().result(progress);
        Check check = work.check();
        List<Grid> grids = new ArrayList<>();
        grids.add(Blocks.values("Before", before, after, check));
        if (check.filled() > 0) {
            grids.add(Blocks.byHand("By hand", check, work.following().pixels(), after));
        }
        grids.add(Blocks.values("After", after, after, check));
        blocks.add(new Grids(grids));
    }

    private void add(Explanation slip) {
        blocks.add(new Words(slip.text() + (slip.certainty().words().isEmpty() ? "" : " " + slip.certainty().words()) + " ("
                + SlipTitles.of(slip.ids()) + ")", true));
    }

    private void score(Check check, int cells) {
        Rational score = Rational.of(Math.round(100.0 * check.agree() / cells));
        blocks.add(new Words(check.filled() + " of " + cells + " filled · " + check.agree() + " agree · "
                + check.differing().size() + " differ · score " + Decimals.table(score) + " of 100", false));
    }

    private void following(StepWork work) {
        int ofStep = work.following().ofStep().size();
        if (ofStep > 0) {
            blocks.add(new Words(ofStep + " differing cells (↳) are correct, given the values by hand of step " + work.position()
                    + ".", false));
        }
        work.following().ofTables().forEach((table, pixels) -> blocks.add(new Words(pixels.size() + " differing cells (↳) are "
                + "correct, given the " + PixelTable.kind(work.step().type(), table).title().toLowerCase(Locale.ROOT) + " by hand.", false)));
    }

    private void simplyWrong(List<CellCheck> cells, Function<Pixel, String> place) {
        if (!cells.isEmpty()) {
            blocks.add(new Words("No known slip explains: " + cells.stream().limit(MOST_WRONG)
                    .map(cell -> place.apply(cell.pixel()) + " is " + cell.distance()).collect(Collectors.joining("; "))
                    + (cells.size() > MOST_WRONG ? "; and " + (cells.size() - MOST_WRONG) + " more." : "."), false));
        }
    }

    private void tables(StepWork work) {
        Map<String, List<pixeron.byhand.table.TableSlip>> slips = work.tableSlips();
        work.tables().forEach((name, check) -> {
            Table table = work.table(name);
            blocks.add(new Heading(3, table.kind().title() + " by hand"));
            blocks.add(Blocks.listing(table, check));
            slips.getOrDefault(name, List.of()).forEach(slip ->
                    blocks.add(new Words(table.kind().column(slip.column()) + ": " + slip.text() + " (" + SlipTitles.of(slip.id()) + ")", true)));
        });
    }
}
