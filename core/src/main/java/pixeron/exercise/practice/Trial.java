package pixeron.exercise.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.work.StepWork;
import pixeron.exercise.Part;
import pixeron.exercise.Variant;
import pixeron.image.Pixel;
import pixeron.project.Project;
import pixeron.project.ProjectWork;
import pixeron.step.Progress;

/**
 * What a user wrote for a variant, and the findings about it when it is checked. Immutable.
 *
 * @param variant the exercise
 * @param texts what is written in the blanks that are not empty
 */
public record Trial(Variant variant, Map<Blank, String> texts) {

    /**
     * A place to write in.
     *
     * @param part which part is asked, from 0
     * @param row of the result, or of the part's rows in a table
     * @param column of the result, or of the part's columns in a table
     */
    public record Blank(int part, int row, int column) {
    }

    /**
     * The findings about all that was written.
     *
     * @param states of the blanks in which something stands
     * @param isDone whether everything is filled and right
     * @param slips sentences on what explains differences, with their ids, where they first appear
     */
    public record Said(Map<Blank, Verdict> states, boolean isDone, List<Named> slips) {

        /** Returns how many differ by themselves. */
        public long differing() {
            return states.values().stream().filter(state -> state != Verdict.AGREES && state != Verdict.FOLLOWS).count();
        }
    }

    /** A slip with its id and the findings about it. */
    public record Named(List<String> ids, String text) {
    }

    public Trial {
        texts = Map.copyOf(texts);
    }

    /** Returns one in which nothing is written. */
    public static Trial of(Variant variant) {
        return new Trial(variant, Map.of());
    }

    /** Returns this with a text in a blank; a blank text clears it. */
    public Trial with(Blank blank, String text) {
        Map<Blank, String> changed = new HashMap<>(texts);
        if (text.isBlank()) {
            changed.remove(blank);
        } else {
            changed.put(blank, text.strip());
        }
        return new Trial(variant, changed);
    }

    /** Returns the variant's project with what is written. */
    public Project work() {
        List<Part> parts = variant.parts();
        Project work = variant.project();
        for (int n = 0; n < parts.size(); n++) {
            int number = n;
            Part part = parts.get(n);
            Map<Pixel, String> cells = new HashMap<>();
            Map<HandTable.Place, String> table = new HashMap<>();
            texts.forEach((blank, text) -> {
                if (blank.part() == number && part instanceof Part.OfTable of) {
                    table.put(place(of, blank), text);
                } else if (blank.part() == number) {
                    cells.put(new Pixel(blank.row(), blank.column()), text);
                }
            });
            work = part instanceof Part.OfTable of
                    ? work.withByHand(part.asked().position(), part.face(), written -> written.withTable(of.table().name(), hand -> hand.with(table)))
                    : work.withByHand(part.asked().position(), part.face(), written -> written.withSheet(sheet -> sheet.with(cells)));
        }
        return work;
    }

    private static HandTable.Place place(Part.OfTable part, Blank blank) {
        return new HandTable.Place(part.table().key(part.rows().get(blank.row())), part.columns().get(blank.column()));
    }

    /** Returns the findings about what is written. */
    public Said check(Progress progress) {
        List<StepWork> works = ProjectWork.of(work(), progress);
        List<Part> parts = variant.parts();
        Map<Blank, Verdict> states = new HashMap<>();
        for (Blank blank : texts.keySet()) {
            state(parts.get(blank.part()), blank, works).ifPresent(state -> states.put(blank, state));
        }
        int cells = parts.stream().mapToInt(Part::count).sum();
        boolean isDone = states.size() == cells && states.values().stream().allMatch(state -> state == Verdict.AGREES);
        return new Said(Map.copyOf(states), isDone, isDone ? List.of() : slips(works, progress));
    }

    private static Optional<Verdict> state(Part part, Blank blank, List<StepWork> works) {
        StepWork work = part.work(works);
        if (part instanceof Part.OfTable table) {
            return work.tables().getOrDefault(table.table().name(), TableCheck.EMPTY).cell(table.rows().get(blank.row()), table.columns().get(blank.column()))
                    .map(TableCheck.Cell::state);
        }
        Pixel pixel = new Pixel(blank.row(), blank.column());
        return work.following().pixels().contains(pixel) ? Optional.of(Verdict.FOLLOWS)
                : work.check().cells().stream().filter(cell -> cell.pixel().equals(pixel)).findFirst().map(CellCheck::state);
    }

    private static List<Named> slips(List<StepWork> works, Progress progress) {
        List<Named> slips = new ArrayList<>();
        Set<List<String>> known = new HashSet<>();
        for (StepWork work : works) {
            work.tableSlips().values().stream().flatMap(List::stream).filter(slip -> known.add(List.of(slip.id(), slip.column())))
                    .forEach(slip -> slips.add(new Named(List.of(slip.id()), slip.text())));
            for (Explanation slip : work.findings(progress).slips()) {
                if (known.add(slip.ids())) {
                    slips.add(new Named(slip.ids(), slip.text()));
                }
            }
        }
        return slips;
    }
}
