package pixeron.app.bench.steps;

import java.util.Locale;
import java.util.function.Function;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyEvent;

/**
 * Lets a choice be made by the first letters of its word, as in any list: typing goes on until the box is left or another key is pressed.
 *
 * @param <T> what is chosen
 */
public final class ChoiceByTyping<T> {

    private final ComboBox<T> box;
    private final Function<T, String> word;
    private String typed = "";

    /**
     * Creates an empty field in which typing a word selects a choice.
     *
     * @param word what is typed for a choice
     */
    public ChoiceByTyping(ComboBox<T> box, Function<T, String> word) {
        this.box = box;
        this.word = choice -> word.apply(choice).toLowerCase(Locale.ROOT);
        box.focusedProperty().subscribe(isFocused -> typed = "");
        box.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode().isNavigationKey() || event.getCode().isWhitespaceKey()) {
                typed = "";
            }
        });
        box.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
    }

    private void typed(KeyEvent event) {
        String character = event.getCharacter().toLowerCase(Locale.ROOT);
        boolean isLetter = !character.isBlank() && !event.isShortcutDown() && !event.isAltDown() && Character.isDefined(character.charAt(0))
                && !Character.isISOControl(character.charAt(0));
        if (isLetter) {
            // What fits no word begins a new one.
            typed = begins(typed + character) ? typed + character : character;
            box.getItems().stream().filter(choice -> word.apply(choice).startsWith(typed)).findFirst().ifPresent(box::setValue);
            event.consume();
        }
    }

    private boolean begins(String text) {
        return box.getItems().stream().anyMatch(choice -> word.apply(choice).startsWith(text));
    }
}
