package pixeron.bench;

import java.awt.image.BufferedImage;
import java.awt.image.ByteLookupTable;
import java.awt.image.DataBufferByte;
import java.awt.image.LookupOp;
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
 * A point step on 4096 × 4096 levels of 8 bits, from the formula to the new image, against a plain loop over a table,
 * the JDK's LookupOp and a copy of the memory. Every one of them makes a new image.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 8, time = 1)
@Fork(value = 1, jvmArgsAppend = {"-Xmx4g", "-Xms4g"})
public class PointStepBenchmark {

    private static final int SIZE = 4096;

    private final Step step = StepLine.parse("linear gain=3.75 bias=-360");
    private Image image;
    private byte[] bytes;
    private byte[] table;
    private BufferedImage picture;
    private LookupOp lookup;

    @Setup
    public void makeImages() {
        Random random = new Random(4096);
        bytes = new byte[SIZE * SIZE];
        random.nextBytes(bytes);
        image = Image.ofLevels(SIZE, SIZE, 255, n -> bytes[n] & 0xFF);
        table = new byte[256];
        for (int level = 0; level < 256; level++) {
            table[level] = (byte) Math.max(0, Math.min(255, Math.round(3.75 * level - 360)));
        }
        picture = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_BYTE_GRAY);
        System.arraycopy(bytes, 0, ((DataBufferByte) picture.getRaster().getDataBuffer()).getData(), 0, bytes.length);
        lookup = new LookupOp(new ByteLookupTable(0, table), null);
    }

    @Benchmark
    public Image pixeron() {
        return step.bind(image).result(Progress.NONE);
    }

    @Benchmark
    public byte[] plainLoop() {
        byte[] out = new byte[bytes.length];
        for (int n = 0; n < bytes.length; n++) {
            out[n] = table[bytes[n] & 0xFF];
        }
        return out;
    }

    @Benchmark
    public Object jdkLookupOp() {
        return lookup.filter(picture.getRaster(), null);
    }

    @Benchmark
    public byte[] memoryCopy() {
        return bytes.clone();
    }
}
