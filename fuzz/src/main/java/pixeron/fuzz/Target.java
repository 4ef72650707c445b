package pixeron.fuzz;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;

/** What the fuzzer calls: the reader that {@code -Dpixeron.reader} names. */
public final class Target {

    private static final Reader READER = Reader.valueOf(System.getProperty("pixeron.reader", "TABLE"));

    private Target() {
    }

    /** Called by the fuzzer once, by this name: what is loaded at first use is not a matter of the first input. */
    public static void fuzzerInitialize() throws IOException {
        try (Stream<Path> seeds = Files.list(Path.of(System.getProperty("pixeron.seeds")))) {
            for (Path seed : seeds.sorted().toList()) {
                READER.read(Files.readAllBytes(seed));
            }
        }
    }

    /** Called by the fuzzer for each input, by this name. */
    public static void fuzzerTestOneInput(byte[] bytes) {
        READER.read(bytes);
    }
}
