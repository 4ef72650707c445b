package pixeron.format.array;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.number.Decimals;

/** Arrays without brackets: a row on each line, its values between bars, ampersands, or spaces. */
final class Rows {

    private static final Pattern RULE = Pattern.compile("[|\\-:+=\\s]*");
    private static final Pattern DASHES = Pattern.compile(".*[-=].*");
    private static final Pattern ENVIRONMENT = Pattern.compile("(?s)\\\\begin\\{([^}]*)}(?:((?!\\\\begin\\{).)*?)\\\\end\\{\\1}");
    private static final Pattern FRACTION = Pattern.compile("([+-]?)\\s*\\\\[dt]?frac\\{([^{}]*)}\\{([^{}]*)}");
    private static final Pattern COMMAND = Pattern.compile("\\\\(?:begin|end)\\{[^}]*}(?:\\{[^}]*})?|\\\\[A-Za-z]+\\*?(?:\\[[^\\]]*])?(?:\\{[^{}]*})*|\\$|\\\\[,;:! \\[\\]()]");
    private static final Pattern FACTOR = Pattern.compile("([+-]?[\\d.]+(?:[eE][+-]?\\d+)?)\\s*\\*");
    private static final Pattern HEADING = Pattern.compile("(?i)columns?\\b[^\\d]*\\d+(?:[^\\d]+\\d+)?[^\\d]*");
    private static final Pattern COLUMN_LABELS = Pattern.compile("(?:\\[,\\d+]\\s*)+");
    private static final Pattern ROW_LABEL = Pattern.compile("\\[(\\d+),]\\s*");
    private static final Pattern LIST_LABEL = Pattern.compile("\\[(\\d+)]\\s*");

    private Rows() {
    }

    /**
     * Returns the rows between bars.
     *
     * @param keepsLabels whether numbered edges stay, for who knows which size fits
     */
    static Optional<ArrayCells> bars(List<String> lines, boolean keepsLabels) {
        List<List<String>> rows = new ArrayList<>();
        int above = -1;
        for (String line : lines) {
            if (line.isEmpty()) {
                continue;
            } else if (RULE.matcher(line).matches()) {
                above = DASHES.matcher(line).matches() && above < 0 ? rows.size() : above;
                continue;
            } else if (!line.contains("|")) {
                if (Stream.of(line.split("[\\s,;]+")).anyMatch(ArrayValue::isValue)) {
                    throw PixeronException.of("“%s” has no bars, but other lines have them.", Decimals.shortened(line));
                }
                continue;
            }
            String inner = line.replaceFirst("^\\|", "").replaceFirst("\\|$", "");
            rows.add(new ArrayList<>(List.of(inner.split("\\|", -1)).stream().map(String::strip).toList()));
        }
        List<String> notes = new ArrayList<>();
        List<List<String>> kept = rows;
        if (hasNumberedEdges(rows) && keepsLabels) {
            kept = withBlankCorner(rows);
        } else if (hasNumberedEdges(rows)) {
            kept = withoutEdges(rows);
            notes.add("Row and column labels were dropped.");
        } else if (above == 1 && rows.size() > 1 && (rows.get(0).stream().noneMatch(ArrayValue::isValue) || isRun(rows.get(0)))) {
            kept = rows.subList(1, rows.size());
            notes.add("The heading row was dropped.");
        }
        return finished(Notation.BARS, withDecimalPoints(kept), notes);
    }

    /** Returns the rows of LaTeX, of the innermost environment where there are several. */
    static Optional<ArrayCells> latex(String text) {
        Matcher environment = ENVIRONMENT.matcher(text);
        String inner = environment.find() ? environment.group() : text;
        List<List<String>> rows = new ArrayList<>();
        for (String line : FRACTION.matcher(inner.replace("{,}", ",")).replaceAll("$1$2/$3").split("\\\\\\\\(?:\\[[^\\]]*])?")) {
            String row = COMMAND.matcher(line).replaceAll(" ");
            if (!row.isBlank()) {
                rows.add(List.of(row.strip().split("&", -1)).stream().map(String::strip).toList());
            }
        }
        return finished(Notation.LATEX, withDecimalPoints(rows), List.of());
    }

    /** Between these separators a comma belongs to a number. */
    private static List<List<String>> withDecimalPoints(List<List<String>> rows) {
        return rows.stream().map(row -> row.stream().map(cell -> cell.matches("[+-]?\\d*,\\d+") ? cell.replace(',', '.') : cell).toList()).toList();
    }

    /** Returns the rows of printed columns, of all blocks side by side, without labels. */
    static Optional<ArrayCells> columns(List<String> lines) {
        List<List<List<String>>> blocks = new ArrayList<>(List.of(new ArrayList<>()));
        Optional<String> factor = Optional.empty();
        List<String> notes = new ArrayList<>();
        boolean isList = false;
        boolean hasLabels = false;
        int skipped = 0;
        char separator = 0;
        for (String line : lines) {
            Matcher scaled = FACTOR.matcher(line);
            if (line.isEmpty()) {
                continue;
            } else if (scaled.matches()) {
                factor = Optional.of(scaled.group(1));
                continue;
            } else if (HEADING.matcher(line).matches() || COLUMN_LABELS.matcher(line).matches()) {
                blocks.add(new ArrayList<>());
                continue;
            }
            Matcher label = ROW_LABEL.matcher(line);
            Matcher listLabel = LIST_LABEL.matcher(line);
            String rest = line;
            if (label.lookingAt()) {
                rest = line.substring(label.end());
                hasLabels = true;
            } else if (listLabel.lookingAt()) {
                rest = line.substring(listLabel.end());
                hasLabels = true;
                isList = true;
            }
            boolean isFirst = blocks.size() == 1 && blocks.get(0).isEmpty();
            separator = separator == 0 ? separator(rest) : separator;
            List<String> cells = cells(rest, separator);
            if (isFirst && (line.endsWith("=") || cells.stream().noneMatch(cell -> ArrayValue.isValue(cell) || ArrayValue.isLeftOut(cell)))) {
                separator = 0;
                skipped++;
                continue;
            }
            blocks.get(blocks.size() - 1).add(cells);
        }
        blocks.removeIf(List::isEmpty);
        if (skipped > 0) {
            notes.add(skipped == 1 ? "One line above the numbers was skipped." : skipped + " lines above the numbers were skipped.");
        }
        if (blocks.size() > 1 && !isList) {
            notes.add(blocks.size() + " blocks of columns were placed side by side.");
        }
        if (hasLabels) {
            notes.add("Labels were dropped.");
        }
        List<List<String>> rows = isList ? List.of(blocks.stream().flatMap(List::stream).flatMap(List::stream).toList()) : sideBySide(blocks);
        rows = withoutEmptyColumn(rows);
        if (!hasLabels && hasNumberedEdges(rows)) {
            rows = withoutEdges(rows);
            notes.add("Row and column labels were dropped.");
        }
        boolean isFlat = isList || rows.size() == 1 || rows.stream().allMatch(row -> row.size() == 1);
        Optional<String> common = factor;
        return finished(Notation.COLUMNS, rows, notes).map(cells -> isFlat ? cells.asFlat() : cells).map(cells -> common.isPresent() ? cells.withFactor(common.get()) : cells);
    }

    private static char separator(String line) {
        return line.indexOf('\t') >= 0 ? '\t' : line.indexOf(';') >= 0 ? ';' : line.indexOf(',') >= 0 ? ',' : ' ';
    }

    private static List<String> cells(String line, char separator) {
        List<String> cells = List.of(separator == ' ' ? line.split("\\s+") : line.split(String.valueOf(separator), -1)).stream().map(String::strip).toList();
        return separator == '\t' || separator == ';' ? cells.stream().map(cell -> cell.matches("[+-]?\\d*,\\d+") ? cell.replace(',', '.') : cell).toList() : cells;
    }

    private static List<List<String>> sideBySide(List<List<List<String>>> blocks) {
        List<List<String>> rows = new ArrayList<>();
        for (List<List<String>> block : blocks) {
            if (rows.isEmpty()) {
                block.forEach(row -> rows.add(new ArrayList<>(row)));
            } else if (block.size() != rows.size()) {
                throw PixeronException.of("A block of columns has %d rows, but the first block has %d.", block.size(), rows.size());
            } else {
                for (int i = 0; i < block.size(); i++) {
                    rows.get(i).addAll(block.get(i));
                }
            }
        }
        return rows;
    }

    private static List<List<String>> withoutEmptyColumn(List<List<String>> rows) {
        boolean isEmpty = rows.stream().allMatch(row -> row.size() > 1 && row.get(row.size() - 1).isEmpty());
        return isEmpty && !rows.isEmpty() ? rows.stream().map(row -> row.subList(0, row.size() - 1)).toList() : rows;
    }

    /** The first line has one value fewer, or begins blank, and it and the first column count on from 0 or 1. */
    private static boolean hasNumberedEdges(List<List<String>> rows) {
        if (rows.size() < 2) {
            return false;
        }
        List<String> first = rows.get(0);
        int width = rows.get(1).size();
        boolean isShorter = first.size() == width - 1;
        boolean beginsBlank = first.size() == width && first.get(0).isEmpty();
        return (isShorter || beginsBlank) && rows.stream().skip(1).allMatch(row -> row.size() == width) && isRun(beginsBlank ? first.subList(1, first.size()) : first)
                && isRun(rows.stream().skip(1).map(row -> row.get(0)).toList());
    }

    /** The first line may have no cell above the labels of the rows. */
    private static List<List<String>> withBlankCorner(List<List<String>> rows) {
        List<List<String>> all = new ArrayList<>(rows);
        if (rows.get(0).size() < rows.get(1).size()) {
            all.set(0, Stream.concat(Stream.of(""), rows.get(0).stream()).toList());
        }
        return all;
    }

    private static List<List<String>> withoutEdges(List<List<String>> rows) {
        return rows.subList(1, rows.size()).stream().map(row -> row.subList(1, row.size())).toList();
    }

    /** Whether texts are consecutive whole numbers from 0 or 1. */
    private static boolean isRun(List<String> texts) {
        int first = texts.isEmpty() ? -1 : texts.get(0).equals("0") ? 0 : texts.get(0).equals("1") ? 1 : -1;
        for (int n = 0; n < texts.size(); n++) {
            if (!texts.get(n).equals(String.valueOf(first + n))) {
                return false;
            }
        }
        return first >= 0;
    }

    private static Optional<ArrayCells> finished(Notation notation, List<List<String>> rows, List<String> notes) {
        if (rows.stream().flatMap(List::stream).noneMatch(cell -> ArrayValue.isValue(cell) || ArrayValue.isLeftOut(cell))) {
            return Optional.empty();
        }
        ArrayCells cells = ArrayCells.of(notation, Brackets.sameLength(rows));
        for (String note : notes) {
            cells = cells.withNote(note);
        }
        return Optional.of(cells);
    }
}
