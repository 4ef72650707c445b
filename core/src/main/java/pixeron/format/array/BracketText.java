package pixeron.format.array;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.number.Decimals;

/** Brackets with what is in them, as a tree. All kinds of brackets mean the same, but each must be closed by its own. */
final class BracketText {

    private static final Pattern TOKEN = Pattern.compile("\"[^\"\n]*\"|'[^'\n]*'|[\\[\\](){},;]|[^\\s\\[\\](){},;\"']+");
    private static final Pattern NAME = Pattern.compile("[\\p{L}_][\\w.<>:]*!?");
    private static final String OPEN = "[({";
    private static final String CLOSED = "])}";
    private static final int MOST_LEVELS = 16;

    /** @param line from 1 */
    record Token(String text, int line, int start, int end) {

        boolean isOpen() {
            return text.length() == 1 && OPEN.contains(text);
        }

        boolean isClosed() {
            return text.length() == 1 && CLOSED.contains(text);
        }

        boolean is(String sign) {
            return text.equals(sign);
        }
    }

    /** An item of a group: a value, or a group of its own. */
    sealed interface Item {
    }

    record Leaf(String text, int line) implements Item {
    }

    /**
     * Items between two brackets.
     *
     * @param items its values and groups
     * @param rowEnds for each semicolon the number of items before it
     * @param lineEnds for each line end between items the number of items before it
     * @param isTransparent whether its brackets mean nothing if there is one item: round ones without a comma, or behind a word
     */
    record Group(List<Item> items, List<Integer> rowEnds, List<Integer> lineEnds, int line, boolean isTransparent) implements Item {

        boolean isOfLeaves() {
            return items.stream().allMatch(Leaf.class::isInstance);
        }
    }

    private final List<Token> tokens = new ArrayList<>();

    BracketText(List<String> lines) {
        for (int n = 0; n < lines.size(); n++) {
            Matcher matcher = TOKEN.matcher(lines.get(n));
            while (matcher.find()) {
                tokens.add(new Token(matcher.group(), n + 1, matcher.start(), matcher.end()));
            }
        }
    }

    List<Token> tokens() {
        return tokens;
    }

    /** Returns whether the bracket at a place directly follows a word. */
    boolean isCall(int at) {
        Token before = at == 0 ? null : tokens.get(at - 1);
        return before != null && before.line() == tokens.get(at).line() && before.end() == tokens.get(at).start() && before.text().matches(".*[\\p{L}\\d_>]") && !ArrayValue.isValue(before.text());
    }

    /** Returns whether brackets with one whole number, or nothing, follow a name or other such brackets: a size or an index. */
    boolean isIndex(int at) {
        if (!tokens.get(at).is("[")) {
            return false;
        }
        boolean isEmpty = at + 1 < tokens.size() && tokens.get(at + 1).is("]");
        boolean isNumber = at + 2 < tokens.size() && tokens.get(at + 1).text().matches("\\w+") && tokens.get(at + 2).is("]");
        return (isEmpty || isNumber) && (isCall(at) || at > 0 && tokens.get(at - 1).is("]") && tokens.get(at - 1).end() == tokens.get(at).start() && isAfterName(at - 1));
    }

    /** Returns whether a type is in round brackets here, as in (byte) 200. */
    boolean isCast(int at) {
        return tokens.get(at).is("(") && !isCall(at) && at + 3 < tokens.size() && tokens.get(at + 2).is(")") && tokens.get(at + 1).text().matches("[A-Za-z_]\\w*")
                && !ArrayValue.isValue(tokens.get(at + 1).text());
    }

    /** Whether the closed bracket at a place ends an index. */
    private boolean isAfterName(int closed) {
        int open = closed;
        while (open >= 0 && !tokens.get(open).is("[")) {
            open--;
        }
        return open >= 0 && isIndex(open);
    }

    /** Returns whether it is a word that can be in front of a bracket, such as np.array or vec!. */
    static boolean isName(String text) {
        return NAME.matcher(text).matches();
    }

    /** Returns the place behind the bracket that closes the one at a place. */
    int end(int at) {
        List<Token> opened = new ArrayList<>();
        for (int n = at; n < tokens.size(); n++) {
            Token token = tokens.get(n);
            if (token.isOpen()) {
                opened.add(token);
                if (opened.size() > MOST_LEVELS) {
                    throw PixeronException.of("Line %d: brackets are nested more than %d levels deep.", token.line(), MOST_LEVELS);
                }
            } else if (token.isClosed()) {
                Token open = opened.remove(opened.size() - 1);
                if (OPEN.indexOf(open.text()) != CLOSED.indexOf(token.text())) {
                    throw PixeronException.of("Line %d: “%s” does not match the “%s” of line %d.", token.line(), token.text(), open.text(), open.line());
                } else if (opened.isEmpty()) {
                    return n + 1;
                }
            }
        }
        Token open = opened.get(opened.size() - 1);
        throw PixeronException.of("Line %d: “%s” is not closed.", open.line(), open.text());
    }

    /**
     * Returns the group that begins at a place.
     *
     * @throws PixeronException if brackets do not match, a value is left out, or a word is between the values
     */
    Group group(int at) {
        end(at);
        return new Reader(at).group();
    }

    /** Reads a group whose brackets are known to match. */
    private final class Reader {

        private int next;

        Reader(int at) {
            next = at;
        }

        private Group group() {
            Token open = tokens.get(next);
            boolean isCall = isCall(next);
            next++;
            List<Item> items = new ArrayList<>();
            List<Integer> rowEnds = new ArrayList<>();
            List<Integer> lineEnds = new ArrayList<>();
            int line = open.line();
            boolean isComma = false;
            boolean hasComma = false;
            while (!tokens.get(next).isClosed()) {
                Token token = tokens.get(next);
                if (token.line() > line && !items.isEmpty()) {
                    lineEnds.add(items.size());
                }
                line = token.line();
                if (token.is(",")) {
                    if (isComma || items.isEmpty()) {
                        throw PixeronException.of("Line %d: a value is missing between two commas.", token.line());
                    }
                    isComma = true;
                    hasComma = true;
                    next++;
                } else if (token.is(";")) {
                    rowEnds.add(items.size());
                    isComma = false;
                    next++;
                } else if (token.isOpen()) {
                    if (isIndex(next) || isCast(next)) {
                        next = BracketText.this.end(next);
                        continue;
                    }
                    items.add(unwrapped(group()));
                    line = tokens.get(next - 1).line();
                    isComma = false;
                } else if (ArrayValue.isLeftOut(token.text()) || ArrayValue.isValue(token.text())) {
                    items.add(new Leaf(token.text(), token.line()));
                    isComma = false;
                    next++;
                } else if (skipsWord()) {
                    isComma = false;
                } else {
                    throw PixeronException.of("Line %d: “%s” is not a number.", token.line(), Decimals.shortened(token.text()));
                }
            }
            next++;
            return new Group(items, rowEnds, lineEnds, open.line(), open.is("(") && (isCall || !hasComma));
        }

        /** Words in front of a bracket, as in np.array([…]), casts such as (byte), and names with a value, as in dtype=uint8, are skipped. */
        private boolean skipsWord() {
            Token token = tokens.get(next);
            boolean isBeforeBracket = next + 1 < tokens.size() && tokens.get(next + 1).isOpen();
            if (isName(token.text()) && isBeforeBracket || token.is("new")) {
                next++;
                return true;
            }
            if (token.text().matches("\\w+=.*")) {
                next++;
                if (token.text().endsWith("=") && !tokens.get(next).isClosed()) {
                    next = tokens.get(next).isOpen() ? BracketText.this.end(next) : next + 1;
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
