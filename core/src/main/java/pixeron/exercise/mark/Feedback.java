package pixeron.exercise.mark;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.work.StepWork;
import pixeron.exercise.Asked;
import pixeron.exercise.Exercise;
import pixeron.exercise.Part;
import pixeron.image.Image;
import pixeron.report.Block;
import pixeron.report.Blocks;
import pixeron.report.Report;
import pixeron.report.ReportFile;
import pixeron.step.Progress;
import pixeron.step.table.PixelTable;

/**
 * What a user gets back: the points, where the work first goes wrong, the first slip with its working beside the correct one, and the marked values
 * of each part with what follows from what. Always at most two pages: where there is more, parts without a difference are told in words first, then
 * all but the part where the work first goes wrong, then only the first parts.
 */
final class Feedback {

    private static final int MOST_PAGES = 2;
    /** Parts that are named where there are very many. */
    private static final int MOST_PARTS = 24;
    private static final int MOST_ROWS = 12;
    private static final String SIGNS = "✓ correct   ▲ too large   ▼ too small   ≈ not rounded   ↳ follows from an earlier difference   ? not a number";

    /** How much is shown. */
    private enum Detail {
        ALL, DIFFERING, FIRST, WORDS
    }

    private final Marked marked;
    private final Exercise exercise;
    private final List<Part> parts;
    private final List<StepWork> works;
    private final Optional<FirstSlip> slip;
    private final boolean followCounts;

    /**
     * @param parts of the variant
     * @param works the findings about the user's work
     */
    Feedback(Marked marked, Exercise exercise, List<Part> parts, List<StepWork> works, Optional<FirstSlip> slip, boolean followCounts) {
        this.marked = marked;
        this.exercise = exercise;
        this.parts = parts;
        this.works = works;
        this.slip = slip;
        this.followCounts = followCounts;
    }

    Report report() {
        Report report = null;
        for (Detail detail : Detail.values()) {
            report = new Report(blocks(detail));
            if (ReportFile.pages(report) <= MOST_PAGES) {
                break;
            }
        }
        return report;
    }

    private List<Block> blocks(Detail detail) {
        List<Block> blocks = new ArrayList<>();
        blocks.add(new Block.Heading(1, exercise.title()));
        blocks.add(words(Stream.of(marked.name(), marked.code().map(Object::toString).orElse(""),
                Asked.written(marked.points(followCounts)) + " of " + Asked.worth(exercise.points())).filter(text -> !text.isEmpty()).collect(Collectors.joining(" · "))));
        if (!marked.comment().isBlank()) {
            blocks.add(words(marked.comment()));
        }
        marked.starts().ifPresent(starts -> blocks.add(new Block.Words(starts, true)));
        slip.ifPresent(found -> {
            blocks.add(new Block.Heading(2, "The first slip"));
            blocks.add(new Block.Words(found.words(), true));
            // The shape of a table has no cell that could be calculated.
            found.explanation().filter(explanation -> !explanation.pixels().isEmpty()).ifPresent(explanation ->
                    blocks.add(Blocks.workings(found.step().operation(), explanation)));
        });
        int shown = detail == Detail.WORDS ? Math.min(MOST_PARTS, parts.size()) : parts.size();
        for (int n = 0; n < shown; n++) {
            add(blocks, n, detail);
        }
        if (shown < parts.size()) {
            blocks.add(words("The other " + (parts.size() - shown) + " parts are not shown here."));
        }
        blocks.add(words(SIGNS));
        return blocks;
    }

    private static Block words(String text) {
        return new Block.Words(text, false);
    }

    private void add(List<Block> blocks, int n, Detail detail) {
        Part part = parts.get(n);
        Marked.PartMark mark = marked.parts().get(n);
        String head = (n + 1) + ". " + part.title() + ": " + Asked.written(mark.points(followCounts)) + " of " + Asked.worth(part.asked().points());
        String counts = mark.filled() + " of " + mark.cells() + " cells filled, " + mark.agree() + " correct, " + mark.differ() + " differ"
                + (mark.follow() == 0 ? "" : ", " + mark.follow() + " follow");
        if (detail == Detail.WORDS) {
            blocks.add(words(head + " (" + counts + ")"));
            return;
        }
        StepWork work = part.work(works);
        blocks.add(new Block.Heading(2, head));
        blocks.add(words(counts + "."));
        follows(work, part, mark).forEach(blocks::add);
        boolean isFirst = works.stream().filter(Feedback::isDiffering).findFirst().filter(one -> one == work).isPresent();
        if (mark.filled() > 0 && (detail == Detail.ALL || isFirst || detail == Detail.DIFFERING && mark.agree() < mark.filled())) {
            blocks.add(values(part, work));
        }
    }

    private static boolean isDiffering(StepWork work) {
        return work.check().first().isPresent() || work.tables().values().stream().anyMatch(table -> table.first().isPresent());
    }

    /** Returns what the values that follow are made from, a sentence for each source. */
    private List<Block> follows(StepWork work, Part part, Marked.PartMark mark) {
        List<Block> sentences = new ArrayList<>();
        String counted = followCounts ? " They count as correct." : " They do not count.";
        if (part.asked().isOfResult()) {
            int ofStep = work.following().ofStep().size();
            if (ofStep > 0) {
                sentences.add(words("↳ Cells that follow from your values of step " + work.position() + ": " + ofStep + "." + counted));
            }
            work.following().ofTables().forEach((table, pixels) -> sentences.add(words("↳ Cells that follow from your values in the "
                    + PixelTable.kind(work.step().type(), table).title().toLowerCase(Locale.ROOT) + ": " + pixels.size() + "." + counted)));
        } else if (mark.follow() > 0) {
            sentences.add(words("↳ Cells that follow from an earlier cell of this table: " + mark.follow() + "." + counted));
        }
        return sentences;
    }

    private static Block values(Part part, StepWork work) {
        if (part instanceof Part.OfTable ofTable) {
            Block.Listing all = Blocks.listing(ofTable.table(), work.tables().getOrDefault(ofTable.table().name(), TableCheck.EMPTY));
            // Rows that differ are of more use than the first ones.
            List<List<Block.Cell>> rows = all.rows().size() <= MOST_ROWS ? all.rows()
                    : all.rows().stream().sorted(Comparator.comparing(row -> !isDiffering(row))).limit(MOST_ROWS).toList();
            return new Block.Listing(all.columns(), rows);
        }
        Image after = work.operation().result(Progress.NONE);
        return new Block.Grids(List.of(Blocks.byHand("Your values", work.check(), work.following().pixels(), after),
                Blocks.values("Correct values", after, after, work.check())));
    }

    private static boolean isDiffering(List<Block.Cell> row) {
        return row.stream().anyMatch(cell -> cell.mark().isWrong());
    }
}
