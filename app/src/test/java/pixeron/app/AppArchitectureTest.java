package pixeron.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The window's rooms, and who may know whom. */
class AppArchitectureTest {

    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("pixeron");

    @Test
    void thereAreNoCycles() {
        slices().matching("pixeron.app.(**)").should().beFreeOfCycles().check(CLASSES);
    }

    @Test
    void theModelKnowsNoControls() {
        noClasses().that().resideInAPackage("pixeron.app.model..")
                .should().dependOnClassesThat().resideInAnyPackage("javafx.scene..", "javafx.stage..").check(CLASSES);
    }

    @Test
    void coreAndCommandLineKnowNoWindow() {
        noClasses().that().resideOutsideOfPackage("pixeron.app..")
                .should().dependOnClassesThat().resideInAnyPackage("javafx..", "pixeron.app..").check(CLASSES);
    }

    @Test
    void coreKnowsNoCommandLine() {
        noClasses().that().resideOutsideOfPackages("pixeron.app..", "pixeron.cli..")
                .should().dependOnClassesThat().resideInAnyPackage("pixeron.cli..", "picocli..").check(CLASSES);
    }
}
