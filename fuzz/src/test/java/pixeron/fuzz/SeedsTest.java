package pixeron.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The seeds of each reader, and pieces of them: read, or refused in one line. Seeds whose names begin with "found" are inputs that once were neither. */
class SeedsTest {

    @ParameterizedTest
    @EnumSource(Reader.class)
    void seedsAreReadOrRefused(Reader reader) throws IOException {
        List<Path> seeds;
        try (Stream<Path> files = Files.list(Path.of("seeds", reader.word()))) {
            seeds = files.sorted().toList();
        }
        int read = 0;
        for (Path seed : seeds) {
            byte[] bytes = Files.readAllBytes(seed);
            boolean isRead = reader.read(bytes);
            read += isRead ? 1 : 0;
            assertThat(isRead || seed.getFileName().toString().startsWith("found")).as("%s", seed).isTrue();
            for (int piece = 1; piece < 8; piece++) {
                reader.read(Arrays.copyOf(bytes, bytes.length * piece / 8));
            }
        }
        assertThat(read).as(reader.word()).isGreaterThanOrEqualTo(2);
    }
}
