package pixeron.cli;

import picocli.CommandLine.Model.ArgSpec;

/**
 * What one word of a command means.
 *
 * @param <T> the kind of its value
 */
final class Argument<T> {

    private final ArgSpec spec;

    Argument(ArgSpec spec) {
        this.spec = spec;
    }

    /** Returns true when it was given or has a value by default. */
    boolean isGiven() {
        return value() != null;
    }

    /** Returns its value once the words are read; null where it was not given. */
    T value() {
        return spec.getValue();
    }
}
