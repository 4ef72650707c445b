package pixeron.app.bench.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;

/** Says of a part of the window which word explains it: F1 opens that word. */
public final class AskedWord {

    private static final Object KEY = AskedWord.class;

    private AskedWord() {
    }

    /**
     * Sets the word that F1 explains here.
     *
     * @param word a word of the glossary, or the name of a step, for this and all that lies in it
     */
    public static void set(Node part, String word) {
        set(part, () -> word);
    }

    /**
     * Sets the word that F1 explains here.
     *
     * @param word is asked when the user asks; blank where nothing special is meant
     */
    public static void set(Node part, Supplier<String> word) {
        part.getProperties().put(KEY, word);
    }

    /** Returns the words of a part and of those around it, the nearest first. */
    public static List<String> of(Node part) {
        List<String> words = new ArrayList<>();
        for (Node at = part; at != null; at = at.getParent()) {
            if (at.hasProperties() && at.getProperties().get(KEY) instanceof Supplier<?> supplier && supplier.get() instanceof String word && !word.isBlank()) {
                words.add(word);
            }
        }
        return words;
    }
}
