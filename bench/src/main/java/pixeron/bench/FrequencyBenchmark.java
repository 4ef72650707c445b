package pixeron.bench;

import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.jtransforms.fft.DoubleFFT_2D;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.visnow.jlargearrays.ConcurrencyUtils;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;

/**
 * An image to its spectrum and back, against the library's own two calls on a complex array of the same numbers; a pass filter whose radius
 * changes, with the way back to an image.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(value = 1, jvmArgsAppend = {"-Xmx6g", "-Xms6g"})
public class FrequencyBenchmark {

    private final Step fourier = StepLine.parse("fourier");
    private final Step inverse = StepLine.parse("fourier-inverse");

    @Param({"512x512", "1024x1024", "1000x777", "4096x4096"})
    private String size;

    private Image image;
    private double[] complex;
    private DoubleFFT_2D library;
    private Spectrum spectrum;
    private int radius;

    @Setup(Level.Trial)
    public void makeImage() {
        int rows = Integer.parseInt(size.substring(0, size.indexOf('x')));
        int columns = Integer.parseInt(size.substring(size.indexOf('x') + 1));
        Random random = new Random(16);
        image = Image.ofLevels(rows, columns, 255, n -> random.nextInt(256));
        complex = new double[2 * rows * columns];
        for (int n = 0; n < image.count(); n++) {
            complex[2 * n] = image.level(n);
        }
        library = new DoubleFFT_2D(rows, columns);
        spectrum = (Spectrum) done(fourier, image);
        // The transform of one row needs one thread; the library's own calls shall have all there are.
        ConcurrencyUtils.setNumberOfThreads(Runtime.getRuntime().availableProcessors());
    }

    private static Result done(Step step, Result before) {
        return Binding.of(step, before).result(Progress.NONE);
    }

    @Benchmark
    public Result pixeronThereAndBack() {
        return done(inverse, done(fourier, image));
    }

    /** In place, on an array that is there already. */
    @Benchmark
    public double[] libraryThereAndBack() {
        library.complexForward(complex);
        library.complexInverse(complex, true);
        return complex;
    }

    @Benchmark
    public Result pixeronRadiusAndBack() {
        radius = radius % 200 + 1;
        return done(inverse, done(StepLine.parse("frequency-filter keep=low radius=" + radius), spectrum));
    }
}
