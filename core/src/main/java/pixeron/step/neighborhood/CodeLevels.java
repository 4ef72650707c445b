package pixeron.step.neighborhood;

import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.step.Finish;

/** The levels of codes, each kind the fastest way that it allows: by a product, looked up, or calculated where one first occurs. Several threads may ask. */
final class CodeLevels {

    /** A table may have so many codes for each pixel of the image: of a small image most codes of a long table would never be looked up. */
    private static final int TABLED_FOR_PIXEL = 16;
    /** Where there can be fewer different codes, the levels of all are calculated before. */
    private static final int MOST_TABLED = 1 << 18;

    private final Codes codes;
    private final Finish finish;
    private final Optional<LevelScale> scale;
    /** A level plus 1; 0 where it is not known yet. Threads that find the same one write the same number. Empty where there are too many codes. */
    private final int[] known;
    private final boolean isTabled;

    /**
     * @param finish one whose results are levels
     * @param count how many pixels are to be done
     */
    CodeLevels(Codes codes, Finish finish, int count) {
        this.codes = codes;
        this.finish = finish;
        this.scale = LevelScale.of(codes, finish);
        int different = codes.most() - codes.least() + 1;
        boolean isScaled = scale.isPresent();
        this.isTabled = !isScaled && different <= Math.min(MOST_TABLED, (long) TABLED_FOR_PIXEL * count);
        this.known = new int[!isScaled && different <= BulkResult.MOST_KEPT ? different : 0];
        if (isTabled) {
            IntStream all = IntStream.range(0, different);
            (different < BulkResult.WORTH_ALL_CORES ? all : all.parallel()).forEach(n -> known[n] = codes.level(codes.least() + n, finish));
        }
    }

    /** @param levels get the level of each code */
    void of(int[] found, int[] levels) {
        if (scale.isPresent()) {
            scale.get().apply(found, levels);
            if (scale.get().hasDoubts()) {
                sure(found, levels);
            }
        } else if (isTabled) {
            lookUp(known, found, codes.least(), levels);
        } else if (known.length > 0) {
            lookUpKnown(found, levels);
        } else {
            for (int j = 0; j < levels.length; j++) {
                levels[j] = codes.level(found[j], finish);
            }
        }
    }

    private void sure(int[] found, int[] levels) {
        for (int j = 0; j < levels.length; j++) {
            if (levels[j] < 0) {
                levels[j] = codes.level(found[j], finish);
            }
        }
    }

    private static void lookUp(int[] table, int[] found, int least, int[] levels) {
        for (int j = 0; j < levels.length; j++) {
            levels[j] = table[found[j] - least];
        }
    }

    private void lookUpKnown(int[] found, int[] levels) {
        int least = codes.least();
        for (int j = 0; j < levels.length; j++) {
            int level = known[found[j] - least];
            if (level == 0) {
                level = codes.level(found[j], finish) + 1;
                known[found[j] - least] = level;
            }
            levels[j] = level - 1;
        }
    }
}
