package pixeron;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/**
 * The house: rooms without cycles, and a core that knows no window.
 *
 * <p>Plain tests, because rules in fields are passed over when the build names the tests that it wants.
 */
class ArchitectureTest {

    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("pixeron");

    @Test
    void thereAreNoCycles() {
        slices().matching("pixeron.(**)").should().beFreeOfCycles().check(CLASSES);
    }

    @Test
    void thereIsNoWindow() {
        noClasses().should().dependOnClassesThat()
                .resideInAnyPackage("javafx..", "javax.swing..", "java.awt", "java.awt.event..").check(CLASSES);
    }

    @Test
    void picturesAreDecodedInOneRoom() {
        noClasses().that().resideOutsideOfPackage("pixeron.format..")
                .should().dependOnClassesThat().resideInAnyPackage("java.awt..", "javax.imageio..").check(CLASSES);
    }

    @Test
    void algorithmsStayOutOfTheData() {
        noClasses().that().resideInAnyPackage("pixeron.number..", "pixeron.image..")
                .should().dependOnClassesThat().resideInAnyPackage("pixeron.step..", "pixeron.format..", "pixeron.chain..")
                .check(CLASSES);
    }

    @Test
    void aRuleThatIsBrokenIsSaid() {
        assertThatThrownBy(() -> noClasses().should().dependOnClassesThat().resideInAnyPackage("java.util..").check(CLASSES))
                .isInstanceOf(AssertionError.class);
    }
}
