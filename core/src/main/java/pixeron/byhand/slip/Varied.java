package pixeron.byhand.slip;

import java.util.Optional;
import pixeron.step.ChoiceParameter;
import pixeron.step.NumberParameter;
import pixeron.step.Parameter;
import pixeron.step.Step;

/** Reads and changes keys of a step by their names. */
public final class Varied {

    private Varied() {
    }

    /** @return the key of the step's type with this name */
    public static Optional<Parameter<?>> key(Step step, String name) {
        return step.type().parameters().stream().filter(parameter -> parameter.key().equals(name)).findFirst();
    }

    /** @return the word of a choice; empty where there is no such key */
    public static Optional<String> choice(Step step, String name) {
        return key(step, name).filter(ChoiceParameter.class::isInstance).map(ChoiceParameter.class::cast)
                .flatMap(step.arguments()::find).map(ChoiceParameter.Choice::word);
    }

    /**
     * @return the step with another value for a key that it has
     * @throws pixeron.PixeronException if the value is not allowed
     */
    public static Step with(Step step, String name, String text) {
        return with(step, key(step, name).orElseThrow(), text);
    }

    private static <T> Step with(Step step, Parameter<T> parameter, String text) {
        return step.with(parameter, parameter.parse(text));
    }

    /** @return the number of a key as it is written, M also; empty where it has none */
    public static Optional<String> number(Step step, String name) {
        return key(step, name).filter(NumberParameter.class::isInstance).map(NumberParameter.class::cast)
                .flatMap(step.arguments()::find).map(Object::toString);
    }

    /** @return whether the step is of the kind with this name */
    public static boolean is(Step step, String name) {
        return step.type().name().equals(name);
    }
}
