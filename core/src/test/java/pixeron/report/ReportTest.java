package pixeron.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.format.CellTable;
import pixeron.image.Image;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

class ReportTest {

    @TempDir
    private Path folder;

    /** 1.5 · r of 1, 3, 5, 4: 1.5, 4.5, 7.5, 6; the fractions dropped, one value simply wrong. */
    private static Project work() {
        Image image = Image.of(15, new int[][] {{1, 3}, {5, 4}, {7, 2}});
        Project project = Project.of("Two <rows>", new Origin("typed", "table", 1, List.of()), image)
                .withChain(chain -> chain.withStep(0, StepLine.parse("multiply factor=1.5")).withStep(1,
                        StepLine.parse("threshold at=4")));
        HandSheet first = HandSheet.of(CellTable.parse("1,4\n7,6\n10,9"), image.frame());
        // 7 · 1.5 = 10.5 and 2 · 1.5 = 3. Over 4 is 15.
        HandSheet second = HandSheet.of(CellTable.parse("0,0\n15,15\n15,15"), image.frame());
        return project.withSheet(0, old -> first).withSheet(1, old -> second);
    }

    private static Report report(Project project) {
        return ReportMaker.of(project, Progress.NONE);
    }

    private String pdf(Report report) throws IOException {
        Path file = folder.resolve("page.pdf");
        ReportFile.write(file, report);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void itSaysWhatWasWrittenWhatIsRightAndWhy() throws IOException {
        Path file = folder.resolve("page.md");
        ReportFile.write(file, report(work()));
        String text = Files.readString(file);
        assertThat(text).contains("# Two &lt;rows>", "First mistake: step 1, row 0, column 0. You wrote 1; the correct value is 2.",
                "    multiply factor=1.5", "6 of 6 filled · 1 agree · 5 differ · score 17 of 100",
                "| **0** | 1 ▼ | 4 ▼ |", "| **1** | 7 ▼ | 6 ✓ |", "| **2** | 10 ▼ | 9 ▲ |",
                "4 of the 5 differing cells are what you get when the fraction is dropped instead of rounded. (Rounded down)",
                "No known slip explains: row 2, column 1 is 6 too large.",
                "1.5 → 2   nearest", "▸ round", "1.5 → 1");
        // With 4 instead of 5 in row 0, and 9 instead of 3 in row 2, two of the next step follow.
        assertThat(text).contains("2 differing cells (↳) are correct, given the values by hand of step 1.", "| **0** | 0 ✓ | 0 ↳ |");
    }

    /** Names come from others: in Markdown they are words, and nothing that a page would run, open or begin anew. */
    @Test
    void namesAreWordsInMarkdown() throws IOException {
        String name = "a\n# b <script>x</script> [c](javascript:x) <javascript:x>\n[d]: javascript:x ```";
        Project project = Project.of(name, new Origin(name, "table", 1, List.of()), Image.of(3, new int[][] {{0, 1}})).withChain(chain -> chain.withStep(0, StepLine.parse("invert")));
        Path file = folder.resolve("page.md");
        ReportFile.write(file, report(project));
        assertThat(Files.readAllLines(file)).noneMatch(line -> line.startsWith("# b") || line.startsWith("[d]:"))
                .noneMatch(line -> line.contains("<script") || line.contains("</script") || line.contains("](") && !line.contains("\\](") || line.contains("<javascript"))
                .anyMatch(line -> line.contains("&lt;script>x&lt;/script>"));
    }

    @Test
    void allFormatsSayTheSame() throws IOException {
        String pdf = pdf(report(work())).replaceAll("\\s+", " ");
        assertThat(pdf).contains("Two <rows>", "First mistake: step 1, row 0, column 0. You wrote 1; the correct value is 2.",
                "4 of the 5 differing cells are what you get when the fraction is dropped instead of rounded.", "↳", "✓", "▼");
        Path file = folder.resolve("page.html");
        ReportFile.write(file, report(work()));
        assertThat(Files.readString(file)).contains("<title>Two &lt;rows&gt;</title>", "<td class=\"wrong\">1▼</td>",
                "<td class=\"follows\">0↳</td>", "<td class=\"agrees\">6✓</td>", "class=\"parts\">▸ round")
                .doesNotContain("Two <rows>");
    }

    @Test
    void tablesByHandStandInIt() throws IOException {
        Image image = Image.of(3, new int[][] {{0, 1, 1, 3}});
        // Counts 1, 2, 0, 1; running 1, 3, 3, 4, and here from level 1 on one too few.
        Project project = Project.of("Counts", new Origin("typed", "table", 1, List.of()), image)
                .withChain(chain -> chain.withStep(0, StepLine.parse("equalize")))
                .withTable(0, "levels", none -> HandTable.EMPTY.with(Map.of(new HandTable.Place("0", "running"), "1",
                        new HandTable.Place("1", "running"), "2", new HandTable.Place("2", "running"), "2",
                        new HandTable.Place("3", "running"), "3")));
        String text = pdf(report(project)).replaceAll("\\s+", " ");
        assertThat(text).contains("First mistake: step 1, Levels table, k = 1, cumulative C. You wrote 2; the correct value is 3. 2 later differences follow.",
                "Levels table by hand", "From k = 1 on, the cumulative count is 1 too small. (Wrong cumulative count)");
    }

    @Test
    void everyDemoCaseHasAReport() throws IOException {
        for (DemoCase demo : DemoCases.all()) {
            String text = pdf(report(demo.saved().project()));
            assertThat(text).as(demo.id()).contains(demo.saved().project().name()).contains("agree").doesNotContain("? ?");
        }
    }

    @Test
    void anotherEndingIsRefusedAndTheFileStays() throws IOException {
        Path file = folder.resolve("page.txt");
        Files.writeString(file, "mine");
        assertThatThrownBy(() -> ReportFile.write(file, report(work()))).isInstanceOf(PixeronException.class)
                .hasMessageContaining(".pdf, .html or .md");
        assertThat(file).hasContent("mine");
    }
}
