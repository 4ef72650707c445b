package pixeron.byhand.slip;

import java.util.Optional;
import pixeron.number.Value;
import pixeron.step.ChoiceParameter;
import pixeron.step.NumberParameter;
import pixeron.step.Operation;
import pixeron.step.Parameter;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

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

    /**
     * @param line another kind of step with its own keys
     * @return that step with the area, rounding and overflow of a step
     * @throws pixeron.PixeronException if there is no such step
     */
    public static Step like(Step step, String line) {
        Step other = StepLine.parse(line);
        for (Parameter<?> parameter : step.type().parameters()) {
            if (step.arguments().isGiven(parameter) && !step.type().ownParameters().contains(parameter)) {
                other = with(other, parameter.key(), printed(step, parameter));
            }
        }
        return other;
    }

    private static <T> String printed(Step step, Parameter<T> parameter) {
        return parameter.print(step.arguments().get(parameter));
    }

    /** @return a number that the step found in its input, such as t; empty where it has none of that name */
    public static Optional<Value> constant(Operation operation, String name) {
        return operation.tables().stream().filter(table -> table.name().equals("constants")
                && table.columns().contains(name)).findFirst().flatMap(table -> table.value(0, name));
    }

    /** @return whether the step is of the kind with this name */
    public static boolean is(Step step, String name) {
        return step.type().name().equals(name);
    }
}
