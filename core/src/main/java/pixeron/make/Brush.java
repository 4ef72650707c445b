package pixeron.make;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.look.WrittenColor;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Reference;

/**
 * What is drawn with: a value for the samples of an image, or for those channels of a color image that the ink says something of.
 *
 * @param values by the name of the face; the others stay as they are
 */
public record Brush(Map<String, Value> values) {

    private static final List<String> COLORS = List.of("red", "green", "blue");

    /** Draws the value into one image. */
    public interface Stroke {
        Image draw(Image image, Value value);
    }

    /**
     * Returns the brush for an ink.
     *
     * @param text a number or M; on a color image also a color as {@link WrittenColor} reads it, and a single number is for red, green and blue
     * @param on what is drawn on
     * @throws PixeronException if the text is none of these
     */
    public static Brush of(String text, Result on) {
        Map<String, Value> values = new LinkedHashMap<>();
        if (on instanceof Image image) {
            values.put(Image.VALUE, number(text, image.maximumLevel()));
            return new Brush(values);
        }
        List<String> faces = on.faces().stream().map(Result.Face::name).toList();
        int maximum = on.frame().maximumLevel();
        Optional<Map<String, String>> written = WrittenColor.find(text, faces, maximum);
        if (written.isPresent()) {
            written.get().forEach((face, level) -> values.put(face, number(level, maximum)));
        } else {
            Value same = number(text, maximum);
            faces.stream().filter(COLORS::contains).forEach(face -> values.put(face, same));
        }
        return new Brush(values);
    }

    private static Value number(String text, int maximum) {
        String bare = text.strip();
        if (!bare.equals(Reference.MAXIMUM) && !Decimals.isNumber(bare)) {
            throw PixeronException.of("“%s” is not a valid level. Use a number or M; on a color image also three numbers, or a color such as 0xFF8000.",
                    Decimals.shortened(bare));
        }
        return bare.equals(Reference.MAXIMUM) ? Rational.of(maximum) : Decimals.parse(bare);
    }

    /** Returns what was drawn on, with the stroke in every face that the brush has a value for. */
    public Result draw(Result on, Stroke stroke) {
        if (on instanceof Image image) {
            return stroke.draw(image, values.get(Image.VALUE));
        }
        List<Image> faces = new ArrayList<>();
        on.faces().forEach(face -> faces.add(values.containsKey(face.name()) ? stroke.draw(face.image(), values.get(face.name())) : face.image()));
        return ColorImage.of(faces);
    }
}
