package pixeron.step.point;

import pixeron.step.pointwise.PointStep;

/**
 * {@code invert}: M − r.
 *
 * <p>Domain: r any value, M the maximum level before. Source: The negative, docs/definitions/point-steps.md.
 */
public final class Invert extends PointStep {

    public Invert() {
        super("invert", "Negative", "Makes the negative: every level is subtracted from the maximum level M.", "M - r");
    }
}
