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
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.work.ByHand;
import pixeron.byhand.work.ColorWork;
import pixeron.byhand.work.StepWork;
import pixeron.chain.Chain;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
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
        boolean isColor = random.nextInt(3) == 0;
        Chain chain = Chain.of(isColor ? color(image, random) : image);
        Map<Branch.Face, ByHand> byHand = new HashMap<>();
        for (int n = random.nextInt(4); n > 0; n--) {
            chain = chain.withStep(random.nextInt(chain.size() + 1), StepArbitraries.step(random, image));
            HandSheet sheet = HandSheet.EMPTY.with(image.pixel(random.nextInt(image.count())), random.nextInt(300)
                    + "/7")
                    .withTolerance(random.nextBoolean() ? Optional.of(Rational.of(1, 3)) : Optional.empty());
            String face = isColor ? random.nextBoolean() ? "green" : "blue" : Image.VALUE;
            byHand.put(new Branch.Face(chain.size(), face), new ByHand(sheet, Map.of()));
            if (random.nextBoolean()) {
                byHand.put(new Branch.Face(chain.size(), isColor ? "red" : Image.VALUE), new ByHand(sheet, Map.of("levels", HandTable.EMPTY.with(Map.of(
                        new HandTable.Place("3", "running"), random.nextInt(9) + "/4",
                        new HandTable.Place("sum", "n"), "abc")),
                        "pixel 0,0", HandTable.EMPTY.with(Map.of(new HandTable.Place("1", "with offset"), "7×3")))));
            }
        }
        if (chain.size() > 0 && random.nextBoolean()) {
            chain = chain.switched(0, false);
        }
        Origin origin = new Origin("proof \"A\".pgm", "pgm", 1, List.of("a note"));
        Project project = new Project("Proof " + seed, new Work(origin, new Branch(Project.FIRST_BRANCH, chain, byHand), List.of()), List.of(), List.of(), Optional.empty());
        if (random.nextBoolean()) {
            project = project.withKernel(new OwnKernel("edge", "kernel weights=\"-1 0 1\""))
                    .withKernel(new OwnKernel("half", "kernel weights=1/2 divisor=1"))
                    .withKernel(new OwnKernel("edge", "kernel weights=\"1 0 -1\""));
        }
        if (random.nextBoolean()) {
            project = project.withImages(List.of(OtherImage.of("pull-2", origin, image), OtherImage.of("ink", new Origin("", "ppm", 3, List.of()),
                    color(image, random))));
        }
        if (!project.images().isEmpty() && random.nextBoolean()) {
            // Work on another image is kept like that on the image itself.
            Project open = project.opened("pull-2").withChain(other -> other.withStep(0, StepArbitraries.step(random, image)));
            open = random.nextBoolean() ? open.branched(-1) : open.withSheet(0, sheet -> sheet.with(image.pixel(0), "3/2"));
            return new SavedProject(random.nextBoolean() ? open : open.atMain(), new View(-1, image.pixel(0)));
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

    private static ColorImage color(Image image, Random random) {
        return new ColorImage(image, image, image, random.nextBoolean() ? Optional.of(image) : Optional.empty());
    }

    /** What the first version wrote: gray made of a color picture in front of the steps, with values by hand of its own. */
    @Test
    void anEarlierProjectHasItsGrayAsAStep() {
        SavedProject saved = ProjectFile.read(Path.of("src/test/resources/project/colour-proof-1.pixeron.json"));
        Project project = saved.project();
        assertThat(project.chain().links()).extracting(link -> link.step().line())
                .containsExactly("gray rule=luma-601", "threshold at=128");
        assertThat(project.chain().input().faces()).extracting(Result.Face::name).containsExactly("red", "green", "blue", "alpha");
        // The image itself was looked at, where the values by hand were; now that is the first step.
        assertThat(saved.view().position()).isZero();
        Operation gray = project.chain().stage(0).operation(Progress.NONE).orElseThrow();
        assertThat(gray.value(new Pixel(4, 9))).isEqualTo(Rational.of(104));
        Check check = Check.of(project.sheet(0), gray);
        assertThat(check.filled()).isEqualTo(24);
        assertThat(check.differing()).hasSize(10);
        assertThat(SlipFinder.find(check, gray).slips()).first().extracting("id").isEqualTo("other-gray-rule");
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

    /** The component "value" has the name that the only image of a gray result has, too. */
    @Test
    void valuesByHandOfColorModelsComeBack(@TempDir Path folder) throws IOException {
        Path path = folder.resolve("work.pixeron.json");
        Project plain = demo("color-proof").withChain(chain -> Chain.of(chain.input()).withStep(0, StepLine.parse("convert to=hsv")));
        Project written = plain.withByHand(0, "hue", none -> none.withSheet(empty -> empty.with(new Pixel(12, 4), "219")))
                .withByHand(0, "value", none -> none.withSheet(empty -> empty.with(new Pixel(12, 4), "63")));
        ProjectFile.write(path, new SavedProject(written, new View(0, new Pixel(0, 0))));
        assertThat(problems(Files.readString(path))).isEmpty();
        Project back = ProjectFile.read(path).project();
        assertThat(back.byHand(0, "hue").sheet()).isEqualTo(written.byHand(0, "hue").sheet());
        assertThat(back.byHand(0, "value").sheet()).isEqualTo(written.byHand(0, "value").sheet());
        assertThat(ProjectWork.of(back, Progress.NONE).stream().filter(work -> work.check().agree() == 1)).hasSize(2);
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
            {whole.replace("\"pixeron\" : 1", "\"pixeron\" : 4"), "newer Pixeron (file version 4)"},
            {whole.replace("multiply factor", "multiply speed"), "steps[0].line is not valid:"},
            {whole.replace("\"rows\" : 8", "\"rows\" : 9"), "image.samples has 8 lines for 9 rows"},
            {whole.replace("\"rows\" : 8", "\"rows\" : 2000000000").replace("\"columns\" : 8",
                    "\"columns\" : 2000000000"), "not a size"},
            {whole.replace("\"on\" : true", "\"on\" : 1"), "steps[0].on is not true or false"},
            {whole.replace("\"maximumLevel\" : 7", "\"maximumLevel\" : 70000"), "from 1 to 65535"},
            {whole.replace("\"0,1\"", "\"0,99999999\""), "outside any image"},
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
        assertThat(levels.byHand(0, Image.VALUE).tables()).containsOnlyKeys("levels");
        assertThat(levels.withChain(chain -> chain.moved(0, 1)).byHand(1, Image.VALUE)).isEqualTo(levels.byHand(0, Image.VALUE));
        assertThat(levels.withChain(chain -> chain.removed(0)).present().byHand()).isEmpty();
        Project project = DemoCases.all().get(2).saved().project();
        assertThat(project.sheet(0).isEmpty()).isFalse();
        Branch.Face first = new Branch.Face(1, Image.VALUE);
        assertThat(project.withChain(chain -> chain.moved(0, 2)).sheet(2)).isEqualTo(project.sheet(0));
        assertThat(project.withChain(chain -> chain.removed(0)).present().byHand()).doesNotContainKey(first);
        assertThat(project.withSheet(0, sheet -> HandSheet.EMPTY).present().byHand()).doesNotContainKey(first);
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
        Map<String, String> ofPlaces = Map.of("two-pulls", "border-zero", "banded-proof", "period-for-cycles", "border-strip", "flipped-other-way",
                "dusty-strip", "other-energy", "light-and-dark-proof", "wrapped");
        for (DemoCase demo : cases) {
            Project project = demo.saved().project();
            if (project.chain().input() instanceof ColorImage || demo.id().equals("laid-paper")) {
                continue;
            }
            var stage = project.chain().stage(0);
            var operation = stage.operation(pixeron.step.Progress.NONE).orElseThrow();
            var check = pixeron.byhand.Check.of(project.sheet(0), operation);
            assertThat(check.differing()).as(demo.id()).isNotEmpty();
            assertThat(check.agree()).as(demo.id()).isPositive();
            assertThat(pixeron.byhand.slip.search.SlipFinder.find(check, operation).slips())
                    .as(demo.id()).first().extracting("id").isEqualTo(expected.getOrDefault(demo.id(), ofPlaces.get(demo.id())));
        }
        Image faint = cases.get(2).saved().project().chain().source();
        assertThat(pixeron.image.ImageFacts.of(faint).smallest()).isEqualTo(Rational.of(96));
        assertThat(pixeron.image.ImageFacts.of(faint).largest()).isEqualTo(Rational.of(164));
    }

    /** What was written for later steps of the cases about places, two images and a disturbance. */
    @Test
    void casesOfPlacesShowTheirLaterSlips() {
        assertThat(found("two-pulls", 1)).containsExactly("not-absolute");
        assertThat(found("banded-proof", 2)).containsExactly("pair-forgotten");
        assertThat(found(demo("banded-proof").onBranch("B"), 1)).containsExactly("not-absolute");
        assertThat(found("laid-paper", 0)).containsExactly("sign-of-angle");
        // Without the pair of the bands nothing of them is left.
        assertThat(demo("banded-proof").chain().stage(3).after(Progress.NONE).image()).isEqualTo(demo("banded-proof").chain().source());
        assertThat(found("border-strip", 1)).isEmpty();
        assertThat(found("border-strip", 2)).containsExactly("corner-for-size");
        Project pulls = demo("two-pulls");
        assertThat(pulls.branches()).containsExactly("A", "B");
        // What is left after the second pull is moved back is the hair of five pixels.
        Image hair = pulls.chain().stage(2).after(Progress.NONE).image();
        assertThat(ImageFacts.of(hair).mean()).isEqualTo(Rational.of(255 * 5, 256));
    }

    /** A set pixel whose row and column were exchanged in every channel, and an image with a slip in a step of its own. */
    @Test
    void casesOfPixelsAndOfTwoWorksShowTheirSlips() {
        Project marks = demo("registration-marks");
        ColorWork set = ProjectWork.color(marks, 0, ProjectWork.of(marks, Progress.NONE), Progress.NONE).orElseThrow();
        assertThat(set.check().differing()).hasSize(6);
        assertThat(set.findings(new SlipFinder(set.faces()), Progress.NONE).slips()).first().extracting("id").isEqualTo("place-swapped");
        ColorImage framed = (ColorImage) marks.chain().stage(2).after(Progress.NONE).required();
        assertThat(framed.face("red").orElseThrow().level(0)).as("the diagonal outside the frame").isZero();
        assertThat(framed.face("blue").orElseThrow().value(new Pixel(1, 6))).as("the frame's corner").isEqualTo(Rational.of(0x9A));
        Project proofs = demo("light-and-dark-proof");
        assertThat(found(proofs.opened("even"), 0)).containsExactly("wrong-operation");
        assertThat(found(proofs, 1)).isEmpty();
        // 214 of paper and 60 more are 255 at most; even paper of 190 is stretched back to 255.
        assertThat(proofs.chain().stage(1).after(Progress.NONE).image().level(0)).isEqualTo(255);
    }

    private static Project demo(String id) {
        return DemoCases.all().stream().filter(demo -> demo.id().equals(id)).findFirst().orElseThrow().saved().project();
    }

    private static List<String> found(String id, int position) {
        return found(demo(id), position);
    }

    private static List<String> found(Project project, int position) {
        return ProjectWork.of(project, Progress.NONE).stream().filter(work -> work.position() == position).flatMap(work ->
                work.findings(Progress.NONE).slips().stream()).map(slip -> slip.id()).toList();
    }

    /** Three slips that only all channels together show, and one in the gray at the end. */
    @Test
    void theColorProofShowsTheSlipsOfColor() {
        Project project = demo("color-proof");
        List<StepWork> works = ProjectWork.of(project, Progress.NONE);
        Map<Integer, String> expected = Map.of(0, "carried-over", 1, "mask-slip", 3, "channels-swapped");
        expected.forEach((position, id) -> {
            ColorWork work = ProjectWork.color(project, position, works, Progress.NONE).orElseThrow();
            assertThat(work.check().filled()).isEqualTo(72);
            assertThat(work.check().agree()).as(id).isPositive();
            assertThat(work.findings(new SlipFinder(work.faces()), Progress.NONE).slips()).first().extracting("id").isEqualTo(id);
        });
        assertThat(works.stream().filter(work -> work.position() == 4).findFirst().orElseThrow().findings(Progress.NONE).slips())
                .first().extracting("id").isEqualTo("other-gray-rule");
        assertThat(ProjectWork.color(project, 4, works, Progress.NONE)).isEmpty();
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

    /** A target that was a file: the project opens, and the step says what it misses. */
    @Test
    void anEarlierTargetIsNamedLikeAnotherImage(@TempDir Path folder) throws IOException {
        Path path = folder.resolve("earlier.pixeron.json");
        Image image = Image.of(7, new int[][] {{1, 2}});
        Project project = Project.of("Earlier", new Origin("sort.pgm", "pgm", 1, List.of()), Chain.of(image).withStep(0,
                StepLine.parse("match with=target.pgm")));
        ProjectFile.write(path, new SavedProject(project, new View(0, new Pixel(0, 0))));
        Files.writeString(path, Files.readString(path).replace("match with=", "match image="));
        Chain read = ProjectFile.read(path).project().chain();
        assertThat(read.stage(0).link().step().line()).isEqualTo("match with=target.pgm");
        assertThatThrownBy(() -> read.last(Progress.NONE).required()).hasMessageContaining("Step 1: There is no image target.pgm.");
    }
}
