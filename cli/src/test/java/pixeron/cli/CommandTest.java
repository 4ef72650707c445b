package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** Runs commands as they are written in a terminal, on a small image. */
abstract class CommandTest {

    /** A refusal is read at a glance. */
    private static final int LONGEST = 300;

    @TempDir
    protected Path folder;
    /** 137 97 96 in the first row, 164 98 101 in the second. */
    protected Path image;
    protected String output;
    protected String error;

    @BeforeEach
    void makeImage() throws IOException {
        image = write("proof.txt", "137 97 96\n164 98 101\n");
    }

    protected Path write(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    protected int pixeron(Object... words) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        int code = Pixeron.run(new PrintWriter(out), new PrintWriter(err),
                Arrays.stream(words).map(Object::toString).toArray(String[]::new));
        output = out.toString();
        error = err.toString();
        return code;
    }

    protected JsonNode json() throws IOException {
        return new ObjectMapper().readTree(output);
    }

    protected void assertBad(String message, Object... words) {
        assertThat(pixeron(words)).isEqualTo(2);
        assertThat(error).contains(message).hasLineCount(1).hasSizeLessThanOrEqualTo(LONGEST);
        assertThat(output).isEmpty();
    }
}
