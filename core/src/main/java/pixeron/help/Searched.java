package pixeron.help;

import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * The texts by which something is found: titles rank before search words, search words before sentences.
 *
 * @param title its title
 * @param names other names of it, such as its id; an equal one ranks as the title does
 * @param words what people call it as well
 * @param texts sentences about it
 */
public record Searched(String title, List<String> names, List<String> words, List<String> texts) {

    /** The rank of what is not found. */
    public static final int NONE = 9;
    private static final int LAST = 8;

    public Searched {
        names = List.copyOf(names);
        words = List.copyOf(words);
        texts = List.copyOf(texts);
    }

    /**
     * Returns how well it matches; British and American spellings and hyphens make no difference. Several words match if each of them does.
     *
     * @param typed a few letters
     * @return 0 is best, {@link #NONE} is no match
     */
    public int rank(String typed) {
        int whole = rankOfPlain(plain(typed));
        if (whole != NONE || !typed.strip().contains(" ")) {
            return whole;
        }
        // Words that are found one by one rank last.
        return Stream.of(plain(typed).split(" +")).allMatch(word -> rankOfPlain(word) != NONE) ? LAST : NONE;
    }

    private int rankOfPlain(String wanted) {
        String name = plain(title);
        if (wanted.isEmpty() || name.equals(wanted) || any(names, own -> own.equals(wanted))) {
            return 0;
        } else if (name.startsWith(wanted) || any(names, own -> own.startsWith(wanted))) {
            return 1;
        } else if (name.contains(" " + wanted) || name.contains("(" + wanted)) {
            return 2;
        } else if (any(words, own -> own.equals(wanted))) {
            return 3;
        } else if (any(words, own -> own.startsWith(wanted) || own.contains(" " + wanted))) {
            return 4;
        } else if (name.contains(wanted) || any(names, own -> own.contains(wanted))) {
            // Only in the middle of a word, as "angle" in "rectangle".
            return 5;
        } else if (any(words, own -> own.contains(wanted))) {
            return 6;
        }
        return any(texts, own -> own.contains(wanted)) ? 7 : NONE;
    }

    private static boolean any(List<String> all, Predicate<String> isFound) {
        return all.stream().map(Searched::plain).anyMatch(isFound);
    }

    private static String plain(String text) {
        return text.strip().toLowerCase(Locale.ROOT).replace('-', ' ').replace('–', ' ').replace("colour", "color").replace("grey", "gray").replace("neighbour", "neighbor")
                .replace("centre", "center").replace("practise", "practice").replaceAll("(equal|normal|binar|poster|quant|visual)is", "$1iz");
    }
}
