package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RehearsalTest {

    @TempDir
    private Path folder;

    /** A command that is refused would keep few of its classes. Sheets of the example differ, and the inverted image from itself does not. */
    @Test
    void everyCommandIsDone() {
        assertThat(Rehearsal.run(folder)).hasSize(12).doesNotContain(Pixeron.BAD).startsWith(0, 0, 0).contains(Pixeron.DIFFERS);
    }
}
