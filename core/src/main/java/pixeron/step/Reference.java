package pixeron.step;

import java.util.OptionalInt;
import java.util.function.IntUnaryOperator;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.step.key.ReferenceParameter;

/**
 * How a step names another result: {@code step:k} for that of step k of the same chain, the first being 1 and 0 the image; the name of
 * another image for the last result of its own steps; {@code NAME:k} for the result after its step k.
 */
public final class Reference {

    /** The image before, which is no name of another one. */
    public static final String SELF = "self";
    /** The maximum level, which is no name of an image either: a channel can be that number everywhere. */
    public static final String MAXIMUM = "M";
    /** The key {@code with} of steps that take two images. */
    public static final ReferenceParameter WITH = new ReferenceParameter("with", "Other image",
            "step:k (result of an earlier step k; step:0 is the image), the name of another image, or NAME:k (result of its step k)", true, false);

    private static final String STEP_WORD = "step";
    private static final String STEP = STEP_WORD + ":";
    private static final String NUMBER = "\\d{1,6}";
    private static final String NAME = "[A-Za-z][A-Za-z0-9_-]*";

    private Reference() {
    }

    /** Returns the number of the step that is meant; empty where it is no step. */
    public static OptionalInt step(String reference) {
        return reference.matches(STEP + NUMBER) ? OptionalInt.of(Integer.parseInt(reference.substring(STEP.length()))) : OptionalInt.empty();
    }

    /** Returns the reference to a step. */
    public static String toStep(int number) {
        return STEP + number;
    }

    /** Returns the reference where steps have other numbers. */
    public static String renumbered(String reference, IntUnaryOperator number) {
        OptionalInt step = step(reference);
        return step.isPresent() ? toStep(number.applyAsInt(step.getAsInt())) : reference;
    }

    /**
     * A result of another image.
     *
     * @param image its name
     * @param step the step after which it is meant, 0 being the image itself; empty for the last
     */
    public record OfOther(String image, OptionalInt step) {

        /** Returns this as a step writes it. */
        public String written() {
            return step.isPresent() ? image + ":" + step.getAsInt() : image;
        }
    }

    /** Returns what a reference names that is no step of its own chain; the name may be one that no image has. */
    public static OfOther other(String reference) {
        int colon = reference.lastIndexOf(':');
        return reference.matches(NAME + ":" + NUMBER)
                ? new OfOther(reference.substring(0, colon), OptionalInt.of(Integer.parseInt(reference.substring(colon + 1))))
                : new OfOther(reference, OptionalInt.empty());
    }

    /** Returns whether an image may be given this name: letters, digits, - and _, a letter first, not a word that means something else. */
    public static boolean isName(String text) {
        return isReadable(text) && !text.equals(MAXIMUM) && !text.equals(STEP_WORD);
    }

    /** Returns whether an image of a project may have this name: M and step were allowed once. */
    public static boolean isReadable(String text) {
        return text.matches(NAME) && !text.equals(SELF);
    }

    /**
     * Returns the name.
     *
     * @throws PixeronException if an image may not be given it
     */
    public static String requireName(String text) {
        if (!isName(text)) {
            throw PixeronException.of("“%s” is not a valid name for an image. Use letters, digits, - and _, with a letter first. The names self, "
                    + "M and step are reserved.", Decimals.shortened(text));
        }
        return text;
    }
}
