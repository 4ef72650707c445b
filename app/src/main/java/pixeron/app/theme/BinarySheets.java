package pixeron.app.theme;

import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.css.Stylesheet;

/**
 * Puts the style sheets into the form that the toolkit reads without parsing; part of the build. The toolkit looks for it beside the text
 * by itself, and takes the text where it is missing. The first window stands a tenth of a second sooner with it. Of the theme the rules for
 * controls that are nowhere in our windows are left out, since each rule is read, and asked for each control.
 */
public final class BinarySheets {

    /** With these the style classes of what is omitted begin; who begins to use such a control takes it out of here. */
    static final List<String> LEFT_OUT = List.of("accordion", "titled-pane", "breadcrumbs", "calendar", "date-picker", "color-picker", "color-palette",
            "custom-color", "chart", "bar-chart", "stacked-bar-chart", "pie-legend", "html-editor", "notification", "message", "pagination", "tree-view",
            "tree-cell", "tree-table", "toggle-switch", "ring-progress", "popover", "modal-", "tile", "bb-code", "spinner", "split-menu-button",
            "choice-box", "password-field", "caption-menu", "custom-text-field");

    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern RULE = Pattern.compile("([^{}]+)(\\{[^{}]*\\})");
    private static final Pattern OF_LEFT_OUT = Pattern.compile("\\.(" + String.join("|", LEFT_OUT) + ")");

    private BinarySheets() {
    }

    /**
     * Writes the style sheets in their binary form.
     *
     * @param words the folder of the compiled classes
     */
    public static void main(String... words) throws IOException {
        for (String sheet : List.of("/pixeron/app/pixeron.css", new PrimerLight().getUserAgentStylesheet())) {
            Path text = Files.createTempFile("sheet", ".css");
            try (InputStream in = BinarySheets.class.getResourceAsStream(sheet)) {
                Files.writeString(text, used(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
                Path binary = Path.of(words[0]).resolve(sheet.substring(1).replaceFirst("css$", "bss"));
                Files.createDirectories(binary.getParent());
                Stylesheet.convertToBinary(text.toFile(), binary.toFile());
            } finally {
                Files.delete(text);
            }
        }
    }

    /** Returns a style sheet without the rules, and the parts of lists of selectors, that are left out. */
    static String used(String sheet) {
        return RULE.matcher(COMMENT.matcher(sheet).replaceAll("")).results().map(rule -> {
            String selectors = Arrays.stream(rule.group(1).split(",")).map(String::strip).filter(selector -> !OF_LEFT_OUT.matcher(selector).find())
                    .collect(Collectors.joining(", "));
            return selectors.isEmpty() ? "" : selectors + " " + rule.group(2) + "\n";
        }).collect(Collectors.joining());
    }
}
