package pixeron.bench;

import java.awt.geom.AffineTransform;
import java.awt.image.AffineTransformOp;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Map;
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
import pixeron.chain.Chain;
import pixeron.image.Image;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/**
 * Steps that move, resize, combine and disturb, on 4096 × 4096 levels of 8 bits, against copies of what is written, a plain loop
 * for means of four, and the JDK's bilinear turn.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(value = 1, jvmArgsAppend = {"-Xmx6g", "-Xms6g"})
public class GeometryBenchmark {

    private static final int SIZE = 4096;

    private final Step flip = StepLine.parse("flip direction=left-right");
    private final Step transpose = StepLine.parse("transpose");
    private final Step tile = StepLine.parse("tile down=1 right=2 mirrored=yes");
    private final Step half = StepLine.parse("resize scale=1/2 by=mean");
    private final Step turn = StepLine.parse("rotate degrees=30 by=linear size=keep");
    private final Step combine = StepLine.parse("combine with=other by=absolute-difference");
    private final Step paste = StepLine.parse("paste row=10 column=10 with=other");
    private final Step saltPepper = StepLine.parse("salt-pepper count=100000");
    private final Step uniform = StepLine.parse("uniform-noise from=-8 to=8");
    private byte[] bytes;
    private byte[] twice;
    private Image image;
    private Inputs both;
    private BufferedImage picture;

    @Setup
    public void makeImages() {
        Random random = new Random(4096);
        bytes = new byte[SIZE * SIZE];
        random.nextBytes(bytes);
        twice = new byte[2 * bytes.length];
        image = Image.ofLevels(SIZE, SIZE, 255, n -> bytes[n] & 0xFF);
        Image other = Image.ofLevels(SIZE, SIZE, 255, n -> random.nextInt(256));
        both = new Inputs(image, name -> other);
        picture = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_BYTE_GRAY);
        System.arraycopy(bytes, 0, ((DataBufferByte) picture.getRaster().getDataBuffer()).getData(), 0, bytes.length);
    }

    private Image done(Step step) {
        return step.bind(both).result(Progress.NONE);
    }

    @Benchmark
    public byte[] copy() {
        return bytes.clone();
    }

    @Benchmark
    public byte[] copyTwice() {
        return twice.clone();
    }

    @Benchmark
    public Image pixeronFlip() {
        return done(flip);
    }

    @Benchmark
    public Image pixeronTranspose() {
        return done(transpose);
    }

    @Benchmark
    public Image pixeronTile() {
        return done(tile);
    }

    @Benchmark
    public Image pixeronHalf() {
        return done(half);
    }

    @Benchmark
    public byte[] loopHalf() {
        int size = SIZE / 2;
        byte[] out = new byte[size * size];
        for (int i = 0; i < size; i++) {
            for (int j = 0; j < size; j++) {
                int at = 2 * i * SIZE + 2 * j;
                int sum = (bytes[at] & 0xFF) + (bytes[at + 1] & 0xFF) + (bytes[at + SIZE] & 0xFF) + (bytes[at + SIZE + 1] & 0xFF);
                out[i * size + j] = (byte) (sum + 2 >> 2);
            }
        }
        return out;
    }

    @Benchmark
    public Image pixeronTurn() {
        return done(turn);
    }

    @Benchmark
    public BufferedImage jdkTurn() {
        AffineTransform by = AffineTransform.getRotateInstance(-Math.PI / 6, SIZE / 2.0, SIZE / 2.0);
        return new AffineTransformOp(by, AffineTransformOp.TYPE_BILINEAR).filter(picture, new BufferedImage(SIZE, SIZE,
                BufferedImage.TYPE_BYTE_GRAY));
    }

    @Benchmark
    public Image pixeronCombine() {
        return done(combine);
    }

    @Benchmark
    public Image pixeronPaste() {
        return done(paste);
    }

    @Benchmark
    public Image pixeronSaltPepper() {
        return done(saltPepper);
    }

    @Benchmark
    public Image pixeronUniformNoise() {
        return done(uniform);
    }
}
