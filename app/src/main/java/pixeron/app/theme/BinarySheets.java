package pixeron.app.theme;

import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.css.Stylesheet;

/**
 * Puts the style sheets into the form that the toolkit reads without parsing; part of the build. The toolkit looks for it beside the text
 * by itself, and takes the text where it is missing. The first window stands a tenth of a second sooner with it.
 */
public final class BinarySheets {

    private BinarySheets() {
    }

    /** @param words the folder of the compiled classes */
    public static void main(String... words) throws IOException {
        for (String sheet : List.of("/pixeron/app/pixeron.css", new PrimerLight().getUserAgentStylesheet())) {
            Path text = Files.createTempFile("sheet", ".css");
            try (InputStream in = BinarySheets.class.getResourceAsStream(sheet)) {
                Files.write(text, in.readAllBytes());
                Path binary = Path.of(words[0]).resolve(sheet.substring(1).replaceFirst("css$", "bss"));
                Files.createDirectories(binary.getParent());
                Stylesheet.convertToBinary(text.toFile(), binary.toFile());
            } finally {
                Files.delete(text);
            }
        }
    }
}
