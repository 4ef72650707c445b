package pixeron.bench;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.RescaleOp;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import pixeron.image.Image;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/**
 * Steps on 4096 × 4096 levels of 8 and 16 bits, each making a new image: a table-driven step and equalization, against a
 * plain loop that counts and maps, the JDK's RescaleOp and a copy of the memory.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(value = 1, jvmArgsAppend = {"-Xmx6g", "-Xms6g"})
public class LevelStepsBenchmark {

    private static final int SIZE = 4096;

    private final Step linear = StepLine.parse("linear gain=1.15 bias=-15");
    private final Step equalize = StepLine.parse("equalize");
    private Image image8;
    private Image image16;
    private byte[] bytes;
    private short[] shorts;
    private BufferedImage picture8;
    private BufferedImage picture16;

    @Setup
    public void makeImages() {
        Random random = new Random(4096);
        bytes = new byte[SIZE * SIZE];
        random.nextBytes(bytes);
        shorts = new short[SIZE * SIZE];
        for (int n = 0; n < shorts.length; n++) {
            shorts[n] = (short) random.nextInt(65536);
        }
        image8 = Image.ofLevels(SIZE, SIZE, 255, n -> bytes[n] & 0xFF);
        image16 = Image.ofLevels(SIZE, SIZE, 65535, n -> shorts[n] & 0xFFFF);
        picture8 = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_BYTE_GRAY);
        System.arraycopy(bytes, 0, ((DataBufferByte) picture8.getRaster().getDataBuffer()).getData(), 0, bytes.length);
        picture16 = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_USHORT_GRAY);
        System.arraycopy(shorts, 0, ((DataBufferUShort) picture16.getRaster().getDataBuffer()).getData(), 0,
                shorts.length);
    }

    @Benchmark
    public Image pixeronLinear8() {
        return linear.bind(image8).result(Progress.NONE);
    }

    @Benchmark
    public Image pixeronLinear16() {
        return linear.bind(image16).result(Progress.NONE);
    }

    @Benchmark
    public Image pixeronEqualize8() {
        return equalize.bind(image8).result(Progress.NONE);
    }

    @Benchmark
    public Image pixeronEqualize16() {
        return equalize.bind(image16).result(Progress.NONE);
    }

    @Benchmark
    public byte[] loopEqualize8() {
        int[] table = new int[256];
        for (byte sample : bytes) {
            table[sample & 0xFF]++;
        }
        spread(table);
        byte[] out = new byte[bytes.length];
        for (int n = 0; n < bytes.length; n++) {
            out[n] = (byte) table[bytes[n] & 0xFF];
        }
        return out;
    }

    @Benchmark
    public short[] loopEqualize16() {
        int[] table = new int[65536];
        for (short sample : shorts) {
            table[sample & 0xFFFF]++;
        }
        spread(table);
        short[] out = new short[shorts.length];
        for (int n = 0; n < shorts.length; n++) {
            out[n] = (short) table[shorts[n] & 0xFFFF];
        }
        return out;
    }

    private static void spread(int... table) {
        long running = 0;
        long pixels = (long) SIZE * SIZE;
        for (int level = 0; level < table.length; level++) {
            running += table[level];
            table[level] = (int) ((2 * (table.length - 1) * running + pixels) / (2 * pixels));
        }
    }

    @Benchmark
    public Object jdkRescaleOp8() {
        return new RescaleOp(1.15f, -15, null).filter(picture8.getRaster(), null);
    }

    @Benchmark
    public Object jdkRescaleOp16() {
        return new RescaleOp(1.15f, -15, null).filter(picture16.getRaster(), null);
    }

    @Benchmark
    public byte[] memoryCopy8() {
        return bytes.clone();
    }

    @Benchmark
    public short[] memoryCopy16() {
        return shorts.clone();
    }
}
