package pixeron.exercise.answer;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pixeron.PixeronException;
import pixeron.byhand.slip.search.KnownSlips;
import pixeron.byhand.table.HandTable;
import pixeron.exercise.Part;
import pixeron.exercise.Variant;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.project.Project;
import pixeron.step.Slip;
import pixeron.step.Way;

/** Answers that nobody wrote: the key of a variant filled in, or what a user with one slip would have written. */
public final class Simulated {

    private Simulated() {
    }

    /** Returns the variant's project with all questions filled in rightly. */
    public static Project right(Variant variant) {
        Project work = variant.project();
        for (Part part : variant.parts()) {
            work = filled(part, work);
        }
        return work;
    }

    private static Project filled(Part part, Project work) {
        if (part instanceof Part.OfCells cells) {
            Map<Pixel, String> texts = new HashMap<>();
            cells.pixels().forEach(pixel -> texts.put(pixel, Decimals.table(part.operation().value(pixel))));
            return work.withByHand(part.asked().position(), part.face(), written -> written.withSheet(sheet -> sheet.with(texts)));
        }
        Part.OfTable table = (Part.OfTable) part;
        Map<HandTable.Place, String> texts = new HashMap<>();
        for (int row : table.rows()) {
            for (String column : table.columns()) {
                table.table().value(row, column).ifPresent(value -> texts.put(new HandTable.Place(table.table().key(row), column), Decimals.table(value)));
            }
        }
        return work.withByHand(part.asked().position(), part.face(), written -> written.withTable(table.table().name(), hand -> hand.with(texts)));
    }

    /**
     * Answers in which one part of the result was filled in with a slip, and everything else rightly.
     *
     * @param part cells of a result of the variant
     * @return by the id of the slip and a number the answers that differ from the key in at least two cells
     */
    public static Map<String, Project> slipped(Variant variant, Part.OfCells part) {
        Map<String, Project> answers = new LinkedHashMap<>();
        for (Slip slip : KnownSlips.of(part.operation().step().type())) {
            List<Way> ways = slip.ways(part.operation());
            for (int n = 0; n < Math.min(ways.size(), 3); n++) {
                Map<Pixel, String> texts = texts(part, ways.get(n));
                if (!texts.isEmpty()) {
                    answers.put(slip.id() + (n == 0 ? "" : " " + (n + 1)), right(variant).withByHand(part.asked().position(), part.face(), written ->
                            written.withSheet(sheet -> sheet.with(texts))));
                }
            }
        }
        return answers;
    }

    /** What a user would write; nothing where a cell has no value or fewer than two differ. */
    private static Map<Pixel, String> texts(Part.OfCells part, Way way) {
        Map<Pixel, String> texts = new HashMap<>();
        List<Pixel> differing = new ArrayList<>();
        try {
            for (Pixel pixel : part.pixels()) {
                String text = Decimals.table(way.value().apply(pixel));
                texts.put(pixel, text);
                if (!text.equals(Decimals.table(part.operation().value(pixel)))) {
                    differing.add(pixel);
                }
            }
        } catch (PixeronException withoutValue) {
            return Map.of();
        }
        return differing.size() < 2 ? Map.of() : texts;
    }
}
