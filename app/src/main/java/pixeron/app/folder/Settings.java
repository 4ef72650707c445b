package pixeron.app.folder;

import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Properties;
import java.util.stream.IntStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import pixeron.PixeronException;
import pixeron.app.theme.Theme;
import pixeron.format.SafeFile;

/**
 * What a user chose and opened last.
 *
 * @param isDark dark theme
 * @param type size of type in percent, one of {@link #TYPES}
 * @param isStill nothing moves by itself
 * @param isGuided the first steps were shown, or declined
 * @param place where the window was; empty before it was closed the first time
 * @param recent files opened last, newest first, at most ten
 */
public record Settings(boolean isDark, int type, boolean isStill, boolean isGuided, Optional<WindowPlace> place, List<Path> recent) {

    /** The sizes of type that there are, in percent. */
    public static final List<Integer> TYPES = List.of(Theme.NORMAL_TYPE, Theme.LARGE_TYPE, 150, 175, 200);

    // A properties file, because the JDK reads it in no time; a JSON library would cost a tenth of the program's start.
    private static final String FILE = "settings.properties";
    private static final String DARK = "dark";
    private static final String TYPE = "type";
    /** The setting for large type from before there were several sizes. */
    private static final String LARGE = "large";
    private static final String STILL = "still";
    private static final String GUIDED = "guided";
    private static final String WINDOW = "window";
    private static final String RECENT = "recent.";
    private static final int MOST_RECENT = 10;

    public static final Settings DEFAULT = new Settings(false, TYPES.get(0), false, false, Optional.empty(), List.of());

    public Settings {
        recent = List.copyOf(recent);
    }

    public Settings withRecent(Path file) {
        List<Path> files = new ArrayList<>(recent);
        Path whole = file.toAbsolutePath().normalize();
        files.remove(whole);
        files.add(0, whole);
        return new Settings(isDark, type, isStill, isGuided, place, files.subList(0, Math.min(MOST_RECENT, files.size())));
    }

    public Settings withDark(boolean dark) {
        return new Settings(dark, type, isStill, isGuided, place, recent);
    }

    public Settings withType(int percent) {
        return new Settings(isDark, percent, isStill, isGuided, place, recent);
    }

    public Settings withStill(boolean still) {
        return new Settings(isDark, type, still, isGuided, place, recent);
    }

    public Settings withGuided() {
        return new Settings(isDark, type, isStill, true, place, recent);
    }

    public Settings withPlace(WindowPlace where) {
        return new Settings(isDark, type, isStill, isGuided, Optional.of(where), recent);
    }

    /** Returns the settings of last time; the default ones when there are none or they cannot be read. */
    public static Settings read(UserFolder folder) {
        try {
            Path file = folder.path(FILE);
            if (!Files.exists(file)) {
                return DEFAULT;
            }
            Properties properties = new Properties();
            try (Reader reader = Files.newBufferedReader(file)) {
                properties.load(reader);
            }
            List<Path> recent = IntStream.range(0, MOST_RECENT).mapToObj(n -> properties.getProperty(RECENT + n))
                    .filter(Objects::nonNull).map(Path::of).filter(Files::isRegularFile).toList();
            return new Settings(isSet(properties, DARK), type(properties), isSet(properties, STILL), isSet(properties, GUIDED),
                    WindowPlace.parse(properties.getProperty(WINDOW, "")), recent);
        } catch (IOException | RuntimeException unreadable) {
            log().warn("settings could not be read; using defaults", unreadable);
            return DEFAULT;
        }
    }

    private static int type(Properties properties) {
        String found = properties.getProperty(TYPE, isSet(properties, LARGE) ? Integer.toString(Theme.LARGE_TYPE) : "");
        return TYPES.stream().filter(percent -> Integer.toString(percent).equals(found)).findFirst().orElse(TYPES.get(0));
    }

    private static boolean isSet(Properties properties, String name) {
        return Boolean.parseBoolean(properties.getProperty(name));
    }

    /** Keeps the settings for next time; where that fails, work goes on without. */
    public void write(UserFolder folder) {
        Properties properties = new Properties();
        properties.setProperty(DARK, Boolean.toString(isDark));
        properties.setProperty(TYPE, Integer.toString(type));
        properties.setProperty(STILL, Boolean.toString(isStill));
        properties.setProperty(GUIDED, Boolean.toString(isGuided));
        place.ifPresent(where -> properties.setProperty(WINDOW, where.toString()));
        for (int n = 0; n < recent.size(); n++) {
            properties.setProperty(RECENT + n, recent.get(n).toString());
        }
        try {
            SafeFile.write(folder.path(FILE), out -> properties.store(new OutputStreamWriter(out,
                    StandardCharsets.UTF_8), "Pixeron"));
        } catch (PixeronException notKept) {
            log().warn("settings were not saved", notKept);
        }
    }

    /** Made when it is first needed: logging costs more time at the start than all of the settings. */
    private static Logger log() {
        return LoggerFactory.getLogger(Settings.class);
    }
}
