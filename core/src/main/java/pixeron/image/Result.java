package pixeron.image;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** What can be in front of a step or behind it: a kind of its own, in a frame of its own, seen by its faces. */
public sealed interface Result permits Image, Components, Spectrum {

    /** Returns size and maximum level; all faces have that size, and but for those of a color model that maximum. */
    Frame frame();

    /** Returns the kind in words with its article: {@code a color image}. */
    String kind();

    /** Returns its faces by name, in order; an image has one. */
    List<Face> faces();

    /** Returns the face with this name; empty where there is none. */
    default Optional<Image> face(String name) {
        return faces().stream().filter(face -> face.name().equals(name)).map(Face::image).findFirst();
    }

    /**
     * What is seen of a result as one image.
     *
     * @param name one word; {@link Image#VALUE} where there is only one
     * @param source gives the samples, always the same; made when they are first asked for, where making them takes time
     */
    record Face(String name, Supplier<Image> source) {

        /** A face that is there already. */
        Face(String name, Image image) {
            this(name, () -> image);
        }

        /** Returns the samples. */
        public Image image() {
            return source.get();
        }
    }
}
