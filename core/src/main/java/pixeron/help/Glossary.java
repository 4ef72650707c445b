package pixeron.help;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The words of the bench and of the trade, each explained. */
public final class Glossary {

    /**
     * A word.
     *
     * @param name what it is called
     * @param others what it is called as well
     * @param meaning in Markdown
     * @param see words to go on with
     */
    public record Entry(String name, List<String> others, String meaning, List<String> see) {

        public Entry {
            others = List.copyOf(others);
            see = List.copyOf(see);
        }
    }

    private static final String SEE = "See: ";

    private final List<Entry> entries;
    private final Map<String, Entry> byName = new HashMap<>();

    private Glossary(List<Entry> entries) {
        this.entries = entries.stream().sorted((a, b) -> a.name().compareToIgnoreCase(b.name())).toList();
        for (Entry entry : entries) {
            entry.others().forEach(other -> byName.putIfAbsent(key(other), entry));
        }
        entries.forEach(entry -> byName.put(key(entry.name()), entry));
    }

    /** Returns the words of the page "words"; read anew at every call. */
    public static Glossary read() {
        return parse(Page.read("words").markdown());
    }

    /** @param markdown under each heading of the second kind, names with commas, one word: its meaning, and last "See: " with others */
    static Glossary parse(String markdown) {
        List<Entry> entries = new ArrayList<>();
        String[] parts = markdown.split("(?m)^## ");
        for (int n = 1; n < parts.length; n++) {
            int end = parts[n].indexOf('\n');
            List<String> names = List.of(parts[n].substring(0, end).split(", "));
            String body = parts[n].substring(end).strip();
            int see = body.lastIndexOf(SEE);
            List<String> others = see < 0 ? List.of() : List.of(body.substring(see + SEE.length()).split(", "));
            entries.add(new Entry(names.get(0), names.subList(1, names.size()), see < 0 ? body : body.substring(0, see).strip(), others));
        }
        return new Glossary(entries);
    }

    /** Returns all words by the alphabet. */
    public List<Entry> entries() {
        return entries;
    }

    /** Returns the word of this name or other name; small and capital letters are not distinguished, except of {@linkplain #isSign letters of formulas}. */
    public Optional<Entry> find(String name) {
        return Optional.ofNullable(byName.get(key(name)));
    }

    /** Returns whether a name is a letter of a formula, such as n or P(k), where small and capital ones mean different things. */
    public static boolean isSign(String name) {
        return name.matches("\\p{L}(\\(k\\))?");
    }

    private static String key(String name) {
        return isSign(name) ? name : name.toLowerCase(Locale.ROOT);
    }
}
