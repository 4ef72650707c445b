package pixeron.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.lifecycle.AfterProperty;
import net.jqwik.api.lifecycle.BeforeProperty;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.chain.Chain;
import pixeron.image.ColourImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;
import pixeron.step.StepArbitraries;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.GraySource;
import pixeron.step.gray.Transparency;
import pixeron.walk.ScanOrder;
import pixeron.walk.Score;

class ProjectFileTest {

    private static final Path SCHEMA = Path.of("../docs/project-schema.json");

    private Path file;

    @BeforeProperty
    void makeFile() throws IOException {
        file = Files.createTempFile("project", ProjectFile.ENDING);
    }

    @AfterProperty
    void deleteFile() throws IOException {
        Files.deleteIfExists(file);
    }

    private static SavedProject random(long seed) {
        Random random = new Random(seed);
        Image image = StepArbitraries.image(random);
        Chain chain = Chain.of(image);
        Map<Integer, HandSheet> sheets = new HashMap<>();
        Map<Integer, Map<String, HandTable>> tables = new HashMap<>();
        for (int n = random.nextInt(4); n > 0; n--) {
            chain = chain.withStep(random.nextInt(chain.size() + 1), StepArbitraries.step(random, image));
            HandSheet sheet = HandSheet.EMPTY.with(image.pixel(random.nextInt(image.count())), random.nextInt(300)
                    + "/7")
                    .withTolerance(random.nextBoolean() ? Optional.of(Rational.of(1, 3)) : Optional.empty());
            sheets.put(chain.size(), sheet);
            if (random.nextBoolean()) {
                tables.put(chain.size(), Map.of("levels", HandTable.EMPTY.with(Map.of(
                        new HandTable.Place("3", "running"), random.nextInt(9) + "/4",
                        new HandTable.Place("sum", "n"), "abc")),
                        "pixel 0,0", HandTable.EMPTY.with(Map.of(new HandTable.Place("1", "with offset"), "7×3"))));
            }
        }
        if (chain.size() > 0 && random.nextBoolean()) {
            chain = chain.switched(0, false);
        }
        Origin origin = new Origin("proof \"A\".pgm", "pgm", 1, List.of("a note"));
        Optional<GraySource> gray = image.isLevelImage() && random.nextBoolean() ? Optional.of(colour(image, random))
                : Optional.empty();
        if (gray.isPresent()) {
            chain = chain.onSource(gray.get().image());
            sheets.put(Project.GRAY_ID, HandSheet.EMPTY.with(new Pixel(0, 0), "12"));
        }
        Project project = new Project("Proof " + seed, origin, gray, new Branch(Project.FIRST_BRANCH, chain, sheets, tables), List.of(), List.of());
        if (random.nextBoolean()) {
            project = project.withKernel(new OwnKernel("edge", "kernel weights=\"-1 0 1\""))
                    .withKernel(new OwnKernel("half", "kernel weights=1/2 divisor=1"))
                    .withKernel(new OwnKernel("edge", "kernel weights=\"1 0 -1\""));
        }
        if (chain.size() > 0 && random.nextBoolean()) {
            project = project.branched(0).onBranch(random.nextBoolean() ? "A" : "B");
            return new SavedProject(project, new View(0, new Pixel(0, 0)));
        }
        return new SavedProject(project,
                new View(chain.size() - 1, image.pixel(image.count() - 1), List.of(new Pixel(0, 0)),
                        walk(random), random.nextInt(4) - 1));
    }

    private static Optional<SavedWalk> walk(Random random) {
        Optional<ScanOrder> order = random.nextBoolean() ? Optional.of(ScanOrder.COLUMNS) : Optional.empty();
        return random.nextBoolean() ? Optional.empty() : Optional.of(new SavedWalk(order, order.isPresent() ? List.of()
                : List.of(new Pixel(0, 1), new Pixel(0, 0)), random.nextInt(9), random.nextBoolean(), random.nextBoolean(),
                new Score(2, random.nextInt(3))));
    }

    private static GraySource colour(Image image, Random random) {
        List<String> rules = List.of("mean", "luma-709", "maximum", "weights 0.5 0.25 0.25");
        ColourImage picture = new ColourImage(image, image, image,
                random.nextBoolean() ? Optional.of(image) : Optional.empty());
        return new GraySource(picture, GrayRule.parse(rules.get(random.nextInt(4))), Transparency.OVER_BLACK);
    }

    @Property(tries = 100)
    void savedAndOpenedIsTheSameProjectAndFitsTheSchema(@ForAll long seed) throws IOException {
        SavedProject saved = random(seed);
        ProjectFile.write(file, saved);
        assertThat(ProjectFile.read(file)).isEqualTo(saved);
        assertThat(problems(Files.readString(file))).isEmpty();
    }

    private static java.util.Set<?> problems(String json) throws IOException {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(SCHEMA)).validate(json, InputFormat.JSON);
    }

    @Test
    void theSchemaRefusesWhatIsNoProject() throws IOException {
        assertThat(problems("{\"pixeron\": 1}")).isNotEmpty();
    }

    @Test
    void doublesComeBackAsTheSameDoubles(@TempDir Path folder) {
        Image image = Image.from(1, 2, 255, Approximate.from(Math.PI), Approximate.from(1e-7));
        SavedProject saved = new SavedProject(Project.of("roots", new Origin("x", "table", 1, List.of()), image),
                new View(-1, new Pixel(0, 1)));
        ProjectFile.write(folder.resolve("a.pixeron.json"), saved);
        assertThat(ProjectFile.read(folder.resolve("a.pixeron.json"))).isEqualTo(saved);
    }

    @Test
    void damagedFilesAreNamedWithThePlace(@TempDir Path folder) throws IOException {
        Path path = folder.resolve("work.pixeron.json");
        ProjectFile.write(path, DemoCases.all().get(0).saved());
        String whole = Files.readString(path);
        String[][] damages = {
            {whole.substring(0, whole.length() / 2), "damaged: line"},
            {"", "not a Pixeron project"},
            {"[1, 2]", "not a Pixeron project"},
            {"{\"a\": 1}", "\"pixeron\" with its version is missing"},
            {whole.replace("\"pixeron\" : 1", "\"pixeron\" : 2"), "newer Pixeron (file version 2)"},
            {whole.replace("multiply factor", "multiply speed"), "steps[0].line is not understood"},
            {whole.replace("\"rows\" : 8", "\"rows\" : 9"), "image.samples has 8 lines for 9 rows"},
            {whole.replace("\"rows\" : 8", "\"rows\" : 2000000000").replace("\"columns\" : 8",
                    "\"columns\" : 2000000000"), "not a size"},
            {whole.replace("\"on\" : true", "\"on\" : 1"), "steps[0].on is not true or false"},
            {whole.replace("\"maximumLevel\" : 7", "\"maximumLevel\" : 70000"), "from 1 to 65535"},
            {whole.replace("\"0,1\"", "\"0,9\""), "outside the image"},
            {whole.replace("\"name\"", "\"nam\""), "name is missing"},
            {whole.replace("\"id\" : 2", "\"id\" : 1"), "steps[1].id"}};
        for (String[] damage : damages) {
            assertThat(damage[0]).isNotEqualTo(whole);
            Files.writeString(path, damage[0]);
            assertThatThrownBy(() -> ProjectFile.read(path)).as(damage[1]).isInstanceOf(PixeronException.class)
                    .hasMessageContaining(damage[1]).hasMessageContaining("work.pixeron.json");
        }
    }

    @Test
    void removingAStepRemovesItsValuesByHandAndMovingKeepsThem() {
        Project levels = DemoCases.all().get(1).saved().project();
        assertThat(levels.tables(0)).containsOnlyKeys("levels");
        assertThat(levels.withChain(chain -> chain.moved(0, 1)).tables(1)).isEqualTo(levels.tables(0));
        assertThat(levels.withChain(chain -> chain.removed(0)).tables()).isEmpty();
        Project project = DemoCases.all().get(2).saved().project();
        assertThat(project.sheet(0).isEmpty()).isFalse();
        assertThat(project.withChain(chain -> chain.moved(0, 2)).sheet(2)).isEqualTo(project.sheet(0));
        assertThat(project.withChain(chain -> chain.removed(0)).sheets()).doesNotContainKey(1);
        assertThat(project.withSheet(0, sheet -> HandSheet.EMPTY).sheets()).doesNotContainKey(1);
    }

    @Test
    void demoCasesAreTheSameAtEveryCallAndShowTheirSlip() {
        List<DemoCase> cases = DemoCases.all();
        assertThat(cases).extracting(DemoCase::saved)
                .isEqualTo(DemoCases.all().stream().map(DemoCase::saved).toList());
        assertThat(cases).extracting(DemoCase::id).doesNotHaveDuplicates().contains("three-bit-sort", "speckled-proof");
        Map<String, String> expected = Map.of("three-bit-sort", "rounded-down",
                "levels-of-the-sort", "rounded-down", "faint-proof", "rounded-down",
                "dusty-ornament", "rounded-down", "faint-proof-large", "not-rounded", "speckled-proof", "not-clipped", "unevenly-lit-proof", "wrapped");
        for (DemoCase demo : cases) {
            Project project = demo.saved().project();
            if (project.gray().isPresent()) {
                var gray = pixeron.byhand.Check.of(project.sheet(Project.SOURCE), project.gray().get());
                assertThat(gray.differing()).as(demo.id()).isNotEmpty();
                assertThat(gray.agree()).as(demo.id()).isPositive();
                assertThat(project.withoutColour().sheets()).isEmpty();
                continue;
            }
            var stage = project.chain().stage(0);
            var operation = stage.operation(pixeron.step.Progress.NONE).orElseThrow();
            var check = pixeron.byhand.Check.of(project.sheet(0), operation);
            assertThat(check.differing()).as(demo.id()).isNotEmpty();
            assertThat(check.agree()).as(demo.id()).isPositive();
            assertThat(pixeron.byhand.slip.search.SlipFinder.find(check, operation).slips())
                    .as(demo.id()).first().extracting("id").isEqualTo(expected.get(demo.id()));
        }
        Image faint = cases.get(2).saved().project().chain().source();
        assertThat(pixeron.image.ImageFacts.of(faint).smallest()).isEqualTo(Rational.of(96));
        assertThat(pixeron.image.ImageFacts.of(faint).largest()).isEqualTo(Rational.of(164));
    }

    @Test
    void aBranchGoesOnFromItsStepInItsOwnWay() {
        Project project = DemoCases.all().get(2).saved().project();
        Project branched = project.branched(0).withChain(chain -> chain.withStep(1,
                pixeron.step.catalog.StepLine.parse("invert")));
        assertThat(branched.branches()).containsExactly("A", "B");
        assertThat(branched.branch()).isEqualTo("B");
        assertThat(branched.chain().links()).extracting(link -> link.step().type().name())
                .containsExactly("linear", "invert");
        assertThat(branched.sheet(0)).isEqualTo(project.sheet(0));
        // What is written on one branch leaves the other alone; what is drawn on the image shows on both.
        Project written = branched.withSheet(0, sheet -> HandSheet.EMPTY);
        assertThat(written.onBranch("A").sheet(0)).isEqualTo(project.sheet(0));
        Image white = Image.ofLevels(16, 16, 255, n -> 255);
        Project drawn = branched.withChain(chain -> chain.onSource(white));
        assertThat(drawn.chain("A").source()).isEqualTo(white);
        assertThat(branched.onBranch("A").onBranch("B")).isEqualTo(branched);
        assertThat(branched.withoutBranch()).isEqualTo(project);
        assertThat(project.withoutBranch()).isEqualTo(project);
    }
}
