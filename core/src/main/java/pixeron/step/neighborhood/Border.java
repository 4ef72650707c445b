package pixeron.step.neighborhood;

import java.util.Arrays;
import java.util.List;
import java.util.function.IntBinaryOperator;
import pixeron.PixeronException;
import pixeron.Worded;
import pixeron.step.key.ChoiceParameter;

/** The values outside the image. */
public enum Border implements Worded {
    ZERO("zero", "0", null),
    CONSTANT("constant", "the same value everywhere", null),
    REPEAT("replicate", "the nearest pixel of the edge", List.of("repeat"), (index, size) -> Math.max(0, Math.min(size - 1, index))),
    MIRROR_HALF("mirror-half", "reflected, edge repeated: c b a | a b c", Border::mirroredHalf),
    MIRROR_WHOLE("mirror-whole", "reflected, edge not repeated: c b | a b c", Border::mirroredWhole),
    WRAP("periodic", "the opposite side of the image", List.of("wrap"), Math::floorMod),
    KEEP("keep", "pixels whose window crosses the edge keep their value", null),
    INSIDE("inside", "nothing; only cells inside the image count", null),
    CROP("crop", "nothing; the result has only pixels whose window fits and is smaller", null);

    private final String word;
    private final String sentence;
    private final List<String> earlier;
    private final IntBinaryOperator source;

    Border(String word, String sentence, IntBinaryOperator source) {
        this(word, sentence, List.of(), source);
    }

    Border(String word, String sentence, List<String> earlier, IntBinaryOperator source) {
        this.word = word;
        this.sentence = sentence;
        this.earlier = earlier;
        this.source = source;
    }

    @Override
    public String word() {
        return word;
    }

    /** Returns the word in the id of its slip, which stays the same when the border is renamed: results that were written have it. */
    String slipWord() {
        return earlier.isEmpty() ? word : earlier.get(0);
    }

    private static int mirroredHalf(int index, int size) {
        int place = Math.floorMod(index, 2 * size);
        return place < size ? place : 2 * size - 1 - place;
    }

    private static int mirroredWhole(int index, int size) {
        if (size == 1) {
            return 0;
        }
        int place = Math.floorMod(index, 2 * size - 2);
        return place < size ? place : 2 * size - 2 - place;
    }

    /**
     * Returns the row or column of the image that is there; −1 where none does.
     *
     * @param index a row or column, also outside 0–size − 1
     */
    public int source(int index, int size) {
        return index >= 0 && index < size ? index : source == null ? -1 : source.applyAsInt(index, size);
    }

    /** Returns the key {@code border} with this as its default. */
    public ChoiceParameter parameter() {
        return parameter(values());
    }

    /** Returns the key {@code border} of steps that only some borders make sense for, with this as its default. */
    public ChoiceParameter parameter(Border... some) {
        ChoiceParameter.Choice[] choices = Arrays.stream(some)
                .sorted((a, b) -> Boolean.compare(b == this, a == this))
                .map(border -> new ChoiceParameter.Choice(border.word, border.sentence, border.earlier))
                .toArray(ChoiceParameter.Choice[]::new);
        return ChoiceParameter.of("border", "Border", choices);
    }

    /**
     * Checks that a border value is used.
     *
     * @throws PixeronException if a value outside is given without the border that has one, or back
     */
    public static void requireOutside(Border border, boolean isGiven) {
        if ((border == CONSTANT) != isGiven) {
            throw PixeronException.of(isGiven ? "Border value (outside) applies to border=constant only. Leave it out."
                    : "border=constant needs outside=…, the value outside the image.");
        }
    }

    /** Returns the border with this word. */
    public static Border named(ChoiceParameter.Choice choice) {
        return Worded.find(values(), choice.word()).orElseThrow();
    }
}
