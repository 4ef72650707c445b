package pixeron.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** Which files are read and written, and the chain of a project on other images. */
class BatchTest {

    private static final Optional<String> OWN = Optional.empty();

    @TempDir
    private Path folder;
    private Path proofs;
    private Path results;

    @BeforeEach
    void writeProofs() throws IOException {
        proofs = Files.createDirectories(folder.resolve("proofs/inner")).getParent();
        results = folder.resolve("results");
        for (String name : List.of("a.pgm", "b.PGM", "inner/a.pgm", "words.md", ".hidden.pgm")) {
            Files.writeString(proofs.resolve(name), "P2 2 1 7 1 2");
        }
    }

    private List<String> outs(Optional<String> ending, Path... given) {
        return Batch.plan(List.of(given), results, ending, false).items().stream().map(item -> results.relativize(item.out()).toString()).toList();
    }

    @Test
    void namesAndPathsBelowAFolderAreKept() {
        assertThat(outs(OWN, proofs)).containsExactly("a.pgm", "b.PGM", Path.of("inner", "a.pgm").toString());
        assertThat(outs(Optional.of("png"), proofs)).containsExactly("a.png", "b.png", Path.of("inner", "a.png").toString());
        assertThat(outs(OWN, proofs.resolve("inner/a.pgm"), proofs.resolve("b.PGM"))).containsExactly("a.pgm", "b.PGM");
    }

    @Test
    void patternsAreForTheLastPartOfAPath() {
        assertThat(outs(OWN, proofs.resolve("[ab].pgm"))).containsExactly("a.pgm");
        assertThat(outs(OWN, proofs.resolve("{a,b}.*"))).containsExactly("a.pgm", "b.PGM");
        assertThatThrownBy(() -> outs(OWN, proofs.resolve("*.tif"))).isInstanceOf(PixeronException.class).hasMessageContaining("No file name matches");
    }

    /** Nothing is written before it is known that no result takes the place of another one or of what is read. */
    @Test
    void whatWouldCollideIsRefusedAtOnce() {
        assertThatThrownBy(() -> outs(OWN, proofs.resolve("a.pgm"), proofs.resolve("inner/a.pgm"))).isInstanceOf(PixeronException.class)
                .hasMessageContaining("would have the same name,");
        assertThatThrownBy(() -> Batch.plan(List.of(proofs.resolve("a.pgm")), proofs, OWN, true)).isInstanceOf(PixeronException.class)
                .hasMessageContaining("The results would replace the input");
        assertThatThrownBy(() -> outs(Optional.of("docx"), proofs)).isInstanceOf(PixeronException.class);
        assertThat(results).doesNotExist();
    }

    @Test
    void oneThatGoesWrongLeavesTheOthersAlone() {
        Batch batch = Batch.plan(List.of(proofs), results, OWN, false);
        List<Batch.Done> done = batch.items().stream().map(item -> batch.apply(item, (file, out) -> {
            if (file.endsWith("b.PGM")) {
                throw PixeronException.of("No ink.");
            }
            return write(out);
        })).toList();
        assertThat(done).extracting(Batch.Done::problem).containsExactly(Optional.empty(), Optional.of("No ink."), Optional.empty());
        assertThat(results.resolve("inner/a.pgm")).hasContent("made");
        // A second time what is there stays, unless it may be replaced.
        assertThat(batch.apply(batch.items().get(0), (file, out) -> write(out)).problem().orElseThrow()).contains("already exists");
        Batch replacing = Batch.plan(List.of(proofs.resolve("a.pgm")), results, OWN, true);
        assertThat(replacing.apply(replacing.items().get(0), (file, out) -> write(out)).problem()).isEmpty();
        // Results of before that lie below the folder are not read again.
        assertThat(Batch.plan(List.of(folder), results, OWN, false).items()).hasSize(3);
    }

    private static Frame write(Path out) {
        try {
            Files.writeString(out, "made");
        } catch (IOException impossible) {
            throw new java.io.UncheckedIOException(impossible);
        }
        return new Frame(1, 2, 7);
    }

    /** 3 4 on an image of its own, 1 2 and 10 20 for the recipe: first all of it, then its other branch, then with a step in front. */
    @Test
    void theChainOfAProjectOnAnotherImage() {
        Image own = Image.of(255, new int[][] {{3, 4}});
        Image other = Image.of(255, new int[][] {{10, 20}});
        Project project = Project.of("proof", new Origin("proof.pgm", "pgm", 1, List.of()), Chain.of(own).withStep(0, StepLine.parse("add amount=1"))
                .withStep(1, StepLine.parse("combine with=step:1 by=sum"))).withImage("inks", new Origin("inks.pgm", "pgm", 1, List.of()), other);
        Project branched = project.branched(0).withChain(chain -> chain.withStep(1, StepLine.parse("combine with=inks by=sum")));
        Chain start = Chain.of(Image.of(255, new int[][] {{1, 2}}));
        assertThat(Recipe.of(branched, Optional.empty()).on(start).last(Progress.NONE).image()).isEqualTo(Image.of(255, new int[][] {{4, 6}}));
        assertThat(Recipe.of(branched, Optional.of("B")).on(start).last(Progress.NONE).image()).isEqualTo(Image.of(255, new int[][] {{12, 23}}));
        // References to steps move with a step in front.
        Chain inFront = start.withStep(0, StepLine.parse("multiply factor=2"));
        assertThat(Recipe.of(branched, Optional.of("A")).on(inFront).last(Progress.NONE).image()).isEqualTo(Image.of(255, new int[][] {{6, 10}}));
        // An image of the same name that is given with the command goes before that of the project.
        Chain named = start.withImages(java.util.Map.of("inks", own));
        assertThat(Recipe.of(branched, Optional.of("B")).on(named).last(Progress.NONE).image()).isEqualTo(Image.of(255, new int[][] {{5, 7}}));
        assertThatThrownBy(() -> Recipe.of(branched, Optional.of("Z"))).hasMessageContaining("no branch “Z”; it has A, B");
    }
}
