package pixeron.step;

import java.util.EnumSet;
import java.util.Set;

/** A key that many kinds of steps have in common. */
public enum Common {
    ROUNDING,
    OVERFLOW,
    AREA,
    CHANNELS;

    /** Steps that calculate values, and can do so on a part of the image. */
    public static final Set<Common> ALL = Set.copyOf(EnumSet.allOf(Common.class));
    /** Steps that only move values. */
    public static final Set<Common> NONE = Set.of();
}
