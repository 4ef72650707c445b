package pixeron.exercise;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.CRC32;
import pixeron.number.Decimals;

/**
 * What is on every sheet and in every file of a variant so that it is known again, such as {@code K3F7-012}: four signs of
 * the exercise, and the number of the variant.
 *
 * @param exercise four digits and capital letters
 * @param variant from 1
 */
public record Code(String exercise, int variant) {

    /** Without 0, 1, I, L, O and U, which are taken for something else when they are copied by hand. */
    private static final String SIGNS = "23456789ABCDEFGHJKMNPQRSTVWXYZ";
    private static final int LENGTH = 4;
    private static final Pattern WRITTEN = Pattern.compile("(?<![A-Z0-9])([" + SIGNS + "]{" + LENGTH + "})[-\u2010-\u2015\u2212_ ](\\d{3,5})(?![A-Z0-9])",
            Pattern.CASE_INSENSITIVE);

    /** Returns the four signs of an exercise: those of everything that its numbers and its blanks depend on. */
    static String of(Exercise exercise) {
        CRC32 sum = new CRC32();
        sum.update(String.join("\n", image(exercise.image()), exercise.steps().toString(), exercise.choices().toString(), exercise.asked().stream()
                .map(part -> part.step() + part.face() + part.what()).toList().toString(), exercise.wish().toString(),
                String.valueOf(exercise.seed())).getBytes(StandardCharsets.UTF_8));
        StringBuilder signs = new StringBuilder();
        long rest = sum.getValue();
        for (int n = 0; n < LENGTH; n++) {
            signs.append(SIGNS.charAt((int) (rest % SIGNS.length())));
            rest /= SIGNS.length();
        }
        return signs.toString();
    }

    private static String image(GivenImage image) {
        return image instanceof GivenImage.Made made ? made.line() : ((GivenImage.Samples) image).image().faces().stream().map(face ->
                face.name() + face.image().frame() + IntStream.range(0, face.image().count()).mapToObj(n -> Decimals.exact(face.image().value(n)))
                        .collect(Collectors.joining(" "))).collect(Collectors.joining("\n"));
    }

    /** Returns the codes in a text, in capital or small letters, in their order. */
    public static List<Code> all(String text) {
        return WRITTEN.matcher(text).results().map(found -> new Code(found.group(1).toUpperCase(Locale.ROOT), Integer.parseInt(found.group(2)))).toList();
    }

    /** Returns a text without its first code and what was around it: the name of a file such as "Kim K3F7-012" without it. */
    public static String without(String text) {
        Matcher found = WRITTEN.matcher(text);
        return found.find() ? (text.substring(0, found.start()) + " " + text.substring(found.end())).replaceAll("[\\s_.-]+", " ").strip() : text;
    }

    @Override
    public String toString() {
        return String.format("%s-%03d", exercise, variant);
    }
}
