package pixeron.app.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;

class PaletteTest {

    private static double light(double channel) {
        return channel <= 0.04045 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
    }

    private static double luminance(Color color) {
        return 0.2126 * light(color.getRed()) + 0.7152 * light(color.getGreen()) + 0.0722 * light(color.getBlue());
    }

    private static double contrast(Color a, Color b) {
        double lighter = Math.max(luminance(a), luminance(b));
        double darker = Math.min(luminance(a), luminance(b));
        return (lighter + 0.05) / (darker + 0.05);
    }

    @Test
    void everyTextHasEnoughContrastOnEveryGround() {
        for (Palette p : new Palette[] {Palette.LIGHT, Palette.DARK}) {
            for (Color text : new Color[] {p.ink(), p.soft(), p.before(), p.after(), p.byHand(), p.agree(),
                    p.differ()}) {
                for (Color ground : new Color[] {p.paper(), p.panel()}) {
                    assertThat(contrast(text, ground)).as("%s on %s", text, ground).isGreaterThanOrEqualTo(4.5);
                }
            }
            assertThat(contrast(p.differ(), p.differGround())).isGreaterThanOrEqualTo(4.5);
            assertThat(contrast(p.ink(), p.differGround())).isGreaterThanOrEqualTo(4.5);
            assertThat(contrast(p.panel(), p.after())).as("text on an accent button").isGreaterThanOrEqualTo(4.5);
        }
    }

    @Test
    void theStyleSheetHasTheColorsThatAreDrawn() throws Exception {
        String css = css();
        compare(css.substring(0, css.indexOf(".pixeron.dark")), Palette.LIGHT);
        compare(css.substring(css.indexOf(".pixeron.dark"), css.indexOf(".pixeron.large")), Palette.DARK);
    }

    private static void compare(String block, Palette palette) throws ReflectiveOperationException {
        for (RecordComponent component : Palette.class.getRecordComponents()) {
            String name = component.getName().replaceAll("([A-Z])", "-$1").toLowerCase();
            Matcher value = Pattern.compile("\\s-" + name + ": (#[0-9A-Fa-f]{6});").matcher(block);
            assertThat(value.find()).as(name).isTrue();
            assertThat(Color.web(value.group(1))).as(name).isEqualTo(component.getAccessor().invoke(palette));
        }
    }

    private static String css() throws IOException {
        try (var in = PaletteTest.class.getResourceAsStream("/pixeron/app/pixeron.css")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
