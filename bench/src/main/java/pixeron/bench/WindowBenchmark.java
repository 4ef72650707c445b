package pixeron.bench;

import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import pixeron.image.Image;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** Ranks, gradients and local thresholds on 2048 × 2048 random levels of 8 bits, in one run with the kernel and the boxes they are held against. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(value = 2, jvmArgsAppend = {"-Xmx2g", "-Xms2g"})
public class WindowBenchmark {

    private static final int SIZE = 2048;

    @Param({"kernel weights=\"1 2 3 | 2 9 2 | 1 2 1\"", "box size=3", "box size=15", "median size=3", "median size=5", "median size=9", "median size=31", "rank size=9 place=10",
            "maximum size=3", "maximum size=9", "maximum size=15", "maximum size=31", "sobel part=sum", "sobel part=root", "sobel part=angle",
            "threshold-local size=3", "threshold-local size=15"})
    private String line;

    private Step step;
    private Image image;

    @Setup
    public void makeImage() {
        step = StepLine.parse(line);
        Random random = new Random(2048);
        image = Image.ofLevels(SIZE, SIZE, 255, n -> random.nextInt(256));
    }

    @Benchmark
    public Image pixeron() {
        return step.bind(image).result(Progress.NONE);
    }
}
