package pixeron.app.help;

import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Node;
import pixeron.help.Glossary;

/**
 * Something that the search for everything finds.
 *
 * @param kind what it is
 * @param title its name
 * @param others names that it has as well, and words by which it is found; small letters or not
 * @param aside what stands behind the title, such as a shortcut; may be empty
 * @param preview what is shown of it, made when it is chosen
 * @param action what Enter does
 */
public record Findable(Kind kind, String title, List<String> others, String aside, Supplier<Node> preview, Runnable action) {

    /** The kinds, in the order in which equal ones are listed. */
    public enum Kind {
        STEP("step", "Enter adds this step behind the selected one"), ACTION("action", "Enter does it"), WORD("word", ""),
        PAGE("page", "Enter goes to the text: arrows and Page up and down move it"), CASE("case", "Enter opens it");

        private final String word;
        private final String enter;

        Kind(String word, String enter) {
            this.word = word;
            this.enter = enter;
        }

        public String word() {
            return word;
        }

        /** @return what Enter does, in words; empty where it does nothing */
        public String enter() {
            return enter;
        }
    }

    /** No match. */
    static final int NONE = 9;

    public Findable {
        others = List.copyOf(others);
    }

    /** @return whether this is a name of it; of letters of formulas small and capital ones are told apart */
    boolean isCalled(String name) {
        return Stream.concat(Stream.of(title), others.stream()).anyMatch(own -> Glossary.isSign(name) ? own.equals(name) : own.equalsIgnoreCase(name));
    }

    /** @return how well it matches what was typed: 0 is best, {@link #NONE} not at all */
    int rank(String typed) {
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        String name = title.toLowerCase(Locale.ROOT);
        if (name.equals(wanted)) {
            return 0;
        } else if (others.stream().anyMatch(other -> other.equalsIgnoreCase(wanted))) {
            return 1;
        } else if (name.startsWith(wanted)) {
            return 2;
        } else if (name.contains(" " + wanted) || name.contains("-" + wanted)) {
            return 3;
        }
        return name.contains(wanted) ? 4 : others.stream().anyMatch(other -> other.toLowerCase(Locale.ROOT).contains(wanted)) ? 5 : NONE;
    }
}
