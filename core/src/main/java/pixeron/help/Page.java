package pixeron.help;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import pixeron.PixeronException;

/**
 * A page for students.
 *
 * @param name of its file, without the ending
 * @param title its first line
 * @param markdown all of it
 */
public record Page(String name, String title, String markdown) {

    private static final List<String> NAMES = List.of("looking", "new-images", "numbers-in", "numbers-out", "gray", "color", "color-models", "point-steps", "equalization", "thresholds",
            "kernels", "moving", "resampling", "drawing", "two-images", "noise", "frequency", "low-rank", "by-hand", "walk", "practice", "exercises", "variants");

    /**
     * Returns all pages, in the order in which a user would read them; the words are not among them.
     *
     * @throws PixeronException if one is missing in the program's files
     */
    public static List<Page> all() {
        return NAMES.stream().map(Page::read).toList();
    }

    static Page read(String name) {
        try (InputStream in = Page.class.getResourceAsStream("/pixeron/pages/" + name + ".md")) {
            if (in == null) {
                throw PixeronException.of("The page \"%s\" is missing in Pixeron's own files.", name);
            }
            String markdown = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            return new Page(name, markdown.lines().findFirst().orElse("").replaceFirst("^# ", ""), markdown);
        } catch (IOException broken) {
            throw PixeronException.because(broken, "Cannot read the page \"%s\" from Pixeron's own files.", name);
        }
    }
}
