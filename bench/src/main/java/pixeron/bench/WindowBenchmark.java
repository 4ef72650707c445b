package pixeron.bench;

import java.util.Arrays;
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

/** Medians and gradients on 2048 × 2048 levels of 8 bits against plain loops, which leave the edge out. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(value = 1, jvmArgsAppend = {"-Xmx2g", "-Xms2g"})
public class WindowBenchmark {

    private static final int SIZE = 2048;

    @Param({"median size=3", "median size=9", "sobel part=sum"})
    private String line;

    private Step step;
    private int size;
    private Image image;
    private byte[] bytes;

    @Setup
    public void makeImages() {
        step = StepLine.parse(line);
        size = line.startsWith("median") ? Integer.parseInt(line.substring("median size=".length())) : 0;
        Random random = new Random(2048);
        bytes = new byte[SIZE * SIZE];
        random.nextBytes(bytes);
        image = Image.ofLevels(SIZE, SIZE, 255, n -> bytes[n] & 0xFF);
    }

    @Benchmark
    public Image pixeron() {
        return step.bind(image).result(Progress.NONE);
    }

    @Benchmark
    public byte[] plainLoops() {
        return size == 0 ? gradient() : median();
    }

    private byte[] median() {
        byte[] out = new byte[bytes.length];
        int half = size / 2;
        int[] window = new int[size * size];
        for (int i = half; i < SIZE - half; i++) {
            for (int j = half; j < SIZE - half; j++) {
                int n = 0;
                for (int a = -half; a <= half; a++) {
                    for (int b = -half; b <= half; b++) {
                        window[n++] = bytes[(i + a) * SIZE + j + b] & 0xFF;
                    }
                }
                Arrays.sort(window);
                out[i * SIZE + j] = (byte) window[n / 2];
            }
        }
        return out;
    }

    private byte[] gradient() {
        int[][] x = {{-1, 0, 1}, {-2, 0, 2}, {-1, 0, 1}};
        int[][] y = {{-1, -2, -1}, {0, 0, 0}, {1, 2, 1}};
        byte[] out = new byte[bytes.length];
        for (int i = 1; i < SIZE - 1; i++) {
            for (int j = 1; j < SIZE - 1; j++) {
                int gx = 0;
                int gy = 0;
                for (int a = 0; a < 3; a++) {
                    for (int b = 0; b < 3; b++) {
                        int level = bytes[(i + a - 1) * SIZE + j + b - 1] & 0xFF;
                        gx += x[a][b] * level;
                        gy += y[a][b] * level;
                    }
                }
                out[i * SIZE + j] = (byte) Math.min(255, Math.abs(gx) + Math.abs(gy));
            }
        }
        return out;
    }
}
