package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.Harmless;
import pixeron.exercise.mark.ClassTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.ResultsFile;
import pixeron.number.Rational;

/** A marked class as files for a spreadsheet. */
class ResultsFileTest {

    @TempDir
    private Path folder;

    private static Marked answer(String name, String slip) {
        List<Marked.PartMark> parts = List.of(new Marked.PartMark(4, 4, 3, 0, Rational.of(3), Rational.ZERO));
        return new Marked(name + ".csv", name, Optional.of(new Code("K3F7", 1)), parts, Optional.of(new Marked.Slip(slip, "Said.")), Optional.empty(),
                Optional.of(new Variants(Exercises.threeParts(5)).variant(1).project()), "", "see\nme, \"soon\"");
    }

    /** A comma, quotes and two lines in one cell; and names that a spreadsheet would calculate. */
    private final ClassTable table = new ClassTable(List.of(answer("Kim, A.", "rounded-down"), answer("=1+1", "rounded-down"), answer("-2", "not-clipped")), List.of("Result"), true);

    private static List<List<String>> read(Path file) throws IOException {
        try (CSVParser parser = CSVFormat.DEFAULT.parse(Files.newBufferedReader(file))) {
            return parser.getRecords().stream().map(CSVRecord::toList).toList();
        }
    }

    @Test
    void threeTablesAreWritten() throws IOException {
        List<Path> files = ResultsFile.write(folder.resolve("marks.csv"), table);
        assertThat(files).extracting(file -> file.getFileName().toString()).containsExactly("marks.csv", "marks-slips.csv", "marks-parts.csv");
        assertThat(read(files.get(0))).isEqualTo(table.people().stream().map(row -> row.stream().map(Harmless::cell).toList()).toList()).extracting(row -> row.get(0))
                .containsExactly("name", "Kim, A.", "'=1+1", "-2");
        assertThat(read(files.get(1))).containsExactly(List.of("slip", "title", "count", "by"), List.of("rounded-down", "Rounded down", "2", "Kim, A.; =1+1"), List.of("not-clipped", "Not clipped", "1", "-2"));
        assertThat(read(files.get(2)).get(1)).containsExactly("1", "Result", "12", "12", "9", "75");
    }

    @Test
    void aWorkbookHasThemAsSheets() throws IOException {
        Path file = ResultsFile.write(folder.resolve("marks.xlsx"), table).get(0);
        try (ReadableWorkbook book = new ReadableWorkbook(Files.newInputStream(file))) {
            assertThat(book.getSheets().map(sheet -> sheet.getName())).containsExactly("people", "slips", "parts");
            List<Row> people = book.getFirstSheet().read();
            assertThat(people).hasSize(4);
            assertThat(people.get(2).getCellText(0)).isEqualTo("'=1+1");
            assertThat(people).noneMatch(row -> row.stream().anyMatch(cell -> cell != null && cell.getFormula() != null));
        }
    }

    @Test
    void otherEndingsAreRefusedBeforeAnythingIsWritten() {
        assertThatThrownBy(() -> ResultsFile.write(folder.resolve("marks.doc"), table)).hasMessageContaining("marks.doc").hasMessageContaining(".xlsx");
        assertThat(folder).isEmptyDirectory();
    }
}
