package pixeron.byhand.answer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.format.ImageFiles;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;

class AnswerFileTest {

    private static final Frame GRID = new Frame(2, 3, 255);

    @TempDir
    private Path folder;

    private interface Filling {
        void fill(Worksheet sheet);
    }

    private Path xlsx(Filling... sheets) throws IOException {
        Path file = folder.resolve("answer.xlsx");
        try (OutputStream out = Files.newOutputStream(file); Workbook book = new Workbook(out, "Pixeron", "1.0")) {
            for (int n = 0; n < sheets.length; n++) {
                sheets[n].fill(book.newWorksheet("Sheet " + (n + 1)));
            }
        }
        return file;
    }

    private static void block(Worksheet sheet, int top, int left, Object[][] values) {
        for (int i = 0; i < values.length; i++) {
            for (int j = 0; j < values[i].length; j++) {
                if (values[i][j] instanceof Number number) {
                    sheet.value(top + i, left + j, number);
                } else if (values[i][j] != null) {
                    sheet.value(top + i, left + j, String.valueOf(values[i][j]));
                }
            }
        }
    }

    private static String text(HandSheet sheet, int row, int column) {
        return sheet.cells().get(new Pixel(row, column)).text();
    }

    /** Numbers of rows and columns are labels only where the rest has the size of the result. */
    @Test
    void numberedEdgesBetweenBarsAreLabelsWhereTheRestFits() throws IOException {
        Path table = Files.writeString(folder.resolve("mine.md"), "| | 0 | 1 | 2 |\n|---:|---:|---:|---:|\n| 0 | 52 | 55 | 61 |\n| 1 | 59 | 79 | 61 |\n");
        assertThat(text(AnswerFile.read(table, GRID).get(0).sheet(GRID), 0, 0)).isEqualTo("52");
        Frame larger = new Frame(3, 4, 255);
        HandSheet whole = AnswerFile.read(table, larger).get(0).sheet(larger);
        assertThat(text(whole, 0, 1)).isEqualTo("0");
        assertThat(text(whole, 2, 0)).isEqualTo("1");
        Frame row = new Frame(1, 2, 255);
        Path one = Files.writeString(folder.resolve("row.md"), "| | 0 | 1 |\n|---|---|---|\n| 0 | 52 | 55 |\n");
        assertThat(text(AnswerFile.read(one, row).get(0).sheet(row), 0, 1)).isEqualTo("55");
    }

    @Test
    void aBlockOfTheRightSizeIsFoundInASpreadsheet() throws IOException {
        Path file = xlsx(sheet -> {
            sheet.value(0, 0, "Proof of the ornament, by hand");
            block(sheet, 2, 1, new Object[][] {{12, 0.1, "487/9"}, {7, null, 255}});
            sheet.value(6, 1, "checked on Tuesday");
            sheet.value(6, 3, 99);
        });
        Answer answer = AnswerFile.read(file, GRID).get(0);
        assertThat(answer.where()).isEqualTo("Sheet 1!B3:D4");
        HandSheet sheet = answer.sheet(GRID);
        assertThat(sheet.cells()).hasSize(5);
        assertThat(text(sheet, 0, 1)).isEqualTo("0.1");
        assertThat(text(sheet, 0, 2)).isEqualTo("487/9");
        assertThat(text(sheet, 1, 2)).isEqualTo("255");
    }

    @Test
    void allBlocksThatFitAreOfferedAndNumbersOfRowsAndColumnsAreLeftOut() throws IOException {
        Path file = xlsx(sheet -> {
            block(sheet, 0, 0, new Object[][] {{null, 0, 1, 2}, {0, 5, 6, 7}, {1, 8, 9, 10}});
            block(sheet, 5, 0, new Object[][] {{1, 2, 3}, {4, 5, 6}});
        }, sheet -> block(sheet, 9, 26, new Object[][] {{3, 3, 3}, {4, 4, 4}}));
        assertThat(AnswerFile.read(file, GRID)).extracting(Answer::where)
                .containsExactly("Sheet 1!B2:D3", "Sheet 1!A6:C7", "Sheet 2!AA10:AC11");
        assertThat(text(AnswerFile.read(file, GRID).get(0).sheet(GRID), 1, 2)).isEqualTo("10");
    }

    @Test
    void rowsForColumnsAreNoticed() throws IOException {
        Path file = folder.resolve("turned.csv");
        Files.writeString(file, "1,4\n2,5\n3,6\n");
        Answer answer = AnswerFile.read(file, GRID).get(0);
        assertThat(answer.isSwapped()).isTrue();
        assertThat(text(answer.sheet(GRID), 0, 2)).isEqualTo("3");
        assertThat(text(answer.sheet(GRID), 1, 0)).isEqualTo("4");
    }

    @Test
    void anOpenDocumentSpreadsheetIsRead() throws IOException {
        Sheet sheet = new Sheet("Work", 4, 4);
        sheet.getRange(1, 1, 2, 3).setValues(1.0, 2.5, "7×54÷64", 4.0, 5.0, 6.0);
        SpreadSheet book = new SpreadSheet();
        book.appendSheet(sheet);
        Path file = folder.resolve("answer.ods");
        book.save(file.toFile());
        Answer answer = AnswerFile.read(file, GRID).get(0);
        assertThat(answer.where()).isEqualTo("Work!B2:D3");
        assertThat(text(answer.sheet(GRID), 0, 0)).isEqualTo("1");
        assertThat(text(answer.sheet(GRID), 0, 1)).isEqualTo("2.5");
        assertThat(text(answer.sheet(GRID), 0, 2)).isEqualTo("7×54÷64");
    }

    @Test
    void thePictureThatAProgramWroteIsAnAnswer() {
        Path file = folder.resolve("loop.pgm");
        ImageFiles.write(file, Image.of(255, new int[][] {{9, 8, 7}, {6, 5, 4}}), false);
        HandSheet sheet = AnswerFile.read(file, GRID).get(0).sheet(GRID);
        assertThat(sheet.cells()).hasSize(6);
        assertThat(text(sheet, 1, 0)).isEqualTo("6");
    }

    /** Only what both have is compared; the other cells stay, for a result that has them. */
    @Test
    void aPlainTableOfAnotherShapeIsTakenAsItIs() throws IOException {
        Path larger = folder.resolve("larger.csv");
        Files.writeString(larger, "1,2,3,4\n5,6,,8\n9,10,11,12\n");
        Answer answer = AnswerFile.read(larger, GRID).get(0);
        assertThat(answer.otherShape().orElseThrow().size()).isEqualTo("3 × 4");
        assertThat(answer.sheet(GRID).cells()).hasSize(11);
    }

    @Test
    void whatDoesNotFitIsSaid() throws IOException {
        Path small = folder.resolve("small.csv");
        Files.writeString(small, "1,2,3\n1,2\n7,8,9\n");
        assertThatThrownBy(() -> AnswerFile.read(small, GRID)).isInstanceOf(PixeronException.class)
                .hasMessage("small.csv: The table has 3 rows, but the result has 2.");
        Path other = xlsx(sheet -> block(sheet, 0, 0, new Object[][] {{1, 2}, {3, 4}}));
        assertThatThrownBy(() -> AnswerFile.read(other, GRID))
                .hasMessage("answer.xlsx: The file contains values in blocks of 2 × 2 rows and columns, but the result has 2 × 3.");
        Path broken = folder.resolve("broken.xlsx");
        Files.write(broken, new byte[] {'P', 'K', 3, 4, 1, 2, 3});
        assertThatThrownBy(() -> AnswerFile.read(broken, GRID)).isInstanceOf(PixeronException.class)
                .hasMessageContaining("This is not a readable spreadsheet");
    }

    /** A table of a larger image is compared where both have cells; one that is far larger is refused before its cells are made. */
    @Test
    void aTableThatIsFarTooLargeIsRefused() throws IOException {
        Frame grid = new Frame(2, 2, 255);
        Path some = Files.writeString(folder.resolve("some.csv"), "1,2,3\n".repeat(5));
        assertThat(AnswerFile.read(some, grid).get(0).sheet(grid).cells()).hasSize(15);
        Path far = Files.writeString(folder.resolve("far.csv"), ("1,".repeat(299) + "1\n").repeat(300));
        Answer answer = AnswerFile.read(far, grid).get(0);
        assertThatThrownBy(() -> answer.sheet(grid)).isInstanceOf(PixeronException.class).hasMessage("The table has 300 × 300 cells, but the result has 2 × 2.");
    }
}
