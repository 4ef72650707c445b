package pixeron.step.lowrank;

import java.lang.ref.SoftReference;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.SingularOps_DDRM;
import org.ejml.dense.row.factory.DecompositionFactory_DDRM;
import org.ejml.interfaces.decomposition.SingularValueDecomposition_F64;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.step.Progress;

/**
 * An image as Σ σₘ · uₘ · vₘᵀ with falling σ. The entry of largest size of each u is positive, so that the vectors are the same on every
 * machine where the values are apart.
 *
 * <p>Cost: one decomposition of the matrix, as of min(H, W)² · max(H, W) products; the last one is kept, because who changes how many
 * values are kept asks for the same again.
 */
final class SingularValues {

    /** Below this part of the largest one a value is 0. */
    static final double NOTHING = 1e-12;
    /** Entries of a unit vector that differ by less are of the same size. */
    static final double SAME = 1e-9;

    /** Larger ones can take more than a moment. */
    private static final int MOST_AT_ONCE = 1 << 14;
    private static final int LOOK_EVERY = 50;

    private static SoftReference<SingularValues> last = new SoftReference<>(null);

    private final Image image;
    private final double[] sigma;
    /** For each value the column of its pattern; without one where the value is 0. */
    private final double[][] columns;
    private final double[][] rows;
    private final double largest;
    private PowerIteration power;

    private SingularValues(Image image, double[] sigma, double[][] columns, double[][] rows, double largest) {
        this.image = image;
        this.sigma = sigma;
        this.columns = columns;
        this.rows = rows;
        this.largest = largest;
    }

    static SingularValues of(Image image) {
        return of(image, Progress.NONE);
    }

    /** @throws java.util.concurrent.CancellationException when progress says they are no longer wanted */
    static synchronized SingularValues of(Image image, Progress progress) {
        SingularValues known = last.get();
        if (known == null || known.image != image) {
            known = image.count() > MOST_AT_ONCE ? watched(image, progress) : decomposed(image);
            last = new SoftReference<>(known);
        }
        return known;
    }

    /** The library cannot be stopped; whoever does not want to wait any longer leaves it alone with its work. */
    private static SingularValues watched(Image image, Progress progress) {
        CompletableFuture<SingularValues> made = new CompletableFuture<>();
        Thread thread = new Thread(() -> {
            try {
                made.complete(decomposed(image));
            } catch (RuntimeException | OutOfMemoryError trouble) {
                made.completeExceptionally(trouble);
            }
        }, "singular values");
        thread.setDaemon(true);
        thread.start();
        while (true) {
            // How far it is nobody knows.
            progress.report(0);
            try {
                return made.get(LOOK_EVERY, TimeUnit.MILLISECONDS);
            } catch (TimeoutException notYet) {
                // Asked again whether it is still wanted.
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                throw new CancellationException();
            } catch (ExecutionException trouble) {
                throw PixeronException.because(trouble, "The singular values of this image could not be found: %s.", trouble.getCause().getMessage());
            }
        }
    }

    private static SingularValues decomposed(Image image) {
        DMatrixRMaj matrix = new DMatrixRMaj(image.rows(), image.columns());
        for (int n = 0; n < image.count(); n++) {
            matrix.data[n] = image.asDouble(n);
        }
        SingularValueDecomposition_F64<DMatrixRMaj> made = DecompositionFactory_DDRM.svd(image.rows(), image.columns(), true, true, true);
        if (!made.decompose(matrix)) {
            throw PixeronException.of("The singular values of this image could not be found.");
        }
        DMatrixRMaj u = made.getU(null, false);
        DMatrixRMaj v = made.getV(null, false);
        double[] values = made.getSingularValues();
        int count = Math.min(image.rows(), image.columns());
        SingularOps_DDRM.descendingOrder(u, false, values, count, v, false);
        double[] sigma = new double[count];
        double[][] columns = new double[count][];
        double[][] rows = new double[count][];
        for (int m = 0; m < count && values[m] > NOTHING * values[0]; m++) {
            sigma[m] = values[m];
            columns[m] = column(u, m);
            rows[m] = column(v, m);
            if (columns[m][largest(columns[m])] < 0) {
                negate(columns[m]);
                negate(rows[m]);
            }
        }
        return new SingularValues(image, sigma, columns, rows, image.reach());
    }

    private static double[] column(DMatrixRMaj matrix, int at) {
        double[] column = new double[matrix.numRows];
        for (int n = 0; n < column.length; n++) {
            column[n] = matrix.get(n, at);
        }
        return column;
    }

    private static int largest(double... entries) {
        double most = 0;
        for (double entry : entries) {
            most = Math.max(most, Math.abs(entry));
        }
        int at = 0;
        while (Math.abs(entries[at]) < most - SAME) {
            at++;
        }
        return at;
    }

    private static void negate(double... entries) {
        for (int n = 0; n < entries.length; n++) {
            entries[n] = -entries[n];
        }
    }

    /** Returns the larger one of M and the largest sample in size, by which doubles are taken for what they are next to. */
    double largest() {
        return largest;
    }

    /** Returns the same values found in rounds; gone through once for the image, however many are kept. */
    synchronized PowerIteration power() {
        if (power == null) {
            power = PowerIteration.of(image, this);
        }
        return power;
    }

    /** Returns how many values there are, min(H, W). */
    int count() {
        return sigma.length;
    }

    /** Returns how many of them are above 0. */
    int rank() {
        int rank = 0;
        while (rank < sigma.length && sigma[rank] > 0) {
            rank++;
        }
        return rank;
    }

    /** @param m from 0 */
    double sigma(int m) {
        return sigma[m];
    }

    /** Returns the mean squared error where the first values are kept, one value, two and so on: Σ of the σ² left out over the pixels. */
    double[] errors() {
        double[] errors = new double[sigma.length];
        for (int m = errors.length - 1; m > 0; m--) {
            errors[m - 1] = errors[m] + sigma[m] * sigma[m] / image.count();
        }
        return errors;
    }

    /** Returns how many numbers the first k values are with their columns and rows: k·(H + W + 1). */
    long numbers(int k) {
        return k * (image.rows() + image.columns() + 1L);
    }

    /** Returns uₘ at a row of the image, for a value above 0. */
    double u(int m, int row) {
        return columns[m][row];
    }

    /** Returns vₘ at a column of the image, for a value above 0. */
    double v(int m, int column) {
        return rows[m][column];
    }

    /** Returns vₘ. */
    double[] v(int m) {
        return rows[m];
    }

    /** Returns Σσ, or Σσ². */
    double sum(boolean isOfSquares) {
        double sum = 0;
        for (double value : sigma) {
            sum += isOfSquares ? value * value : value;
        }
        return sum;
    }

    /**
     * Returns the smallest number of values whose cumulative share reaches a percentage; 1 where all are 0.
     *
     * @param isMore whether the share must be above the percentage, which is a slip
     */
    int reaching(double percent, boolean isOfSquares, boolean isMore) {
        double sum = sum(isOfSquares);
        double running = 0;
        for (int m = 0; m < sigma.length && sum > 0; m++) {
            running += isOfSquares ? sigma[m] * sigma[m] : sigma[m];
            double reached = 100 * running / sum;
            if (isMore ? reached > percent + SAME : reached >= percent - SAME) {
                return m + 1;
            }
        }
        return sum > 0 ? sigma.length : 1;
    }

    /** Returns whether the sum of the first k patterns is determined: the next value is another one, or 0. */
    boolean isDetermined(int k) {
        return k >= sigma.length || sigma[k] == 0 || sigma[k - 1] - sigma[k] > SAME * sigma[0];
    }
}
