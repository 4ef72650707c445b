package pixeron.format.array;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.format.array.BracketText.Group;
import pixeron.format.array.BracketText.Item;
import pixeron.format.array.BracketText.Leaf;

/** Nested lists and array literals of any language: what is a row, a pixel or a plane follows from the depth of the brackets. */
final class Brackets {

    private static final Pattern TYPE = Pattern.compile("dtype\\s*=\\s*[\"']?(?:\\w+\\.)*(\\w+)");

    private final BracketText text;
    private final List<String> lines;

    private Brackets(List<String> lines, boolean isByHand) {
        text = new BracketText(lines, isByHand);
        this.lines = lines;
    }

    /**
     * Returns the array.
     *
     * @param arePlanes whether three levels that fit both are planes
     * @param isByHand whether values can be expressions or left out
     * @return empty where no bracket begins with a value
     * @throws PixeronException if brackets do not match or have no shape of an array; names the line
     */
    static Optional<ArrayCells> read(List<String> lines, boolean arePlanes, boolean isByHand) {
        return new Brackets(lines, isByHand).read(arePlanes);
    }

    private Optional<ArrayCells> read(boolean arePlanes) {
        int depth = 0;
        for (int n = 0; n < text.size(); n++) {
            if (text.isClosed(n)) {
                depth--;
            } else if (text.isOpen(n) && text.isIndex(n)) {
                n = text.end(n) - 1;
            } else if (text.isOpen(n)) {
                // A call such as print(52, 55) is no array; within other brackets it is a group, as List.of(52, 55).
                boolean isCall = text.is(n, '(') && text.isCall(n);
                if (!(isCall && depth == 0) && beginsWithValue(n)) {
                    return Optional.of(from(n, arePlanes));
                }
                depth++;
            }
        }
        return Optional.empty();
    }

    /** Whether the first item, perhaps in further brackets, is a value. */
    private boolean beginsWithValue(int at) {
        int n = at;
        while (text.isOpen(n) || n > at && n < text.size() && text.isNameOfBracket(n)) {
            n = text.isCast(n) ? text.end(n) : n + 1;
        }
        return text.isValue(n) || text.isLeftOut(n);
    }

    private ArrayCells from(int first, boolean arePlanes) {
        int end = text.end(first);
        Group group = text.group(first);
        List<Group> rows = new ArrayList<>(List.of(group));
        List<Integer> begins = new ArrayList<>(List.of(text.line(first)));
        // Brackets of one level with only commas between them are the rows of one array.
        if (group.isOfLeaves() && group.rowEnds().isEmpty()) {
            int n = end;
            while (n < text.size() && (text.is(n, ',') || text.isNameOfBracket(n) || text.isOpen(n) && beginsWithValue(n))) {
                if (text.isOpen(n)) {
                    end = text.end(n);
                    rows.add(text.group(n));
                    begins.add(text.line(n));
                    n = end;
                } else {
                    n++;
                }
            }
        }
        requireNothingMore(end, text.line(first));
        requireNoNumbersOutside(text.line(first), text.line(end - 1));
        ArrayCells cells = rows.size() > 1 ? beside(rows, begins, arePlanes) : shaped(group, arePlanes);
        return cells.ofType(lines.stream().filter(line -> line.contains("dtype")).map(TYPE::matcher).filter(Matcher::find).map(type -> type.group(1)).findFirst());
    }

    private void requireNothingMore(int end, int firstLine) {
        for (int n = end; n < text.size(); n++) {
            if (text.isOpen(n) && !text.isIndex(n) && beginsWithValue(n)) {
                throw PixeronException.of("There are two arrays, in line %d and in line %d. Copy only one of them.", firstLine, text.line(n));
            } else if (text.text(n).startsWith(".reshape")) {
                throw PixeronException.of("The array is reshaped. Give the number of columns with --columns instead.");
            } else if (text.text(n).matches("\\.T;?")) {
                throw PixeronException.of("The array is transposed with .T. Print the transposed array and copy its text.");
            }
        }
    }

    /** A line of numbers only would be lost in silence. */
    private void requireNoNumbersOutside(int firstLine, int lastLine) {
        for (int line = 1; line <= lines.size(); line++) {
            String outside = line < firstLine || line > lastLine ? lines.get(line - 1).replaceAll("[,;]", " ").strip() : "";
            if (!outside.isEmpty() && Arrays.stream(outside.split("\\s+")).allMatch(ArrayValue::isValue)) {
                throw PixeronException.of("Line %d has numbers outside the array of line %d. Copy only one of them.", line, firstLine);
            }
        }
    }

    /** Brackets beside each other: a row each, or where lines hold several, a pixel each. */
    private static ArrayCells beside(List<Group> groups, List<Integer> lines, boolean arePlanes) {
        boolean areSeveral = false;
        for (int n = 1; n < lines.size(); n++) {
            areSeveral |= lines.get(n).equals(lines.get(n - 1));
        }
        if (!areSeveral || lines.stream().distinct().count() == 1) {
            return shaped(new Group(List.copyOf(groups), List.of(), List.of(), lines.get(0), false), arePlanes);
        }
        List<Item> rows = new ArrayList<>();
        for (int from = 0; from < groups.size();) {
            int to = from;
            while (to < groups.size() && lines.get(to).equals(lines.get(from))) {
                to++;
            }
            rows.add(new Group(List.copyOf(groups.subList(from, to)), List.of(), List.of(), lines.get(from), false));
            from = to;
        }
        return shaped(new Group(rows, List.of(), List.of(), lines.get(0), false), arePlanes);
    }

    private static ArrayCells shaped(Group group, boolean arePlanes) {
        Group array = group;
        while (array.items().size() == 1 && array.isTransparent() && array.items().get(0) instanceof Group inner) {
            array = inner;
        }
        int depth = depth(array);
        if (depth == 1) {
            return flat(array);
        } else if (depth == 2) {
            return ArrayCells.of(Notation.BRACKETS, sameLength(array.items().stream().map(row -> texts((Group) row)).toList()));
        } else if (depth == 3) {
            return deep(array, arePlanes);
        }
        throw PixeronException.of("Line %d: the brackets are nested %d levels deep. An image has two levels, or three with channels.", array.line(), depth);
    }

    /** How many levels of brackets there are; every group holds either values or groups. */
    private static int depth(Group group) {
        if (group.items().isEmpty()) {
            throw PixeronException.of("Line %d: there are no values in the brackets.", group.line());
        } else if (group.isOfLeaves()) {
            return 1;
        }
        int depth = 0;
        for (Item item : group.items()) {
            if (!(item instanceof Group inner)) {
                throw PixeronException.of("Line %d: the value “%s” is beside brackets.", group.line(), ((Leaf) item).text());
            }
            int own = depth(inner);
            if (depth != 0 && own != depth) {
                throw PixeronException.of("Line %d: these brackets are nested %d levels deep, those before them %d.", inner.line(), own, depth);
            }
            depth = own;
        }
        return depth + 1;
    }

    private static List<String> texts(Group group) {
        if (!group.rowEnds().isEmpty()) {
            throw PixeronException.of("Line %d: a semicolon ends a row, but this is a row already.", group.line());
        }
        return group.items().stream().map(item -> ((Leaf) item).text()).toList();
    }

    /** One level: rows end at semicolons and at line ends if all rows are then equally long, otherwise at semicolons only. */
    private static ArrayCells flat(Group group) {
        List<String> values = group.items().stream().map(item -> ((Leaf) item).text()).toList();
        List<List<String>> byBoth = split(values, ends(group, true));
        boolean areEqual = byBoth.stream().map(List::size).distinct().count() == 1;
        List<List<String>> rows = areEqual ? byBoth : split(values, ends(group, false));
        ArrayCells cells = ArrayCells.of(Notation.BRACKETS, sameLength(rows));
        return group.rowEnds().isEmpty() ? cells.asFlat() : cells;
    }

    private static List<Integer> ends(Group group, boolean areLines) {
        List<Integer> ends = new ArrayList<>(group.rowEnds());
        if (areLines) {
            ends.addAll(group.lineEnds());
        }
        return ends.stream().distinct().sorted().toList();
    }

    private static List<List<String>> split(List<String> values, List<Integer> ends) {
        List<List<String>> rows = new ArrayList<>();
        int from = 0;
        for (int end : ends) {
            rows.add(values.subList(from, end));
            from = end;
        }
        rows.add(values.subList(from, values.size()));
        rows.removeIf(List::isEmpty);
        return rows;
    }

    private static ArrayCells deep(Group array, boolean wantsPlanes) {
        List<List<List<String>>> outer = new ArrayList<>();
        for (Item row : array.items()) {
            outer.add(((Group) row).items().stream().map(pixel -> texts((Group) pixel)).toList());
        }
        boolean arePixels = outer.stream().flatMap(List::stream).map(List::size).distinct().count() == 1 && ArrayCells.isChannelCount(outer.get(0).get(0).size());
        boolean arePlanes = ArrayCells.isChannelCount(outer.size());
        if (!arePixels && !arePlanes) {
            throw PixeronException.of("Line %d: three levels of brackets need 1, 3 or 4 values in the innermost ones, or 1, 3 or 4 outer ones.", array.line());
        }
        boolean isPlanar = arePlanes && (wantsPlanes || !arePixels);
        List<List<List<String>>> rows = isPlanar ? planes(outer) : sameLength(outer);
        return new ArrayCells(Notation.BRACKETS, rows, isPlanar, arePixels && arePlanes, false, Optional.empty(), Optional.empty(), List.of());
    }

    /** One plane for each channel, put together pixel by pixel. */
    private static List<List<List<String>>> planes(List<List<List<String>>> planes) {
        planes.forEach(Brackets::sameLength);
        int height = planes.get(0).size();
        int width = planes.get(0).get(0).size();
        List<List<List<String>>> rows = new ArrayList<>();
        for (int i = 0; i < height; i++) {
            List<List<String>> row = new ArrayList<>();
            for (int j = 0; j < width; j++) {
                List<String> pixel = new ArrayList<>();
                for (int c = 0; c < planes.size(); c++) {
                    if (planes.get(c).size() != height || planes.get(c).get(0).size() != width) {
                        throw PixeronException.of("Channel %d has %d × %d values, but channel 0 has %d × %d.", c, planes.get(c).size(), planes.get(c).get(0).size(), height, width);
                    }
                    pixel.add(planes.get(c).get(i).get(j));
                }
                row.add(pixel);
            }
            rows.add(row);
        }
        return rows;
    }

    static <T> List<List<T>> sameLength(List<List<T>> rows) {
        for (int i = 1; i < rows.size(); i++) {
            if (rows.get(i).size() != rows.get(0).size()) {
                throw PixeronException.of("Row %d (counted from 0) has %d %s, but row 0 has %d.", i, rows.get(i).size(), rows.get(i).size() == 1 ? "cell" : "cells", rows.get(0).size());
            }
        }
        return rows;
    }
}
