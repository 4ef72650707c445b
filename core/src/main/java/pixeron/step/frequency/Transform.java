package pixeron.step.frequency;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.jtransforms.fft.DoubleFFT_1D;
import org.visnow.jlargearrays.ConcurrencyUtils;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.image.Image;
import pixeron.image.Spectrum;
import pixeron.step.Progress;

/**
 * The discrete Fourier transform of an image and back: along every row, then along every column, by the fast transforms of a library.
 * Samples are real, so half of the columns is enough, and the rows are worked on as real numbers.
 *
 * <p>Where both sides are 1, 2 or 4 the factors are 0, ±1 and ±i, and rational samples are summed up exactly.
 *
 * <p>Cost: H · W · log(H · W), rows and columns on all cores; 8 bytes a pixel.
 */
final class Transform {

    /** So many columns are worked on together: what is read of a row is used at once. */
    private static final int TOGETHER = 8;
    private static final List<Integer> EXACT_SIDES = List.of(1, 2, 4);

    static {
        // Rows and columns are on all cores already.
        ConcurrencyUtils.setNumberOfThreads(1);
    }

    private Transform() {
    }

    /** Returns the spectrum of an image. */
    static Spectrum of(Image image, Progress progress) {
        Frame frame = image.frame();
        return new Spectrum(frame, isExact(image) ? exactly(image) : fast(image, progress), image.reach());
    }

    private static boolean isExact(Image image) {
        return EXACT_SIDES.contains(image.rows()) && EXACT_SIDES.contains(image.columns()) && image.isExact();
    }

    /** By the definition, in fractions. */
    private static double[] exactly(Image image) {
        Frame frame = image.frame();
        int width = Spectrum.kept(frame.columns());
        double[] halves = new double[2 * frame.rows() * width];
        for (int n = 0; n < frame.rows() * width; n++) {
            Complex sum = Sum.of(image, new Frequency(n / width, n % width));
            halves[2 * n] = sum.real().asDouble();
            halves[2 * n + 1] = sum.imaginary().asDouble();
        }
        return halves;
    }

    private static double[] fast(Image image, Progress progress) {
        int rows = image.rows();
        int columns = image.columns();
        int width = Spectrum.kept(columns);
        double[] halves = new double[2 * rows * width];
        DoubleFFT_1D along = new DoubleFFT_1D(columns);
        IntStream.range(0, rows).parallel().forEach(row -> {
            progress.report(row / (2.0 * rows));
            double[] line = new double[columns];
            read(image, row, line);
            along.realForward(line);
            unpack(line, halves, 2 * row * width);
        });
        columns(halves, rows, width, false, part -> progress.isWanted((1 + part) / 2));
        return halves;
    }

    private static void read(Image image, int row, double[] line) {
        if (image.isLevelImage()) {
            int[] levels = new int[line.length];
            image.levels(row, levels, 0);
            Arrays.setAll(line, column -> levels[column]);
        } else {
            Arrays.setAll(line, column -> image.asDouble(row * line.length + column));
        }
    }

    /** What would stand last the library keeps in the place behind the first number, whose imaginary part is nothing. */
    private static void unpack(double[] line, double[] halves, int at) {
        int columns = line.length;
        halves[at] = line[0];
        if (columns > 1) {
            System.arraycopy(line, 2, halves, at + 2, columns - 2);
            halves[at + columns] = line[1];
        }
    }

    private static void pack(double[] halves, int at, double[] line) {
        int columns = line.length;
        line[0] = halves[at];
        if (columns > 1) {
            System.arraycopy(halves, at + 2, line, 2, columns - 2);
            line[1] = halves[at + columns];
        }
    }

    private static void columns(double[] halves, int rows, int width, boolean isBack, Progress progress) {
        DoubleFFT_1D along = new DoubleFFT_1D(rows);
        int groups = (width + TOGETHER - 1) / TOGETHER;
        IntStream.range(0, rows == 1 ? 0 : groups).parallel().forEach(group -> {
            progress.report((double) group / groups);
            int first = group * TOGETHER;
            int count = Math.min(TOGETHER, width - first);
            double[][] lines = new double[count][2 * rows];
            for (int row = 0; row < rows; row++) {
                int at = 2 * (row * width + first);
                for (int n = 0; n < count; n++) {
                    lines[n][2 * row] = halves[at + 2 * n];
                    lines[n][2 * row + 1] = halves[at + 2 * n + 1];
                }
            }
            for (double[] line : lines) {
                if (isBack) {
                    along.complexInverse(line, true);
                } else {
                    along.complexForward(line);
                }
            }
            for (int row = 0; row < rows; row++) {
                int at = 2 * (row * width + first);
                for (int n = 0; n < count; n++) {
                    halves[at + 2 * n] = lines[n][2 * row];
                    halves[at + 2 * n + 1] = lines[n][2 * row + 1];
                }
            }
        });
    }

    /** Returns the samples that a spectrum is of, row by row; the imaginary parts, which are nothing, are left out. */
    static double[] back(Spectrum spectrum, Progress progress) {
        Frame frame = spectrum.frame();
        int width = Spectrum.kept(frame.columns());
        double[] halves = spectrum.halves();
        columns(halves, frame.rows(), width, true, part -> progress.isWanted(part / 2));
        double[] samples = new double[frame.count()];
        DoubleFFT_1D along = new DoubleFFT_1D(frame.columns());
        IntStream.range(0, frame.rows()).parallel().forEach(row -> {
            progress.report((1 + (double) row / frame.rows()) / 2);
            double[] line = new double[frame.columns()];
            pack(halves, 2 * row * width, line);
            along.realInverse(line, true);
            System.arraycopy(line, 0, samples, row * line.length, line.length);
        });
        return samples;
    }
}
