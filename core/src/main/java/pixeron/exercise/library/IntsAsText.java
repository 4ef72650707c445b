package pixeron.exercise.library;

import java.util.stream.IntStream;

/** Whole numbers as the values of a choice. */
final class IntsAsText {

    private IntsAsText() {
    }

    /** Returns from, from + by, … up to to. */
    static String[] range(int from, int to, int by) {
        return IntStream.rangeClosed(0, (to - from) / by).mapToObj(n -> String.valueOf(from + n * by)).toArray(String[]::new);
    }
}
