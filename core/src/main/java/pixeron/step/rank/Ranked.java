package pixeron.step.rank;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Neighborhood;
import pixeron.step.neighborhood.Reduced;
import pixeron.step.neighborhood.Reduction;
import pixeron.step.neighborhood.Window;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** A place in the sorted list of the cells that are there. */
final class Ranked implements Reduction<List<Value>> {

    private final Rank.Kind kind;
    private final int place;
    private final String words;

    /** @param place for a place that was given, from 1 */
    Ranked(Rank.Kind kind, int place, Window window) {
        this.kind = kind;
        this.place = place;
        this.words = kind.words() + (kind == Rank.Kind.MEDIAN && window.border() == Border.INSIDE
                ? "; for an even count the mean of the two middle values" : "");
    }

    /** Returns the place that is taken, from 0; of an even count's middle the lower one. */
    int at(int count) {
        return switch (kind) {
            case MINIMUM -> 0;
            case MAXIMUM -> count - 1;
            case MEDIAN -> (count - 1) / 2;
            case PLACED -> place - 1;
        };
    }

    /** Returns the place that is taken where cells are missing, in a pixel that may be one that keeps its value: then any place will do. */
    int anyAt(int count) {
        return Math.max(0, Math.min(at(count), count - 1));
    }

    /** Returns how many of so many cells are no less than the value at the place. */
    int needed(int count) {
        return count - anyAt(count);
    }

    boolean isMedian() {
        return kind == Rank.Kind.MEDIAN;
    }

    /** Returns whether of so many the next place counts as well, and the mean of both is taken. */
    boolean isBetween(int count) {
        return kind == Rank.Kind.MEDIAN && count % 2 == 0;
    }

    @Override
    public Optional<Reduced> program() {
        String list = "cells";
        Code size = new Code.Size(list);
        Code at = switch (kind) {
            case MINIMUM -> Code.of(0);
            case MAXIMUM -> size.minus(Code.of(1));
            case MEDIAN -> half(size.minus(Code.of(1)));
            case PLACED -> Code.of(place - 1L);
        };
        Code upper = new Code.At(list, half(size));
        Code value = isMedian() ? new Code.At(list, at).plus(upper).over(Code.of(2)) : new Code.At(list, at);
        return Optional.of(new Reduced(List.of(), List.of(new Statement.NewList(list)), List.of(new Statement.Put(list, Code.name("v"))),
                List.of(new Statement.Sort(list), Statement.set("s", value))));
    }

    private static Code half(Code number) {
        return new Code.Rounded(Rounding.FLOOR, number.over(Code.of(2)));
    }

    @Override
    public String name() {
        return "s";
    }

    @Override
    public List<Value> none() {
        return new ArrayList<>();
    }

    @Override
    public List<Value> with(List<Value> taken, Window.Cell cell) {
        Value value = cell.value().orElseThrow();
        int found = Collections.binarySearch(taken, value, Value::compareValue);
        taken.add(found < 0 ? -found - 1 : found, value);
        return taken;
    }

    @Override
    public Value value(List<Value> sorted, Neighborhood around) {
        int at = at(sorted.size());
        if (at >= sorted.size()) {
            throw PixeronException.of("rank at %s: rank %d is beyond the %d cells of the window that are inside.",
                    around.pixel(), place, sorted.size());
        }
        return isBetween(sorted.size()) ? sorted.get(at).plus(sorted.get(at + 1)).dividedBy(Rational.of(2))
                : sorted.get(at);
    }

    @Override
    public List<Line> lines(Neighborhood around) {
        List<Value> sorted = taken(around);
        int count = sorted.size();
        int at = at(count);
        List<Run> runs = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            boolean isChosen = n == at || isBetween(count) && n == at + 1;
            String number = Decimals.working(sorted.get(n));
            runs.add(isChosen ? Run.after("[" + number + "] ") : Run.plain(number + " "));
        }
        runs.add(Run.note("   place " + (at + 1) + (isBetween(count) ? " and " + (at + 2) : "") + " of " + count));
        List<Line> lines = new ArrayList<>(List.of(new Line("sorted", runs)));
        if (isBetween(count)) {
            Value mean = value(sorted, around);
            lines.add(Line.of("mean", Run.plain("(" + Decimals.working(sorted.get(at)) + " + "
                    + Decimals.working(sorted.get(at + 1)) + ") ÷ 2 = " + Decimals.working(mean))).arriving("mean", mean));
        }
        return lines;
    }

    @Override
    public String start() {
        return "list ← empty";
    }

    @Override
    public String each() {
        return "insert before[i+a][j+b] into list in sorted order";
    }

    @Override
    public Optional<String> end() {
        return Optional.of("s ← " + words);
    }

    @Override
    public void show(List<Value> taken, LoopWriter out) {
        if (kind == Rank.Kind.PLACED) {
            out.set("k", Rational.of(place));
        }
        out.set("list", taken.isEmpty() ? "empty" : String.join(" ", taken.stream().map(Decimals::working).toList()));
    }
}
