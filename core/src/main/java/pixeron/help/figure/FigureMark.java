package pixeron.help.figure;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The place of a figure in a page: the HTML element {@code picture} with a light and a dark file.
 *
 * @param name of the figure, and of its files
 * @param words what it shows, for readers who do not see it
 */
public record FigureMark(String name, String words) {

    private static final Pattern MARK = Pattern.compile("<img\\s+src=\"figures/([a-z-]+)\\.png\"\\s+alt=\"([^\"]*)\"");

    /** Finds the figure in a piece of HTML; empty where there is none. */
    public static Optional<FigureMark> find(String html) {
        Matcher matcher = MARK.matcher(html);
        return matcher.find() ? Optional.of(new FigureMark(matcher.group(1), matcher.group(2).replaceAll("\\s+", " "))) : Optional.empty();
    }
}
