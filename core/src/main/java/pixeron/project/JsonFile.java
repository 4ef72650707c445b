package pixeron.project;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.format.SafeFile;

/** A readable JSON file with a version of its own: written as a whole, read strictly. */
public final class JsonFile {

    /** A color image of 4096 × 4096 with its steps, its other images and values by hand is smaller. */
    private static final long MOST_BYTES = 512L << 20;
    private static final ObjectMapper MAPPER = new ObjectMapper();

    private JsonFile() {
    }

    /** Returns an object without fields. */
    public static ObjectNode object() {
        return MAPPER.createObjectNode();
    }

    /**
     * Writes a JSON file.
     *
     * @param file is replaced as a whole, or stays as it is
     * @throws PixeronException if it cannot be written
     */
    public static void write(Path file, ObjectNode root) {
        DefaultPrettyPrinter printer = new DefaultPrettyPrinter();
        printer.indentArraysWith(new DefaultIndenter("  ", "\n"));
        printer.indentObjectsWith(new DefaultIndenter("  ", "\n"));
        SafeFile.write(file, out -> MAPPER.writer(printer).writeValue(out, root));
    }

    /**
     * Reads a JSON file.
     *
     * @param understood makes of the whole file what it holds
     * @throws PixeronException if the file cannot be read, is no JSON, or is not understood; names the file
     */
    public static <T> T read(Path file, Function<JsonNode, T> understood) {
        try {
            if (Files.isDirectory(file)) {
                throw PixeronException.of("It is a folder. Choose a file.");
            } else if (!Files.exists(file)) {
                throw PixeronException.of("There is no such file.");
            } else if (!Files.isRegularFile(file)) {
                throw PixeronException.of("It is not a regular file.");
            } else if (Files.size(file) > MOST_BYTES) {
                throw PixeronException.of("It is larger than the limit of %d MiB.", MOST_BYTES >> 20);
            }
            return understood.apply(MAPPER.readTree(Files.readAllBytes(file)));
        } catch (JsonProcessingException broken) {
            throw PixeronException.because(broken, "%s: The file is damaged: line %d, column %d is not JSON.",
                    file.getFileName(), broken.getLocation() == null ? 1 : broken.getLocation().getLineNr(),
                    broken.getLocation() == null ? 1 : broken.getLocation().getColumnNr());
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot read %s: %s.", file, trouble.getMessage());
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", file.getFileName(), problem.getMessage());
        }
    }

    /**
     * Checks the version of a file.
     *
     * @param field holds the version
     * @param newest that is read
     * @param what the file holds, such as project
     * @throws PixeronException if it is not such a file, or was written by a newer Pixeron
     */
    public static void requireVersion(JsonNode root, String field, int newest, String what) {
        JsonNode version = root == null ? null : root.get(field);
        if (version == null || !version.isIntegralNumber()) {
            throw PixeronException.of("This is not a Pixeron %s: the field \"%s\" with its version is missing.", what, field);
        } else if (!version.canConvertToInt() || version.intValue() > newest) {
            throw PixeronException.of("The %s was written by a newer Pixeron (file version %s). This Pixeron reads version %d.", what, version.asText(), newest);
        }
    }
}
