package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.joran.JoranConfigurator;
import ch.qos.logback.classic.util.LogbackMDCAdapter;
import ch.qos.logback.core.joran.spi.JoranException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The log is written where the user's data is, or nowhere. */
class LogTest {

    @TempDir
    private Path folder;

    private void log(String file) throws JoranException {
        LoggerContext context = new LoggerContext();
        context.setMDCAdapter(new LogbackMDCAdapter());
        if (file != null) {
            context.putProperty("pixeron.log", file);
        }
        context.putProperty("java.io.tmpdir", folder.toString());
        JoranConfigurator configurator = new JoranConfigurator();
        configurator.setContext(context);
        configurator.doConfigure(LogTest.class.getResource("/logback.xml"));
        context.getLogger(LogTest.class).error("said");
        context.stop();
    }

    private static List<Path> files(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.toList();
        }
    }

    @Test
    void withoutAFolderItIsNowhere() throws IOException, JoranException {
        List<Path> before = files(Path.of(""));
        log(null);
        assertThat(folder).isEmptyDirectory();
        assertThat(files(Path.of(""))).isEqualTo(before);
    }

    @Test
    void inItsFolderItIsWritten() throws IOException, JoranException {
        Path file = folder.resolve("pixeron.log");
        log(file.toString());
        assertThat(Files.readString(file)).contains("ERROR").contains("said");
    }
}
