package pixeron.exercise.mark;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.byhand.slip.SlipTitles;
import pixeron.exercise.Asked;
import pixeron.exercise.Code;

/**
 * The findings about a class, as rows of cells: people, slips by how often they came first, parts by how many are right.
 *
 * @param marks of all answers
 * @param titles of the questions
 * @param followCounts whether a value that follows from an earlier mistake counts as right
 */
public record ClassTable(List<Marked> marks, List<String> titles, boolean followCounts) {

    private static final String NOBODY = "";

    public ClassTable {
        marks = List.copyOf(marks);
        titles = List.copyOf(titles);
    }

    /**
     * The students who made a slip.
     *
     * @param id of the slip; two joined by " + " if they were made at once
     * @param by the names
     */
    public record Count(String id, List<String> by) {

        /** Returns the title of the slip. */
        public String title() {
            return SlipTitles.ofWritten(id);
        }
    }

    /**
     * A question.
     *
     * @param title of it
     * @param cells in all answers
     * @param filled of them
     * @param right of them, with those that follow where they count
     */
    public record PartCount(String title, int cells, int filled, int right) {

        /** Returns right ÷ cells in percent, rounded; 0 where there are none. */
        public int percent() {
            return cells == 0 ? 0 : (int) Math.round(100.0 * right / cells);
        }
    }

    /** Returns the head of the rows of people. */
    public List<String> head() {
        List<String> head = new ArrayList<>(List.of("name", "code", "filled", "agree", "follow", "differ", "first slip", "first slip title", "where it starts", "points"));
        IntStream.rangeClosed(1, titles.size()).forEach(n -> head.add("points part " + n));
        head.addAll(List.of("comment", "file", "problem"));
        return head;
    }

    /** Returns one row, under {@link #head}. */
    public List<String> row(Marked marked) {
        List<String> row = new ArrayList<>(List.of(marked.name(), marked.code().map(Code::toString).orElse(NOBODY)));
        if (marked.isMarked()) {
            row.addAll(List.of(String.valueOf(marked.filled()), String.valueOf(marked.agree()), String.valueOf(marked.follow()), String.valueOf(marked.differ()),
                    marked.firstSlip().orElse(""), marked.firstSlip().map(SlipTitles::ofWritten).orElse(""), marked.starts().orElse(""), Asked.written(marked.points(followCounts))));
            marked.parts().forEach(part -> row.add(Asked.written(part.points(followCounts))));
        } else {
            IntStream.range(0, 8 + titles.size()).forEach(n -> row.add(""));
        }
        row.addAll(List.of(marked.comment(), marked.source(), marked.problem()));
        return row;
    }

    /** Returns head and rows of people. */
    public List<List<String>> people() {
        List<List<String>> rows = new ArrayList<>(List.of(head()));
        marks.forEach(marked -> rows.add(row(marked)));
        return rows;
    }

    /** Returns the slips that came first in an answer, most frequent first, with those who made them. */
    public List<Count> slips() {
        Map<String, List<String>> by = new TreeMap<>();
        marks.forEach(marked -> marked.firstSlip().ifPresent(slip -> by.computeIfAbsent(slip, s -> new ArrayList<>()).add(who(marked))));
        return by.entrySet().stream().map(slip -> new Count(slip.getKey(), slip.getValue())).sorted((a, b) -> b.by().size() - a.by().size()).toList();
    }

    /** Returns the name of a user, or the code where there is none. */
    public static String who(Marked marked) {
        return !marked.name().isBlank() ? marked.name() : marked.code().map(Code::toString).orElse(marked.source());
    }

    /** Returns the questions, in their order. */
    public List<PartCount> parts() {
        List<Marked> marked = marks.stream().filter(Marked::isMarked).toList();
        return IntStream.range(0, titles.size()).mapToObj(n -> new PartCount(titles.get(n), sum(marked, n, Marked.PartMark::cells),
                sum(marked, n, Marked.PartMark::filled), sum(marked, n, one -> one.agree() + (followCounts ? one.follow() : 0))))
                .toList();
    }

    private static int sum(List<Marked> marked, int part, ToIntFunction<Marked.PartMark> what) {
        return marked.stream().map(one -> one.parts().get(part)).mapToInt(what).sum();
    }

    /** Returns head and rows of slips: how often, by whom. */
    public List<List<String>> slipRows() {
        List<List<String>> rows = new ArrayList<>(List.of(List.of("slip", "title", "count", "by")));
        slips().forEach(slip -> rows.add(List.of(slip.id(), slip.title(), String.valueOf(slip.by().size()), slip.by().stream().collect(Collectors.joining("; ")))));
        return rows;
    }

    /** Returns head and rows of parts: how many of their cells are right. */
    public List<List<String>> partRows() {
        List<List<String>> rows = new ArrayList<>(List.of(List.of("part", "title", "cells", "filled", "right", "percent")));
        List<PartCount> parts = parts();
        for (int n = 0; n < parts.size(); n++) {
            PartCount part = parts.get(n);
            rows.add(List.of(String.valueOf(n + 1), part.title(), String.valueOf(part.cells()), String.valueOf(part.filled()), String.valueOf(part.right()),
                    String.valueOf(part.percent())));
        }
        return rows;
    }
}
