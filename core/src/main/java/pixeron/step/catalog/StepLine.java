package pixeron.step.catalog;

import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.key.KeyedLine;

/** A step as one line of text; {@link Step#line} writes it. */
public final class StepLine {

    private StepLine() {
    }

    /**
     * Returns its step.
     *
     * @param line {@code name key=value …}
     * @throws PixeronException if the name or a key is unknown, a key occurs twice, or a value is missing or not
     * allowed;
     *     names the word, its place and what would be right
     */
    public static Step parse(String line) {
        KeyedLine<StepType> parsed = KeyedLine.parse("step", line, StepLine::type);
        return new Step(parsed.type(), parsed.arguments());
    }

    private static StepType type(String name) {
        return Catalog.find(name).orElseThrow(() -> PixeronException.of("there is no step \"%s\"; %s",
                Decimals.shortened(name), Catalog.suggestion(name)));
    }

    /** Returns what a user can write for a step: its name, required keys, others with their default. */
    public static String usage(StepType type) {
        return KeyedLine.usage(type);
    }
}
