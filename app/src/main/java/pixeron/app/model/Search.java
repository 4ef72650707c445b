package pixeron.app.model;

import pixeron.look.Condition;
import pixeron.look.PixelSet;
import pixeron.step.Progress;

/** Which pixels are to be lit on all sheets. */
public sealed interface Search {

    /**
     * All pixels of some levels, such as a bar of the histogram represents.
     *
     * @param isAfter whether After is searched, else Before
     * @param low lowest level
     * @param high highest level
     */
    record Levels(boolean isAfter, int low, int high) implements Search {
        @Override
        public PixelSet in(Described described, Progress progress) {
            return PixelSet.ofLevels(described.image(), low, high);
        }

        @Override
        public String words() {
            return (low == high ? "level " + low : "levels " + low + "–" + high) + (isAfter ? " after" : " before");
        }
    }

    /**
     * All pixels that meet a condition.
     *
     * @param isAfter whether After is searched, else Before
     * @param condition such as r &lt; 5
     */
    record Where(boolean isAfter, Condition condition) implements Search {
        @Override
        public PixelSet in(Described described, Progress progress) {
            return condition.find(described.image(), described.facts(), progress);
        }

        @Override
        public String words() {
            return condition + (isAfter ? " after" : " before");
        }
    }

    boolean isAfter();

    /**
     * Finds pixels.
     *
     * @param described the image that is searched
     * @throws pixeron.PixeronException if a condition has no value at some pixel
     */
    PixelSet in(Described described, Progress progress);

    /** Returns what is lit, in a few words. */
    String words();
}
