package pixeron.step.neighborhood;

import java.util.Arrays;
import java.util.function.IntBinaryOperator;
import pixeron.PixeronException;
import pixeron.Worded;
import pixeron.step.key.ChoiceParameter;

/** What stands outside the image. */
public enum Border implements Worded {
    ZERO("zero", "0", null),
    CONSTANT("constant", "the same value everywhere", null),
    REPEAT("repeat", "the nearest pixel of the edge", (index, size) -> Math.max(0, Math.min(size - 1, index))),
    MIRROR_HALF("mirror-half", "mirrored, the edge pixel twice: c b a | a b c", Border::mirroredHalf),
    MIRROR_WHOLE("mirror-whole", "mirrored, the edge pixel once: c b | a b c", Border::mirroredWhole),
    WRAP("wrap", "the other end of the image", Math::floorMod),
    KEEP("keep", "a pixel whose window leaves the image keeps its value", null),
    INSIDE("inside", "nothing; only the cells inside count", null),
    CROP("crop", "nothing; only pixels whose window fits have a result, which is smaller", null);

    private final String word;
    private final String sentence;
    private final IntBinaryOperator source;

    Border(String word, String sentence, IntBinaryOperator source) {
        this.word = word;
        this.sentence = sentence;
        this.source = source;
    }

    @Override
    public String word() {
        return word;
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
     * @param index a row or column, also outside 0 … size − 1
     * @return the row or column of the image that stands there; −1 where none does
     */
    public int source(int index, int size) {
        return index >= 0 && index < size ? index : source == null ? -1 : source.applyAsInt(index, size);
    }

    /** @return the key {@code border} with this as its default */
    public ChoiceParameter parameter() {
        return parameter(values());
    }

    /** @return the key {@code border} of steps that only some borders make sense for, with this as its default */
    public ChoiceParameter parameter(Border... some) {
        ChoiceParameter.Choice[] choices = Arrays.stream(some)
                .sorted((a, b) -> Boolean.compare(b == this, a == this))
                .map(border -> new ChoiceParameter.Choice(border.word, border.sentence))
                .toArray(ChoiceParameter.Choice[]::new);
        return ChoiceParameter.of("border", "Border", choices);
    }

    /** @throws PixeronException if a value outside is given without the border that has one, or back */
    public static void requireOutside(Border border, boolean isGiven) {
        if ((border == CONSTANT) != isGiven) {
            throw PixeronException.of(isGiven ? "outside belongs to border=constant; leave it out."
                    : "border=constant needs outside=…, the value outside the image.");
        }
    }

    /** @return the border with this word */
    public static Border named(ChoiceParameter.Choice choice) {
        return Worded.find(values(), choice.word()).orElseThrow();
    }
}
