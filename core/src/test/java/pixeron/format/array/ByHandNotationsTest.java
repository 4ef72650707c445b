package pixeron.format.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.format.CellTable;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;

/** Values by hand in brackets: expressions, and cells that are left out. Cells are compared as texts, rows with / between them. */
class ByHandNotationsTest {

    private static String cells(String text) {
        return CellTable.parse(text).rows().stream().map(row -> row.stream().map(cell -> cell.isEmpty() ? "_" : cell).collect(Collectors.joining(" ; "))).collect(Collectors.joining(" / "));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '>', value = {
        "[[52, 55], [61, 59]] > 52 ; 55 / 61 ; 59",
        "[[(52 + 55)/2, 55], [487/9, sqrt(16)]] > (52 + 55)/2 ; 55 / 487/9 ; sqrt(16)",
        "[[52, , 61], [, 55, 3]] > 52 ; _ ; 61 / _ ; 55 ; 3",
        "[[52, nan, None], [NA, 55, null]] > 52 ; _ ; _ / _ ; 55 ; _",
        "[1 -2] > 1 ; -2",
        "[(1 -2) 3; 4 5] > (1 -2) ; 3 / 4 ; 5",
        "np.array([[1, 2], [3, 4]]) > 1 ; 2 / 3 ; 4",
        "[[np.uint8(52), np.uint8(55)]] > 52 ; 55",
        "[[Decimal('52'), Decimal('0.5')]] > 52 ; 0.5",
        "byte[][] a = {{(byte) 200, (byte) 3}}; > 200 ; 3",
        "[[max(3, 7), min(2, 1)]] > max(3, 7) ; min(2, 1)",
        "print([[1, 2], [3, 4]]) > 1 ; 2 / 3 ; 4",
        "[[7×54÷64, 2^3], [2*3, 5:2]] > 7×54÷64 ; 2^3 / 2*3 ; 5:2"})
    void bracketsHoldWhatAPersonWrites(String text, String cells) {
        assertThat(cells(text.strip())).isEqualTo(cells.strip());
    }

    @Test
    void linesOfBracketsAreRows() {
        assertThat(cells("[1, (2+3)/4]\n[, 6]")).isEqualTo("1 ; (2+3)/4 / _ ; 6");
    }

    @Test
    void imagesHaveNoBlanksAndNoExpressions() {
        for (String text : List.of("[[52, , 61]]", "[[(52 + 55)/2, 55]]", "[[1-2, 3]]")) {
            assertThatThrownBy(() -> ImageFiles.parse(text, ReadOptions.DEFAULT)).as(text).isInstanceOf(PixeronException.class).hasMessageMatching("[^\n]{20,200}");
        }
    }
}
