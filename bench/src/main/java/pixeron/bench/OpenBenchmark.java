package pixeron.bench;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
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
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.ColorImage;
import pixeron.image.Image;

/** A gray PNG of 4096 × 4096 and a JPEG in color of 4000 × 3000, opened as images of levels, against the JDK's decoding of the file alone. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 6, time = 2)
@Fork(value = 2, jvmArgsAppend = {"-Xmx3g", "-Xms3g"})
public class OpenBenchmark {

    @Param({"png", "jpg"})
    private String format;

    private Path file;

    @Setup
    public void makeFile() throws IOException {
        file = Files.createTempFile("open", "." + format);
        ImageFiles.write(file, format.equals("png") ? waves(4096, 4096, 1) : new ColorImage(waves(3000, 4000, 1), waves(3000, 4000, 2), waves(3000, 4000, 3),
                Optional.empty()), false);
    }

    /** Something like a photo: slow changes and a little noise. */
    private static Image waves(int rows, int columns, int seed) {
        Random random = new Random(seed);
        return Image.ofLevels(rows, columns, 255, n -> (int) (120 + 90 * Math.sin(n % columns / 90.0 + seed) * Math.cos(n / columns / 70.0)) + random.nextInt(9));
    }

    @TearDown
    public void removeFile() throws IOException {
        Files.delete(file);
    }

    @Benchmark
    public LoadedImage pixeron() {
        return ImageFiles.read(file, ReadOptions.DEFAULT);
    }

    @Benchmark
    public BufferedImage jdk() throws IOException {
        return ImageIO.read(file.toFile());
    }
}
