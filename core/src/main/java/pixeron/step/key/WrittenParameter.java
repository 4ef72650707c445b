package pixeron.step.key;

import java.util.Optional;
import pixeron.PixeronException;

/** A key whose value is the text itself, without blanks around it; nothing is there when the line does not give it. */
public sealed interface WrittenParameter extends Parameter<String> permits TextParameter, ReferenceParameter {

    @Override
    default Optional<String> defaultValue() {
        return Optional.empty();
    }

    @Override
    default String parse(String text) {
        if (text.isBlank()) {
            throw PixeronException.of("%s is empty. Give %s.", key(), range());
        }
        return text.strip();
    }

    @Override
    default String print(String value) {
        return value;
    }
}
