package pixeron.byhand;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.image.Pixel;
import pixeron.image.SpectrumFace;

/** What a user writes for a coefficient with both of its parts at once: {@code 3-4i}, {@code -2.5i}. */
public final class ComplexCells {

    private static final String NUMBER = "(?:\\d+(?:[.,]\\d*)?|[.,]\\d+)(?:/\\d+)?";
    private static final Pattern BOTH = Pattern.compile("([+-]?" + NUMBER + "(?=[+-]))?([+-]?)(" + NUMBER + ")?[*×·]?i");

    private ComplexCells() {
    }

    /** Returns what it says of the real and of the imaginary part; empty where it is no such number. */
    public static Optional<Map<SpectrumFace, String>> find(String text) {
        Matcher written = BOTH.matcher(text.replace('\u2212', '-').replaceAll("\\s+", ""));
        if (!written.matches()) {
            return Optional.empty();
        }
        String real = Optional.ofNullable(written.group(1)).orElse("0");
        String size = Optional.ofNullable(written.group(3)).orElse("1");
        return Optional.of(Map.of(SpectrumFace.REAL, real, SpectrumFace.IMAGINARY, (written.group(2).equals("-") ? "-" : "") + size));
    }

    /**
     * Returns the same on a sheet for each face by its name: cells with both parts on those of the parts.
     *
     * @param sheet what was written on the sheet of a face
     * @param face that face
     */
    public static Map<String, HandSheet> apart(HandSheet sheet, String face) {
        Map<String, Map<Pixel, String>> texts = new LinkedHashMap<>();
        sheet.cells().forEach((pixel, written) -> {
            Map<String, String> parts = new TreeMap<>();
            find(written.text()).ifPresentOrElse(both -> both.forEach((part, text) -> parts.put(part.word(), text)), () -> parts.put(face, written.text()));
            parts.forEach((name, text) -> texts.computeIfAbsent(name, none -> new LinkedHashMap<>()).put(pixel, text));
        });
        Map<String, HandSheet> sheets = new LinkedHashMap<>();
        texts.forEach((name, cells) -> sheets.put(name, HandSheet.EMPTY.with(cells).withTolerance(sheet.tolerance())));
        return sheets;
    }
}
