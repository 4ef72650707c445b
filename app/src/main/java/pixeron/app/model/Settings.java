package pixeron.app.model;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import pixeron.PixeronException;
import pixeron.format.SafeFile;

/**
 * What a person chose and opened last.
 *
 * @param isDark dark theme
 * @param isLarge large type
 * @param recent files opened last, newest first, at most ten
 */
public record Settings(boolean isDark, boolean isLarge, List<Path> recent) {

    private static final String FILE = "settings.json";
    private static final int MOST_RECENT = 10;
    private static final ObjectMapper MAPPER = new ObjectMapper();

    public static final Settings DEFAULT = new Settings(false, false, List.of());

    public Settings {
        recent = List.copyOf(recent);
    }

    public Settings withRecent(Path file) {
        List<Path> files = new ArrayList<>(recent);
        Path whole = file.toAbsolutePath().normalize();
        files.remove(whole);
        files.add(0, whole);
        return new Settings(isDark, isLarge, files.subList(0, Math.min(MOST_RECENT, files.size())));
    }

    public Settings withDark(boolean dark) {
        return new Settings(dark, isLarge, recent);
    }

    public Settings withLarge(boolean large) {
        return new Settings(isDark, large, recent);
    }

    /** @return the settings of last time; the default ones when there are none or they cannot be read */
    public static Settings read(UserFolder folder) {
        try {
            Path file = folder.path(FILE);
            if (!Files.exists(file)) {
                return DEFAULT;
            }
            JsonNode node = MAPPER.readTree(Files.readAllBytes(file));
            List<Path> recent = new ArrayList<>();
            node.path("recent").forEach(entry -> recent.add(Path.of(entry.asText())));
            return new Settings(node.path("dark").asBoolean(), node.path("large").asBoolean(),
                    recent.stream().filter(Files::isRegularFile).limit(MOST_RECENT).toList());
        } catch (IOException | RuntimeException unreadable) {
            log().warn("settings are not read, the default ones are used", unreadable);
            return DEFAULT;
        }
    }

    /** Keeps the settings for next time; where that fails, work goes on without. */
    public void write(UserFolder folder) {
        ObjectNode node = MAPPER.createObjectNode().put("dark", isDark).put("large", isLarge);
        recent.forEach(file -> node.withArray("recent").add(file.toString()));
        try {
            SafeFile.write(folder.path(FILE), out -> MAPPER.writerWithDefaultPrettyPrinter().writeValue(out, node));
        } catch (PixeronException notKept) {
            log().warn("settings are not kept", notKept);
        }
    }

    /** Made when it is first needed: logging costs more time at the start than all of the settings. */
    private static Logger log() {
        return LoggerFactory.getLogger(Settings.class);
    }
}
