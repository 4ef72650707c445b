package pixeron.app.bench.steps;

import java.util.Locale;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyEvent;
import pixeron.step.key.ChoiceParameter;

/** Lets a choice be made by the first letters of its word, as in any list: typing goes on until the box is left or another key is pressed. */
final class ChoiceByTyping {

    private final ComboBox<ChoiceParameter.Choice> box;
    private String typed = "";

    ChoiceByTyping(ComboBox<ChoiceParameter.Choice> box) {
        this.box = box;
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
            box.getItems().stream().filter(choice -> choice.word().startsWith(typed)).findFirst().ifPresent(box::setValue);
            event.consume();
        }
    }

    private boolean begins(String text) {
        return box.getItems().stream().anyMatch(choice -> choice.word().startsWith(text));
    }
}
