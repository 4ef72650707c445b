package pixeron.step.gray;

import pixeron.image.ColourImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.Finish;
import pixeron.working.LoopWriter;
import pixeron.working.Working;

/**
 * A colour picture with the rule by which gray is made of it: what stands in front of the first step of a chain. The
 * rule can be changed later, and its values can be checked by hand like those of a step.
 *
 * @param picture the channels
 * @param rule how gray is made of them
 * @param transparency what becomes of transparent pixels
 */
public record GraySource(ColourImage picture, GrayRule rule, Transparency transparency) implements Explained {

    /** @return the gray image */
    public Image image() {
        return rule.apply(picture, transparency);
    }

    /** @return this with another rule */
    public GraySource with(GrayRule other) {
        return new GraySource(picture, other, transparency);
    }

    /** @return this with another way to deal with transparent pixels */
    public GraySource with(Transparency other) {
        return new GraySource(picture, rule, other);
    }

    @Override
    public Frame frame() {
        return picture.frame();
    }

    @Override
    public Value exact(Pixel pixel) {
        return explain(pixel).exact();
    }

    @Override
    public Value value(Pixel pixel) {
        return explain(pixel).result();
    }

    @Override
    public Working explain(Pixel pixel) {
        return rule.explain(picture, transparency, pixel);
    }

    @Override
    public void follow(Pixel pixel, LoopWriter out) {
        rule.follow(picture, transparency, pixel, out);
        new Finish(Rounding.NEAREST, Overflow.CLIP, picture.maximumLevel()).follow(out, exact(pixel));
    }
}
