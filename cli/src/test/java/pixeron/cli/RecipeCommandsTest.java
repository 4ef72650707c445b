package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.chain.Chain;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.catalog.StepLine;

/** The steps of a project on other images, and many images at once. */
class RecipeCommandsTest extends CommandTest {

    private Path project;

    /** Twice as bright and one more, on an image of its own. */
    @BeforeEach
    void writeProject() {
        project = folder.resolve("work.pixeron.json");
        Project made = Project.of("work", new Origin("x", "table", 1, List.of()), Chain.of(Image.of(255, new int[][] {{9}}))
                .withStep(0, StepLine.parse("multiply factor=2")).withStep(1, StepLine.parse("add amount=1"))).branched(0);
        ProjectFile.write(project, new SavedProject(made, new View(0, new Pixel(0, 0))));
    }

    @Test
    void aProjectBringsTheSteps() throws IOException {
        Path out = folder.resolve("out.csv");
        assertThat(pixeron("run", image, "--steps", project, "--out", out)).isZero();
        assertThat(out).hasContent("255,195,193\n255,197,203\n");
        assertThat(pixeron("run", image, "--steps", project, "--branch", "B", "--out", out)).isZero();
        assertThat(out).hasContent("255,194,192\n255,196,202\n");
        assertThat(pixeron("explain", image, "--steps", project, "--at", "0,1")).isZero();
        assertThat(output).contains("194 + 1", "= 195");
        assertThat(pixeron("check", image, "--steps", project, "--by-hand", write("hand.csv", "255,195,193\n255,197,203\n"))).isZero();
        assertThat(pixeron("table", image, "--steps", project, "--table", "histogram", "--format", "csv")).isZero();
        assertThat(output).contains("\n193,1,");
        assertThat(pixeron("report", image, "--steps", project, "--out", folder.resolve("report.md"))).isZero();
        assertThat(folder.resolve("report.md")).content().contains("multiply");
        assertBad("--steps and --step cannot be combined", "run", image, "--steps", project, "--step", "invert", "--out", out);
        assertBad("no branch “Z”; it has A, B", "run", image, "--steps", project, "--branch", "Z", "--out", out);
        assertBad("--branch needs --steps PROJECT", "run", image, "--branch", "A", "--out", out);
    }

    /** A line for each; what goes wrong with one says why, and the others are written. */
    @Test
    void manyImagesGoIntoAFolder() throws IOException {
        Files.createDirectories(folder.resolve("proofs/inner"));
        write("proofs/a.pgm", "P2 2 1 255 1 2");
        write("proofs/bad.csv", "1,x\n");
        write("proofs/inner/c.ppm", "P3 1 1 255 1 2 3");
        Path results = folder.resolve("results");
        assertThat(pixeron("run", folder.resolve("proofs"), image, "--steps", project, "--out-folder", results)).isEqualTo(1);
        List<String> lines = output.lines().toList();
        assertThat(lines).hasSize(4);
        assertThat(lines.get(0)).endsWith("a.pgm\t1 × 2\t" + results.resolve("a.pgm"));
        assertThat(lines.get(1)).contains("bad.csv\t–\t").contains("“x”".replace('“', '"').replace('”', '"') + " is not a number");
        assertThat(lines.get(2)).endsWith("1 × 1\t" + results.resolve("inner/c.ppm"));
        assertThat(lines.get(3)).endsWith("2 × 3\t" + results.resolve("proof.txt"));
        assertThat(results.resolve("proof.txt")).hasContent("255 195 193\n255 197 203\n");
        assertThat(results.resolve("bad.csv")).doesNotExist();
        // A second time nothing is replaced unasked.
        assertThat(pixeron("run", image, "--steps", project, "--out-folder", results)).isEqualTo(1);
        assertThat(output).contains("already exists");
        assertThat(pixeron("run", image, "--step", "invert", "--out-folder", results, "--replace")).isZero();
        assertThat(results.resolve("proof.txt")).hasContent("118 158 159\n91 157 154\n");
        assertThat(pixeron("run", folder.resolve("proofs/*.pgm"), "--step", "invert", "--out-folder", results, "--format", "csv")).isZero();
        assertThat(results.resolve("a.csv")).hasContent("254,253\n");
    }

    @Test
    void oneWayToWrite() {
        assertBad("Missing required option --out FILE, or --out-folder", "run", image);
        assertBad("Use one of them", "run", image, "--out", folder.resolve("o.csv"), "--out-folder", folder);
        assertBad("there are 2 images. Use --out-folder", "run", image, image, "--out", folder.resolve("o.csv"));
        assertBad("--replace works with --out-folder only; with --out, the ending sets the format, and the file is replaced", "run", image, "--out", folder.resolve("o.csv"), "--replace");
        assertBad("would have the same name", "run", image, image, "--out-folder", folder.resolve("results"));
        assertBad("would replace the input", "run", image, "--out-folder", folder, "--replace");
        assertThat(folder.resolve("results")).doesNotExist();
    }
}
