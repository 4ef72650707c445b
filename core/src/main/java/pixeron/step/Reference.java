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
    /** The maximum level, which is no name of an image either: a channel can be that number everywhere. */
    public static final String MAXIMUM = "M";
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

    /** @return whether an image may be given this name: letters, digits, - and _, a letter first, not a word that means something else */
    public static boolean isName(String text) {
        return isReadable(text) && !text.equals(MAXIMUM);
    }

    /** @return whether an image of a project may have this name: M was allowed once */
    public static boolean isReadable(String text) {
        return text.matches(NAME) && !text.equals(SELF);
    }

    /**
     * @return the name
     * @throws PixeronException if an image may not be given it
     */
    public static String requireName(String text) {
        if (!isName(text)) {
            throw PixeronException.of("“%s” is not a valid name for an image. Use letters, digits, - and _, with a letter first. The names self and "
                    + "M have a meaning of their own.", Decimals.shortened(text));
        }
        return text;
    }
}
