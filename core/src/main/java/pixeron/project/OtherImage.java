package pixeron.project;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import pixeron.image.Result;
import pixeron.step.Reference;

/**
 * Another image of a project, which steps can name.
 *
 * @param name letters, digits, - and _, a letter first
 * @param origin where it came from
 * @param result its samples
 */
public record OtherImage(String name, Origin origin, Result result) {

    /** @throws pixeron.PixeronException if the name is none for an image */
    public OtherImage {
        if (!Reference.isReadable(name)) {
            Reference.requireName(name);
        }
    }

    static Map<String, Result> byName(List<OtherImage> images) {
        return images.stream().collect(Collectors.toMap(OtherImage::name, OtherImage::result, (one, other) -> one, LinkedHashMap::new));
    }

    /**
     * @param text such as the name of a file
     * @param taken names of other images
     * @return a name for an image that is like the text
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
