package pixeron.format;

import java.nio.file.Path;
import pixeron.PixeronException;
import pixeron.image.Comparison;
import pixeron.image.Result;
import pixeron.number.Decimals;

/** Says what a lossy format did: the file is read back and compared with what was written. */
public final class LossyNote {

    private LossyNote() {
    }

    /**
     * Returns how many values changed, and by how much at most.
     *
     * @param file just written
     * @param written what was to be in it
     * @throws PixeronException if the file cannot be read back
     */
    public static String of(Path file, Result written) {
        Comparison comparison = Comparison.of(written, ImageFiles.read(file, ReadOptions.DEFAULT).result());
        if (!ImageFiles.isLossy(file)) {
            return String.format("%s stores 32-bit numbers: %d of %d values were rounded, by at most %s. CSV keeps all values.", file.getFileName(),
                    comparison.differ(), comparison.agree() + comparison.differ(), Decimals.table(comparison.maxAbsolute()));
        }
        return String.format("%s is a lossy format: %d of %d values changed, by at most %s. "
                + "PNG, PGM and CSV keep all values.", file.getFileName(), comparison.differ(),
                comparison.agree() + comparison.differ(), Decimals.table(comparison.maxAbsolute()));
    }
}
