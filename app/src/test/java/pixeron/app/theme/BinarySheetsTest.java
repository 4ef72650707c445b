package pixeron.app.theme;

import static org.assertj.core.api.Assertions.assertThat;

import atlantafx.base.theme.PrimerLight;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What is omitted of the theme is nowhere in our windows. */
class BinarySheetsTest {

    private static final Pattern STYLE_CLASS = Pattern.compile("\\.([a-z][a-z-]+)");

    private static String text(String sheet) throws IOException {
        return new String(BinarySheets.class.getResourceAsStream(sheet).readAllBytes(), StandardCharsets.UTF_8);
    }

    @Test
    void rulesOfControlsThatAreNowhereAreLeftOut() {
        assertThat(BinarySheets.used("""
                /** .button { } */
                .root { -color-dark: #1b1f24; }
                .button, .spinner .button,
                .check-box { -fx-padding: 4px 8px; }
                .date-picker-popup > .label { -fx-padding: 1px; }
                """)).isEqualTo(".root { -color-dark: #1b1f24; }\n.button, .check-box { -fx-padding: 4px 8px; }\n");
    }

    @Test
    void nothingOfOursIsLeftOut() throws IOException {
        List<String> ours = STYLE_CLASS.matcher(text("/pixeron/app/pixeron.css")).results().map(found -> found.group(1)).distinct().toList();
        assertThat(ours).hasSizeGreaterThan(100).noneMatch(name -> BinarySheets.LEFT_OUT.stream().anyMatch(name::startsWith));
        String theme = BinarySheets.used(text(new PrimerLight().getUserAgentStylesheet()));
        assertThat(theme).contains(".table-view", ".combo-box", ".tab-pane", ".list-view", ".slider", ".tool-bar").doesNotContain(".tree-table", ".date-picker");
    }

    /** A control has its name, with dashes, as its style class. */
    @Test
    void noControlThatIsLeftOutIsUsed() {
        Set<String> used = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("pixeron.app").stream()
                .flatMap(type -> type.getDirectDependenciesFromSelf().stream()).map(dependency -> dependency.getTargetClass())
                .filter(type -> type.getPackageName().startsWith("javafx.scene") || type.getPackageName().startsWith("atlantafx")).map(JavaClass::getSimpleName)
                .map(name -> name.replaceAll("(?<=[a-z])(?=[A-Z])", "-").toLowerCase()).collect(Collectors.toSet());
        assertThat(used).contains("table-view", "combo-box", "toggle-button")
                .noneMatch(name -> BinarySheets.LEFT_OUT.stream().anyMatch(name::startsWith));
    }
}
