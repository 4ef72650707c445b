package pixeron.bench;

import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.DataBufferByte;
import java.util.Arrays;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
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

/**
 * Kernels of whole weights on 2048 × 2048 levels of 8 bits against four plain loops, which leave the edge out, and the JDK's
 * ConvolveOp, which counts in floats and leaves the edge out too. Every one of them makes a new image.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(value = 1, jvmArgsAppend = {"-Xmx2g", "-Xms2g"})
public class KernelBenchmark {

    private static final int SIZE = 2048;

    /** Weights that are no products of a column and a row, binomial weights, which are, and equal ones. */
    @Param({"mixed 3", "mixed 5", "mixed 15", "binomial 15", "box 3", "box 31"})
    private String weights;

    private int[][] kernel;
    private int divisor;
    private Step step;
    private Image image;
    private byte[] bytes;
    private BufferedImage picture;
    private ConvolveOp convolve;

    @Setup
    public void makeImages() {
        String[] words = weights.split(" ");
        int size = Integer.parseInt(words[1]);
        kernel = kernel(words[0], size);
        divisor = Arrays.stream(kernel).flatMapToInt(Arrays::stream).sum();
        step = StepLine.parse("kernel weights=\"" + Arrays.stream(kernel).map(row -> Arrays.stream(row)
                .mapToObj(String::valueOf).collect(Collectors.joining(" "))).collect(Collectors.joining(" | ")) + "\"");
        Random random = new Random(2048);
        bytes = new byte[SIZE * SIZE];
        random.nextBytes(bytes);
        image = Image.ofLevels(SIZE, SIZE, 255, n -> bytes[n] & 0xFF);
        picture = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_BYTE_GRAY);
        System.arraycopy(bytes, 0, ((DataBufferByte) picture.getRaster().getDataBuffer()).getData(), 0, bytes.length);
        float[] floats = new float[size * size];
        for (int n = 0; n < floats.length; n++) {
            floats[n] = (float) kernel[n / size][n % size] / divisor;
        }
        convolve = new ConvolveOp(new java.awt.image.Kernel(size, size, floats));
    }

    private static int[][] kernel(String kind, int size) {
        int[][] weights = new int[size][size];
        Random random = new Random(size);
        int[] pascal = new int[size];
        pascal[0] = 1;
        for (int k = 1; k < size; k++) {
            pascal[k] = (int) ((long) pascal[k - 1] * (size - k) / k);
        }
        for (int a = 0; a < size; a++) {
            for (int b = 0; b < size; b++) {
                weights[a][b] = switch (kind) {
                    case "box" -> 1;
                    // Small enough that every sum of the plain loops fits an int.
                    case "binomial" -> Math.min(pascal[a], 40) * Math.min(pascal[b], 40);
                    default -> 1 + random.nextInt(9);
                };
            }
        }
        return weights;
    }

    @Benchmark
    public Image pixeron() {
        return step.bind(image).result(Progress.NONE);
    }

    @Benchmark
    public byte[] plainLoops() {
        byte[] out = new byte[bytes.length];
        int half = kernel.length / 2;
        for (int i = half; i < SIZE - half; i++) {
            for (int j = half; j < SIZE - half; j++) {
                int sum = 0;
                for (int a = 0; a < kernel.length; a++) {
                    for (int b = 0; b < kernel.length; b++) {
                        sum += kernel[a][b] * (bytes[(i + a - half) * SIZE + j + b - half] & 0xFF);
                    }
                }
                out[i * SIZE + j] = (byte) Math.max(0, Math.min(255, (2 * sum + divisor) / (2 * divisor)));
            }
        }
        return out;
    }

    @Benchmark
    public Object jdkConvolveOp() {
        return convolve.filter(picture.getRaster(), null);
    }
}
