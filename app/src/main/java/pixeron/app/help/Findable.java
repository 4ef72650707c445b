package pixeron.app.help;

import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Node;
import pixeron.help.Glossary;
import pixeron.help.Searched;

/**
 * Something that the search for everything finds.
 *
 * @param kind what it is
 * @param searched its title, and the texts by which it is found
 * @param aside what is behind the title, such as a shortcut; may be empty
 * @param preview what is shown of it, made when it is chosen
 * @param action what Enter does
 */
public record Findable(Kind kind, Searched searched, String aside, Supplier<Node> preview, Runnable action) {

    /** The kinds, in the order in which equal ones are listed. */
    public enum Kind {
        STEP("step", "Press Enter to add this step after the selected one"), ACTION("action", "Press Enter to run this action"), WORD("word", ""),
        PAGE("page", "Press Enter to read the page; arrow keys and Page Up/Down scroll it"), CASE("case", "Press Enter to open it");

        private final String word;
        private final String enter;

        Kind(String word, String enter) {
            this.word = word;
            this.enter = enter;
        }

        public String word() {
            return word;
        }

        /** Returns what Enter does, in words; empty where it does nothing. */
        public String enter() {
            return enter;
        }
    }

    /** Returns whether this is a name of it; of letters of formulas small and capital ones are distinguished. */
    boolean isCalled(String name) {
        return Stream.concat(Stream.of(title()), searched.names().stream()).anyMatch(own -> Glossary.isSign(name) ? own.equals(name) : own.equalsIgnoreCase(name));
    }

    String title() {
        return searched.title();
    }

    /** Returns how well it matches what was typed: 0 is best, {@link Searched#NONE} not at all. */
    int rank(String typed) {
        return searched.rank(typed);
    }
}
