package pixeron.step;

import java.util.OptionalInt;
import java.util.function.IntUnaryOperator;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.step.key.ReferenceParameter;

/**
 * How a step names another result: {@code step:k} for that of step k of the same chain, the first being 1 and 0 the image, or
 * the name of another image.
 */
public final class Reference {

    /** The image before, which is no name of another one. */
    public static final String SELF = "self";
    /** The key {@code with} of steps that take two images. */
    public static final ReferenceParameter WITH = new ReferenceParameter("with", "Other image",
            "step:k for the result of step k before this one (step:0 is the image), or the name of another image", true, false);

    private static final String STEP = "step:";
    private static final String STEP_NUMBER = STEP + "\\d{1,6}";
    private static final String NAME = "[A-Za-z][A-Za-z0-9_-]*";

    private Reference() {
    }

    /** @return the number of the step that is meant; empty where it is no step */
    public static OptionalInt step(String reference) {
        return reference.matches(STEP_NUMBER) ? OptionalInt.of(Integer.parseInt(reference.substring(STEP.length()))) : OptionalInt.empty();
    }

    /** @return the reference to a step */
    public static String toStep(int number) {
        return STEP + number;
    }

    /** @return the reference where steps have other numbers */
    public static String renumbered(String reference, IntUnaryOperator number) {
        OptionalInt step = step(reference);
        return step.isPresent() ? toStep(number.applyAsInt(step.getAsInt())) : reference;
    }

    /** @return whether it may be the name of an image: letters, digits, - and _, a letter first, not self */
    public static boolean isName(String text) {
        return text.matches(NAME) && !text.equals(SELF);
    }

    /**
     * @return the name
     * @throws PixeronException if it is none
     */
    public static String requireName(String text) {
        if (!isName(text)) {
            throw PixeronException.of("\"%s\" is no name for an image; a name has letters, digits, - and _, begins with a letter, and is "
                    + "not self.", Decimals.shortened(text));
        }
        return text;
    }
}
