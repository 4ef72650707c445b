package pixeron.project;

import java.util.List;
import pixeron.format.LoadedImage;

/**
 * Where a project's image came from.
 *
 * @param file the name of the file, or words such as "demo data"
 * @param format png, pgm, table, …
 * @param channels channels in the file
 * @param notes what a person should know about how the numbers came about
 */
public record Origin(String file, String format, int channels, List<String> notes) {

    public Origin {
        notes = List.copyOf(notes);
    }

    public static Origin of(String file, LoadedImage loaded) {
        return new Origin(file, loaded.format(), loaded.channels(), loaded.notes());
    }
}
