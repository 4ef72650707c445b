package pixeron.format;

import java.nio.file.Path;
import java.util.List;
import pixeron.PixeronException;
import pixeron.image.Comparison;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/** Says what a lossy format did: the file is read back and compared with what was written. */
public final class LossyNote {

    private LossyNote() {
    }

    /**
     * @param file just written
     * @param written what was to be in it
     * @return how many values changed, and by how much at most
     * @throws PixeronException if the file cannot be read back
     */
    public static String of(Path file, Result written) {
        List<Result.Face> before = written.faces();
        List<Result.Face> after = ImageFiles.read(file, ReadOptions.DEFAULT).result().faces();
        int differ = 0;
        int all = 0;
        Value most = Rational.ZERO;
        for (int n = 0; n < before.size(); n++) {
            // Colours that are all gray may come back as one channel.
            Comparison comparison = Comparison.of(before.get(n).image(), after.get(Math.min(n, after.size() - 1)).image());
            differ += comparison.differ();
            all += before.get(n).image().count();
            most = comparison.maxAbsolute().compareValue(most) > 0 ? comparison.maxAbsolute() : most;
        }
        return String.format("%s is a lossy format: %d of %d values are not what they were, by at most %s. "
                + "PNG, PGM and CSV keep all values.", file.getFileName(), differ, all,
                Decimals.table(most));
    }
}
