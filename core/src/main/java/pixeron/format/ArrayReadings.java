package pixeron.format;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.format.array.ArrayCells;
import pixeron.format.array.ArrayText;
import pixeron.image.Image;
import pixeron.number.Decimals;

/**
 * All images that the text of an array can be: several where it leaves a choice, none where it has a mistake.
 *
 * @param all at least one if there is no problem; the usual one first
 * @param problem one line for the user; empty if there is an image
 * @param line where the problem is, from 1; empty if it is in no one line
 */
public record ArrayReadings(List<Reading> all, Optional<String> problem, OptionalInt line) {

    private static final int MOST_WIDTHS = 8;
    private static final Pattern LINE = Pattern.compile("\\bline (\\d{1,9})", Pattern.CASE_INSENSITIVE);
    private static final Pattern ROW = Pattern.compile("^Row (\\d{1,9})\\b");

    /**
     * One image that the text can be.
     *
     * @param title the choice, such as 3 rows of 4
     */
    public record Reading(String title, LoadedImage loaded) {
    }

    /**
     * Returns all readings of a text.
     *
     * @return empty for a plain table, or a text without any array
     */
    public static Optional<ArrayReadings> of(String text) {
        try {
            return ArrayText.read(text, false).or(() -> columns(text)).map(cells -> new ArrayReadings(all(text, cells), Optional.empty(), OptionalInt.empty()));
        } catch (PixeronException problem) {
            String message = problem.getMessage();
            return Optional.of(new ArrayReadings(List.of(), Optional.of(message), line(text, message)));
        }
    }

    /** Printed columns with a common factor, labels or headings; without any of these they are a plain table. */
    private static Optional<ArrayCells> columns(String text) {
        try {
            TableForm.plain(text).read(text, Image.LARGEST_MAXIMUM);
            return Optional.empty();
        } catch (PixeronException noPlainTable) {
            return columnsOrNone(text).filter(ArrayReadings::needsMoreThanHeaderLines);
        }
    }

    /** Plain numbers under header lines are left to the pane that reads plain tables. */
    private static boolean needsMoreThanHeaderLines(ArrayCells cells) {
        return cells.factor().isPresent() || cells.notes().stream().anyMatch(note -> !note.contains("above the numbers"))
                || !cells.rows().stream().flatMap(List::stream).flatMap(List::stream).allMatch(Decimals::isNumber);
    }

    private static Optional<ArrayCells> columnsOrNone(String text) {
        try {
            return ArrayText.columns(text);
        } catch (PixeronException noColumns) {
            return Optional.empty();
        }
    }

    private static List<Reading> all(String text, ArrayCells cells) {
        ArrayOptions none = ArrayOptions.NONE;
        List<Reading> all = new ArrayList<>();
        if (cells.hasOtherReading()) {
            all.addAll(read("Innermost brackets are pixels", cells.chosen(), none));
            ArrayText.read(text, true).ifPresent(planes -> all.addAll(read("Outer brackets are channels", planes, none)));
        } else if (cells.isFlat() && cells.rows().size() == 1) {
            int count = cells.rows().get(0).size();
            for (int columns : widths(count)) {
                all.addAll(read(columns == count ? "One row of " + count : count / columns + " rows of " + columns, cells, none.withColumns(columns)));
            }
        } else {
            all.addAll(read("Array", cells, none));
        }
        return all;
    }

    /** All values in one row, and the widths that make the image most square. */
    private static List<Integer> widths(int count) {
        List<Integer> divisors = IntStream.rangeClosed(1, count).filter(width -> count % width == 0 && width < count).boxed()
                .sorted(Comparator.comparingDouble(width -> Math.abs(Math.log((double) width * width / count)))).toList();
        List<Integer> widths = new ArrayList<>(List.of(count));
        // A list with few values, or a prime number of them, is a row or a column.
        widths.addAll(divisors.size() < 2 ? List.of() : divisors.subList(0, Math.min(MOST_WIDTHS, divisors.size())));
        return widths;
    }

    /** Numbers that leave a choice are read in each way. */
    private static List<Reading> read(String title, ArrayCells cells, ArrayOptions array) {
        ReadOptions options = ReadOptions.DEFAULT.with(array);
        try {
            return List.of(new Reading(title, ArrayImages.read(cells, options)));
        } catch (UndecidedException undecided) {
            return undecided.ways().stream().map(way -> new Reading(array.columns().isEmpty() ? way.title() : title + ", " + way.title().toLowerCase(Locale.ROOT),
                    ArrayImages.read(cells, way.in(options)))).toList();
        }
    }

    /** The line that a message names, or the line of the row that it names where each row is a line. */
    private static OptionalInt line(String text, String message) {
        Matcher line = LINE.matcher(message);
        Matcher row = ROW.matcher(message);
        if (line.find()) {
            return OptionalInt.of(Integer.parseInt(line.group(1)));
        } else if (!row.find()) {
            return OptionalInt.empty();
        }
        List<String> lines = text.lines().toList();
        return IntStream.range(0, lines.size()).filter(n -> lines.get(n).strip().matches("[\\[({|]*\\s*[\\d.+-].*")).skip(Integer.parseInt(row.group(1))).map(n -> n + 1).findFirst();
    }
}
