package pixeron.step;

import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.format.ReadOptions;
import pixeron.image.ColorImage;
import pixeron.image.Components;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;

/**
 * What a step is applied to.
 *
 * @param before the result in front of it
 * @param others gives another result by its reference: {@code step:2}; throws a PixeronException where there is none
 * @param mostPixels more than these a result must not have
 * @param face which face of the result is asked for, where it has several
 */
public record Inputs(Result before, Function<String, Result> others, long mostPixels, String face) {

    /** As many pixels as are made where nobody says otherwise. */
    public static final long MOST_PIXELS = ReadOptions.DEFAULT_PIXEL_LIMIT;

    /** As a whole. */
    public Inputs(Result before, Function<String, Result> others, long mostPixels) {
        this(before, others, mostPixels, Image.VALUE);
    }

    /** With the usual limit of pixels. */
    public Inputs(Result before, Function<String, Result> others) {
        this(before, others, MOST_PIXELS);
    }

    /** A step alone, which is the first one: nothing to refer to but the image before it, step:0. */
    public Inputs(Result before) {
        this(before, reference -> {
            if (reference.equals(Reference.toStep(0))) {
                return before;
            }
            throw PixeronException.of("%s: there are no other results to use here.", reference);
        });
    }

    /**
     * Returns what is before, which is an image.
     *
     * @param type the kind of step that asks
     * @throws PixeronException if it is of another kind
     */
    public Image image(StepType type) {
        if (before instanceof Image image) {
            return image;
        }
        throw PixeronException.of("%s needs an image, but its input is %s%s.", type.name(), before.kind(),
                before instanceof Components ? ". Add a gray step before it" : before instanceof Spectrum ? ". Add an inverse Fourier transform (fourier-inverse) before it" : "");
    }

    /**
     * Returns what is before, which is a spectrum.
     *
     * @param type the kind of step that asks
     * @throws PixeronException if it is of another kind
     */
    public Spectrum spectrum(StepType type) {
        if (before instanceof Spectrum spectrum) {
            return spectrum;
        }
        throw PixeronException.of("%s needs a spectrum. Add a Fourier transform before it.", type.name(), before.kind());
    }

    /**
     * Returns that, which is an image.
     *
     * @param type the kind of step that asks
     * @param reference names another result
     * @throws PixeronException if there is none, or it is of another kind
     */
    public Image other(StepType type, String reference) {
        Result found = others.apply(reference);
        if (found instanceof Image image) {
            return image;
        }
        throw PixeronException.of("%s with=%s needs an image, but %s is %s%s.", type.name(), reference, reference,
                found.kind(), found instanceof Components ? ". Add a gray step before it" : "");
    }

    /** Returns the same others, with another result in front of the step. */
    public Inputs on(Result other) {
        return new Inputs(other, others, mostPixels, face);
    }

    /** Returns the same, where a face of the result is asked for. */
    public Inputs asking(String otherFace) {
        return new Inputs(before, others, mostPixels, otherFace);
    }

    /**
     * Returns what is before, which is a color image.
     *
     * @param type the kind of step that asks
     * @throws PixeronException if it is of another kind
     */
    public ColorImage color(StepType type) {
        if (before instanceof ColorImage color) {
            return color;
        }
        throw PixeronException.of("%s needs a color image, but its input is %s.", type.name(), before.kind());
    }
}
