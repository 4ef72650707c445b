package pixeron.step.key;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.number.Decimals;

/**
 * A key with one of a few words.
 *
 * @param key the key
 * @param title the name beside its field
 * @param defaultValue the choice when the line does not give it
 * @param choices all of them, in the order in which they are offered
 */
public record ChoiceParameter(String key, String title, Optional<Choice> defaultValue, List<Choice> choices)
        implements Parameter<ChoiceParameter.Choice> {

    /**
     * One of several words.
     *
     * @param word in the step line
     * @param sentence what it means, in a few words
     * @param earlier the words that earlier versions wrote; they are read and never written
     */
    public record Choice(String word, String sentence, List<String> earlier) {

        public Choice {
            earlier = List.copyOf(earlier);
        }

        public Choice(String word, String sentence) {
            this(word, sentence, List.of());
        }

        boolean isWritten(String text) {
            return word.equals(text) || earlier.contains(text);
        }
    }

    public ChoiceParameter {
        choices = List.copyOf(choices);
    }

    /** Returns a key whose default is the first choice. */
    public static ChoiceParameter of(String key, String title, Choice... choices) {
        return new ChoiceParameter(key, title, Optional.of(choices[0]), List.of(choices));
    }

    /** Returns a key that must be given. */
    public static ChoiceParameter required(String key, String title, Choice... choices) {
        return new ChoiceParameter(key, title, Optional.empty(), List.of(choices));
    }

    @Override
    public boolean isRequired() {
        return defaultValue.isEmpty();
    }

    @Override
    public String range() {
        return choices.stream().map(Choice::word).collect(Collectors.joining(", "));
    }

    @Override
    public Choice parse(String text) {
        return choices.stream().filter(choice -> choice.isWritten(text)).findFirst().orElseThrow(() ->
                PixeronException.of("%s=%s is not valid. Use one of %s.", key, Decimals.shortened(text), range()));
    }

    @Override
    public String print(Choice value) {
        return value.word();
    }
}
