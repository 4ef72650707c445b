package pixeron.project;

import java.util.ArrayList;
import java.util.List;
import pixeron.chain.Link;
import pixeron.format.LoadedImage;
import pixeron.image.Result;

/**
 * Where a project's image came from.
 *
 * @param file the name of the file, or words such as "demo data"
 * @param format png, pgm, table, …
 * @param channels channels in the file
 * @param notes what a user should know about how the numbers came about
 */
public record Origin(String file, String format, int channels, List<String> notes) {

    private static final String EXERCISE = "exercise";

    public Origin {
        notes = List.copyOf(notes);
    }

    /** Returns where the result of steps on this image comes from; this itself where there are none. */
    Origin after(List<Link> steps, Result result) {
        if (steps.isEmpty()) {
            return this;
        }
        List<String> told = new ArrayList<>(notes);
        steps.stream().filter(Link::isOn).forEach(link -> told.add("after " + link.step().line()));
        return new Origin(file, "kept", result.faces().size(), told);
    }

    /** Returns where the image of a variant came from: it was drawn for an exercise, to be calculated by hand. */
    public static Origin exercise() {
        return new Origin(EXERCISE, EXERCISE, 1, List.of());
    }

    /** Returns whether the project was given out as an exercise. */
    public boolean isExercise() {
        return format.equals(EXERCISE);
    }

    /** Returns whether the image was a table of numbers, which does not say its maximum level. */
    public boolean isTable() {
        return format.equals(LoadedImage.TABLE);
    }

    public static Origin of(String file, LoadedImage loaded) {
        return new Origin(file, loaded.format(), loaded.channels(), loaded.notes());
    }
}
