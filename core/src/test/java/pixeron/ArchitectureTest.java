package pixeron;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The house: rooms without cycles, and a core that knows no window. */
@AnalyzeClasses(packages = "pixeron", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule NO_CYCLES = slices().matching("pixeron.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NO_WINDOW = noClasses().should().dependOnClassesThat()
            .resideInAnyPackage("javafx..", "javax.swing..", "java.awt", "java.awt.event..");

    @ArchTest
    static final ArchRule PICTURES_ARE_DECODED_IN_ONE_ROOM = noClasses().that()
            .resideOutsideOfPackage("pixeron.format..")
            .should().dependOnClassesThat().resideInAnyPackage("java.awt..", "javax.imageio..");

    @ArchTest
    static final ArchRule ALGORITHMS_STAY_OUT_OF_THE_DATA = noClasses().that().resideInAnyPackage("pixeron.number..",
            "pixeron.image..")
            .should().dependOnClassesThat().resideInAnyPackage("pixeron.step..", "pixeron.format..", "pixeron.chain..");
}
