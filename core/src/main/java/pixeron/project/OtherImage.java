package pixeron.project;

import java.util.Collection;
import java.util.Set;
import java.util.stream.Collectors;
import pixeron.chain.Chain;
import pixeron.image.Result;
import pixeron.step.Reference;

/**
 * Another image of a project, which steps can name. It can have steps of its own; those can name the images before it.
 *
 * @param name letters, digits, - and _, a letter first
 * @param work the image, its steps and what was written by hand for them
 */
public record OtherImage(String name, Work work) {

    /**
     * Checks the name.
     *
     * @throws pixeron.PixeronException if the name is none for an image
     */
    public OtherImage {
        if (!Reference.isReadable(name)) {
            Reference.requireName(name);
        }
    }

    /** Returns an image without steps. */
    public static OtherImage of(String name, Origin origin, Result result) {
        return new OtherImage(name, Work.of(origin, Chain.of(result)));
    }

    /** Returns where the image came from. */
    public Origin origin() {
        return work.origin();
    }

    /** Returns the chain that a step means by the name. */
    public Chain chain() {
        return work.first();
    }

    /** Returns the image itself, in front of its steps. */
    public Result input() {
        return chain().input();
    }

    /**
     * Returns a name for an image that is like the text.
     *
     * @param text such as the name of a file
     * @param taken names of other images
     */
    public static String nameLike(String text, Collection<OtherImage> taken) {
        String letters = text.replaceFirst("\\.[^.]*$", "").replaceAll("[^A-Za-z0-9_-]+", "-").replaceFirst("^[^A-Za-z]+", "").replaceFirst("-+$", "");
        String like = Reference.isName(letters) ? letters : "image";
        Set<String> names = taken.stream().map(OtherImage::name).collect(Collectors.toSet());
        String name = like;
        for (int n = 2; names.contains(name); n++) {
            name = like + "-" + n;
        }
        return name;
    }
}
