package pixeron.project.demo;

import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.image.Result;
import pixeron.project.SavedProject;

/**
 * A case to begin with. Its image and its work are made when they are asked for: a list of cases needs neither.
 */
public final class DemoCase {

    private final String id;
    private final String title;
    private final String sentence;
    private final Supplier<? extends Result> maker;
    private final Function<Result, SavedProject> work;
    private Result image;

    /**
     * @param id for file names: lower case, hyphens
     * @param title its name
     * @param sentence what is to be seen in it
     * @param maker makes its image, of any kind
     * @param work calculates the project on the image, and where to look first
     */
    DemoCase(String id, String title, String sentence, Supplier<? extends Result> maker, Function<Result, SavedProject> work) {
        this.id = id;
        this.title = title;
        this.sentence = sentence;
        this.maker = maker;
        this.work = work;
    }

    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    public String sentence() {
        return sentence;
    }

    /** Returns its image; made once. */
    public synchronized Result image() {
        if (image == null) {
            image = maker.get();
        }
        return image;
    }

    /** Returns the project, and where to look first; calculated at each call. */
    public SavedProject saved() {
        return work.apply(image());
    }
}
