package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.exercise.print.KeyPages;
import pixeron.exercise.print.SheetPages;
import pixeron.exercise.print.Worksheet;
import pixeron.exercise.quiz.QuizFormat;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.report.pdf.Paper;
import pixeron.step.Progress;

/** What is printed and given out. */
class GivenOutTest {

    private final List<Variant> variants = new Variants(Exercises.threeParts(5)).first(3);

    @TempDir
    private Path folder;

    private List<Path> files;

    @BeforeEach
    void write() {
        files = Worksheet.write(folder.resolve("sheets"), variants, EnumSet.of(QuizFormat.QTI_3_0), Paper.A4, Progress.NONE);
    }

    private Path file(String name) {
        return files.stream().filter(file -> file.getFileName().toString().equals(name)).findFirst().orElseThrow();
    }

    private static List<String> text(PDDocument document) throws IOException {
        PDFTextStripper stripper = new PDFTextStripper();
        stripper.setSortByPosition(true);
        return stripper.getText(document).lines().toList();
    }

    @Test
    void eachVariantHasItsFilesUnderItsCode() {
        Set<String> names = new HashSet<>(Set.of("sheets.pdf", "key.pdf", "quiz.zip"));
        for (Variant variant : variants) {
            List.of(".pdf", ".csv", ".xlsx", ProjectFile.ENDING).forEach(ending -> names.add(variant.code() + ending));
        }
        assertThat(files.stream().map(file -> file.getFileName().toString())).containsExactlyInAnyOrderElementsOf(names);
    }

    /** The page can be searched: code, task, the rows of the image; but no result. */
    @Test
    void thePageHasTaskAndNumbersButNoResult() throws IOException {
        Variant variant = variants.get(0);
        try (PDDocument page = Loader.loadPDF(file(variant.code() + ".pdf").toFile())) {
            List<String> lines = text(page);
            assertThat(page.getNumberOfPages()).isEqualTo(1);
            assertThat(lines).anyMatch(line -> line.contains(variant.code().toString())).anyMatch(line -> line.contains(variant.task()));
            Image image = (Image) variant.chain().input();
            String written = new PDFTextStripper().getText(page).replaceAll("\\s+", " ");
            for (int i = 1; i < image.rows(); i++) {
                int first = i * image.columns();
                String row = IntStream.range(first, first + image.columns()).mapToObj(n -> String.valueOf(image.level(n))).collect(Collectors.joining(" "));
                assertThat(written).contains(row);
            }
            assertThat(lines).anyMatch(line -> line.contains("1. Levels table of step 1 (histogram equalization), column level s"));
        }
        try (PDDocument key = Loader.loadPDF(file("key.pdf").toFile())) {
            assertThat(String.join("\n", text(key))).contains("Working, histogram equalization, row 0, column 0", "Common wrong values for this cell:", "(Not rounded)");
        }
    }

    @Test
    void pagesAreTagged() throws IOException {
        try (PDDocument page = Loader.loadPDF(file("sheets.pdf").toFile())) {
            assertThat(page.getNumberOfPages()).isEqualTo(3);
            assertThat(page.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
            assertThat(page.getDocumentCatalog().getLanguage()).isEqualTo("en");
            assertThat(page.getDocumentInformation().getTitle()).isEqualTo("A dull proof");
            Set<String> types = new HashSet<>();
            types(page.getDocumentCatalog().getStructureTreeRoot(), types);
            assertThat(types).contains("Document", "H1", "P", "Caption", "Table", "TR", "TD", "TH");
            assertThat(page.getDocumentCatalog().getStructureTreeRoot().getCOSObject().getDictionaryObject(COSName.PARENT_TREE)).isNotNull();
        }
    }

    private static void types(PDStructureNode node, Set<String> types) {
        for (Object kid : node.getKids()) {
            if (kid instanceof PDStructureElement element) {
                types.add(element.getStructureType());
                types(element, types);
            }
        }
    }

    /** What is handed back as it was given out has nothing in it, and is the right variant. */
    @Test
    void tablesAndProjectsComeBackBlank() {
        Marker marker = new Marker(new Variants(Exercises.threeParts(5)));
        for (Variant variant : variants) {
            for (String ending : List.of(".csv", ".xlsx", ProjectFile.ENDING)) {
                Marked marked = marker.marks(file(variant.code() + ending)).get(0);
                assertThat(marked.problem()).isEmpty();
                assertThat(marked.code()).contains(variant.code());
                assertThat(List.of(marked.cells(), marked.filled())).containsExactly(48, 0);
                assertThat(marked.points(true)).isEqualTo(Rational.ZERO);
            }
        }
    }

    @Test
    void studentsOpenAProjectWithCoveredResults() {
        SavedProject saved = ProjectFile.read(file(variants.get(1).code() + ProjectFile.ENDING));
        assertThat(saved.view().hints()).isZero();
        assertThat(saved.project().name()).contains(variants.get(1).code().toString());
        assertThat(saved.project().chain()).isEqualTo(variants.get(1).chain());
    }

    /** However large: nothing lies outside the page, and both papers are used. */
    @Test
    void everyExerciseOfTheLibraryFitsItsPages() throws IOException {
        for (Topic topic : Library.topics()) {
            for (Paper paper : Paper.values()) {
                List<Variant> one = new Variants(topic.exercise(Size.LARGE)).first(1);
                try (PDDocument page = Loader.loadPDF(SheetPages.bytes(one, paper, Progress.NONE))) {
                    float width = page.getPage(0).getMediaBox().getWidth();
                    float height = page.getPage(0).getMediaBox().getHeight();
                    assertThat(Math.round(width)).isEqualTo(paper == Paper.A4 ? 595 : 612);
                    assertThat(page.getNumberOfPages()).as(topic.id()).isLessThanOrEqualTo(3);
                    new PDFTextStripper() {
                        @Override
                        protected void processTextPosition(org.apache.pdfbox.text.TextPosition text) {
                            assertThat(text.getXDirAdj() + text.getWidthDirAdj()).as("%s %s", topic.id(), text).isBetween(40f, width - 40);
                            assertThat(text.getYDirAdj()).as("%s %s", topic.id(), text).isBetween(40f, height - 40);
                        }
                    }.getText(page);
                }
            }
        }
    }

    @Test
    void folderAndCancelAreHandled() throws IOException {
        Path taken = Files.writeString(folder.resolve("taken"), "");
        assertThatThrownBy(() -> Worksheet.write(taken, variants, EnumSet.of(QuizFormat.QTI_3_0), Paper.A4, Progress.NONE)).hasMessageContaining("is a file. Choose a folder");
        Path far = folder.resolve("a/b/c");
        assertThatThrownBy(() -> Worksheet.write(far, variants, EnumSet.of(QuizFormat.QTI_3_0), Paper.A4, Progress.NONE)).hasMessageContaining("There is no folder");
        assertThatThrownBy(() -> KeyPages.write(folder.resolve("k.pdf"), variants, Paper.A4, done -> false)).isInstanceOf(CancellationException.class);
        assertThat(folder.resolve("k.pdf")).doesNotExist();
    }
}
