package pixeron.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The window's rooms, and who may know whom. */
@AnalyzeClasses(packages = "pixeron", importOptions = ImportOption.DoNotIncludeTests.class)
class AppArchitectureTest {

    @ArchTest
    static final ArchRule NO_CYCLES = slices().matching("pixeron.app.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule THE_MODEL_KNOWS_NO_CONTROLS = noClasses().that().resideInAPackage("pixeron.app.model..")
            .should().dependOnClassesThat().resideInAnyPackage("javafx.scene..", "javafx.stage..");

    @ArchTest
    static final ArchRule CORE_AND_COMMAND_LINE_KNOW_NO_WINDOW = noClasses().that()
            .resideOutsideOfPackage("pixeron.app..")
            .should().dependOnClassesThat().resideInAnyPackage("javafx..", "pixeron.app..");

    @ArchTest
    static final ArchRule CORE_KNOWS_NO_COMMAND_LINE = noClasses().that().resideOutsideOfPackages("pixeron.app..",
            "pixeron.cli..")
            .should().dependOnClassesThat().resideInAnyPackage("pixeron.cli..", "picocli..");
}
