package pixeron.format.array;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.number.Decimals;

/**
 * A text as tokens, and its brackets with what is in them as trees. All kinds of brackets mean the same, but each must be closed by its own.
 *
 * <p>Cost: one pass over the text for its tokens and one for each tree. Arrays have millions of values and few different ones, so tokens are kept as places in the text, and
 * equal values are one leaf.
 */
final class BracketText {

    private static final Pattern NAME = Pattern.compile("[\\p{L}_][\\w.<>:]*!?");
    private static final Pattern TYPE = Pattern.compile("[A-Za-z_]\\w*");
    private static final Pattern CAST = Pattern.compile("\\([A-Za-z_]\\w*\\).*");
    private static final Pattern ASSIGNED = Pattern.compile("\\w+=.*");
    private static final String OPEN = "[({";
    private static final String CLOSED = "])}";
    /** What can only be a part of an expression: a digit, a sign, a bracket. */
    private static final Pattern EXPRESSION = Pattern.compile("[^\\p{L}]*\\d.*|.*\\(.*|[-+*/^×÷:−]");
    /** A word and one value in round brackets, as printed scalars are: np.uint8(52). */
    private static final Pattern SCALAR = Pattern.compile("(?:(?:\\w+\\.)+\\w+|\\p{Lu}\\w*)\\(\\s*([^()\\s]+)\\s*\\)");
    private static final int MOST_LEVELS = 16;
    private static final int MOST_KNOWN = 1 << 16;

    /** An item of a group: a value, or a group of its own. */
    sealed interface Item {
    }

    record Leaf(String text) implements Item {
    }

    private static final Leaf NOTHING = new Leaf("");

    /**
     * Items between two brackets.
     *
     * @param items its values and groups
     * @param rowEnds for each semicolon the number of items before it
     * @param lineEnds for each line end between items the number of items before it
     * @param line where it begins, from 1
     * @param isTransparent whether its brackets mean nothing if there is one item: round ones without a comma, or behind a word
     */
    record Group(List<Item> items, List<Integer> rowEnds, List<Integer> lineEnds, int line, boolean isTransparent) implements Item {

        boolean isOfLeaves() {
            for (Item item : items) {
                if (!(item instanceof Leaf)) {
                    return false;
                }
            }
            return true;
        }
    }

    private final String text;
    private final boolean isByHand;
    private final Map<String, Leaf> leaves = new HashMap<>();
    private int[] starts = new int[64];
    private int[] ends = new int[64];
    private int[] lines = new int[64];
    private int count;

    /**
     * @param rows lines without comments
     * @param isByHand whether values can be expressions, to which round brackets belong, and can be left out between commas
     */
    BracketText(List<String> rows, boolean isByHand) {
        this.isByHand = isByHand;
        text = String.join("\n", rows);
        int line = 1;
        int at = 0;
        while (at < text.length()) {
            char sign = text.charAt(at);
            if (Character.isWhitespace(sign)) {
                line += sign == '\n' ? 1 : 0;
                at++;
            } else {
                int end = end(at, sign);
                add(at, end, line);
                at = end;
            }
        }
    }

    /** Where the token that begins at a place ends. */
    private int end(int at, char sign) {
        int expressionEnd = isByHand ? expressionEnd(at) : at;
        if (expressionEnd > at) {
            return expressionEnd;
        } else if (isSign(sign)) {
            return at + 1;
        } else if (sign == '"' || sign == '\'') {
            int end = text.indexOf(sign, at + 1);
            int lineEnd = text.indexOf('\n', at);
            return end < 0 || lineEnd >= 0 && lineEnd < end ? at + 1 : end + 1;
        }
        int end = at;
        while (end < text.length() && !Character.isWhitespace(text.charAt(end)) && !isSign(text.charAt(end)) && text.charAt(end) != '"' && text.charAt(end) != '\'') {
            end++;
        }
        return end;
    }

    private static boolean isSign(char sign) {
        return switch (sign) {
            case '[', '(', '{', ']', ')', '}', ',', ';' -> true;
            default -> false;
        };
    }

    /** Where an expression with round brackets ends that begins at a place; the place itself if none does. */
    private int expressionEnd(int at) {
        int level = 0;
        boolean hasBrackets = false;
        int n = at;
        for (; n < text.length(); n++) {
            char sign = text.charAt(n);
            if (sign == '[' || sign == '{' || sign == '\n' && level > 0) {
                return at;
            } else if (sign == '(') {
                hasBrackets = true;
                level++;
            } else if (sign == ')' && --level < 0) {
                return at;
            } else if (level == 0 && (Character.isWhitespace(sign) || sign != ')' && isSign(sign) || sign == '"' || sign == '\'')) {
                break;
            }
        }
        // A type in round brackets belongs to the value after it.
        return !hasBrackets || level > 0 || CAST.matcher(text.substring(at, n)).matches() ? at : n;
    }

    private void add(int start, int end, int line) {
        if (count == starts.length) {
            starts = Arrays.copyOf(starts, 2 * count);
            ends = Arrays.copyOf(ends, 2 * count);
            lines = Arrays.copyOf(lines, 2 * count);
        }
        starts[count] = start;
        ends[count] = end;
        lines[count++] = line;
    }

    /** Returns the number of tokens. */
    int size() {
        return count;
    }

    String text(int n) {
        return text.substring(starts[n], ends[n]);
    }

    int line(int n) {
        return lines[n];
    }

    /** Returns a bracket, comma or semicolon; 0 for any other token, and behind the last. */
    private char sign(int n) {
        return n < 0 || n >= count || ends[n] - starts[n] > 1 || !isSign(text.charAt(starts[n])) ? 0 : text.charAt(starts[n]);
    }

    boolean is(int n, char sign) {
        return sign(n) == sign;
    }

    boolean isOpen(int n) {
        return sign(n) != 0 && OPEN.indexOf(sign(n)) >= 0;
    }

    boolean isClosed(int n) {
        return sign(n) != 0 && CLOSED.indexOf(sign(n)) >= 0;
    }

    /** Returns whether the bracket at a place directly follows a word. */
    boolean isCall(int at) {
        if (at == 0 || sign(at - 1) != 0 || ends[at - 1] != starts[at]) {
            return false;
        }
        char last = text.charAt(ends[at - 1] - 1);
        return (Character.isLetterOrDigit(last) || last == '_' || last == '>') && !ArrayValue.isValue(text(at - 1));
    }

    /** Returns whether brackets with one whole number, or nothing, follow a name or other such brackets: a size or an index. */
    boolean isIndex(int at) {
        boolean isEmpty = is(at, '[') && is(at + 1, ']');
        boolean isNumber = is(at, '[') && is(at + 2, ']') && sign(at + 1) == 0 && TYPE.matcher("n" + text(at + 1)).matches();
        return (isEmpty || isNumber) && (isCall(at) || is(at - 1, ']') && ends[at - 1] == starts[at] && isEndOfIndex(at - 1));
    }

    private boolean isEndOfIndex(int closed) {
        int open = closed;
        while (open >= 0 && closed - open < 3 && !is(open, '[')) {
            open--;
        }
        return open >= 0 && is(open, '[') && isIndex(open);
    }

    /** Returns whether a type is in round brackets here, as in (byte) 200. */
    boolean isCast(int at) {
        return is(at, '(') && is(at + 2, ')') && at + 3 < count && !isCall(at) && TYPE.matcher(text(at + 1)).matches() && !ArrayValue.isValue(text(at + 1));
    }

    /** Returns whether a word that can be in front of a bracket is here, such as np.array or vec!, and a bracket follows. */
    boolean isNameOfBracket(int n) {
        return isOpen(n + 1) && sign(n) == 0 && NAME.matcher(text(n)).matches();
    }

    /** Returns whether a value is here, or a sign that values were left out. */
    boolean isValue(int n) {
        return n < count && sign(n) == 0 && leaf(text(n)) != null;
    }

    /** Returns whether a value by hand is left out here, before the first comma of a group. */
    boolean isLeftOut(int n) {
        return isByHand && is(n, ',') && isOpen(n - 1);
    }

    /** One leaf for all values that are written alike; null for what is no value. */
    private Leaf leaf(String value) {
        Leaf known = leaves.get(value);
        if (known == null && (ArrayValue.isValue(value) || ArrayValue.isLeftOut(value) || isByHand && EXPRESSION.matcher(value).matches())) {
            Matcher scalar = SCALAR.matcher(value);
            known = new Leaf(scalar.matches() ? scalar.group(1) : value);
            if (leaves.size() < MOST_KNOWN) {
                leaves.put(value, known);
            }
        }
        return known;
    }

    /**
     * Returns the place behind the bracket that closes the one at a place.
     *
     * @throws PixeronException if brackets do not match; names the lines
     */
    int end(int at) {
        Deque<Integer> opened = new ArrayDeque<>();
        for (int n = at; n < count; n++) {
            if (isOpen(n)) {
                opened.push(n);
                if (opened.size() > MOST_LEVELS) {
                    throw PixeronException.of("Line %d: brackets are nested more than %d levels deep.", lines[n], MOST_LEVELS);
                }
            } else if (isClosed(n)) {
                int open = opened.pop();
                if (OPEN.indexOf(sign(open)) != CLOSED.indexOf(sign(n))) {
                    throw PixeronException.of("Line %d: “%s” does not match the “%s” of line %d.", lines[n], sign(n), sign(open), lines[open]);
                } else if (opened.isEmpty()) {
                    return n + 1;
                }
            }
        }
        throw PixeronException.of("Line %d: “%s” is not closed.", lines[opened.peek()], sign(opened.peek()));
    }

    /**
     * Returns the group that begins at a place, whose brackets are known to match.
     *
     * @throws PixeronException if a value is missing between commas, or a word is between the values
     */
    Group group(int at) {
        return new Reader(at).group();
    }

    /** Reads a group and those in it. */
    private final class Reader {

        private int next;
        private int depth;

        Reader(int at) {
            next = at;
        }

        private Group group() {
            int open = next;
            boolean isCall = isCall(next);
            next++;
            depth++;
            List<Item> items = new ArrayList<>();
            List<Integer> rowEnds = new ArrayList<>();
            List<Integer> lineEnds = new ArrayList<>();
            int line = lines[open];
            boolean isAfterComma = false;
            boolean hasComma = false;
            while (!isClosed(next)) {
                if (lines[next] > line && !items.isEmpty()) {
                    lineEnds.add(items.size());
                }
                line = lines[next];
                if (isContinued(items)) {
                    next++;
                    line = lines[next];
                    continue;
                } else if (is(next, ',')) {
                    boolean isLeftOut = isAfterComma || items.isEmpty();
                    if (isLeftOut && isByHand) {
                        items.add(NOTHING);
                    } else if (isLeftOut) {
                        throw PixeronException.of("Line %d: a value is missing between two commas.", line);
                    }
                    isAfterComma = true;
                    hasComma = true;
                    next++;
                    continue;
                } else if (is(next, ';')) {
                    rowEnds.add(items.size());
                    next++;
                } else if (isOpen(next) && (isIndex(next) || isCast(next))) {
                    next = end(next);
                    continue;
                } else if (isOpen(next)) {
                    items.add(unwrapped(group()));
                    line = lines[next - 1];
                } else {
                    String word = text(next);
                    Leaf leaf = leaves.get(word);
                    if (leaf == null && skipsWord(word)) {
                        isAfterComma = false;
                        continue;
                    }
                    leaf = leaf == null ? leaf(word) : leaf;
                    if (leaf == null) {
                        throw PixeronException.of("Line %d: “%s” is not a number.", line, Decimals.shortened(word));
                    }
                    items.add(leaf);
                    next++;
                }
                isAfterComma = false;
            }
            next++;
            depth--;
            return new Group(items, rowEnds, lineEnds, lines[open], is(open, '(') && (isCall || !hasComma));
        }

        /** In brackets of one level, three dots after values at the end of a line continue the row on the next line. */
        private boolean isContinued(List<Item> items) {
            return depth == 1 && !items.isEmpty() && text.startsWith("...", starts[next]) && ends[next] - starts[next] == 3 && !isClosed(next + 1) && lines[next + 1] > lines[next] && items.stream().allMatch(Leaf.class::isInstance);
        }

        /** Words in front of a bracket, as in np.array([…]), and names with a value, as in dtype=uint8, are skipped. */
        private boolean skipsWord(String word) {
            if (isNameOfBracket(next) || word.equals("new")) {
                next++;
                return true;
            } else if (ASSIGNED.matcher(word).matches()) {
                boolean isOpenEnded = word.endsWith("=");
                next++;
                if (isOpenEnded && !isClosed(next)) {
                    next = isOpen(next) ? end(next) : next + 1;
                }
                return true;
            }
            return false;
        }
    }

    /** Round brackets around one value or group mean nothing. */
    private static Item unwrapped(Group group) {
        boolean isOne = group.items().size() == 1 && group.rowEnds().isEmpty();
        return isOne && group.isTransparent() ? group.items().get(0) : group;
    }
}
