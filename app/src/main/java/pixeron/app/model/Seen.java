package pixeron.app.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.ColourImage;
import pixeron.image.Frame;
import pixeron.image.Result;

/**
 * What stands on one side of a step, with what is said about each of its faces.
 *
 * @param result an image, or one with colour
 * @param faces its faces in their order
 */
public record Seen(Result result, List<Shown.Described> faces) {

    /** @return a result with what is said about each of its faces */
    public static Seen of(Result result) {
        return of(result, Optional.empty());
    }

    /** @param known what was shown last; what is said of the same image is taken over */
    static Seen of(Result result, Optional<Shown> known) {
        List<Shown.Described> faces = new ArrayList<>();
        for (Result.Face face : result.faces()) {
            faces.add(known.stream().flatMap(Shown::described).filter(old -> old.image() == face.image()).findFirst()
                    .orElseGet(() -> Shown.Described.of(face.image())));
        }
        return new Seen(result, List.copyOf(faces));
    }

    public boolean hasColour() {
        return result instanceof ColourImage;
    }

    /** @return the channels; empty where there is no colour */
    public Optional<ColourImage> colour() {
        return result instanceof ColourImage colour ? Optional.of(colour) : Optional.empty();
    }

    public Frame frame() {
        return result.frame();
    }

    /** @return the names of the faces */
    public List<String> names() {
        return result.faces().stream().map(Result.Face::name).toList();
    }

    /** @return the name of the face that is looked at while a channel is chosen: that channel where there is one, else the first */
    public String name(String channel) {
        return names().contains(channel) ? channel : names().get(0);
    }

    /** @return the face that is looked at while a channel is chosen */
    public Shown.Described face(String channel) {
        return faces.get(names().indexOf(name(channel)));
    }
}
