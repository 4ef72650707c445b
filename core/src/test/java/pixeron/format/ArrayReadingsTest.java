package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.format.ArrayReadings.Reading;

class ArrayReadingsTest {

    private static ArrayReadings of(String text) {
        return ArrayReadings.of(text).orElseThrow();
    }

    private static List<String> titles(String text) {
        return of(text).all().stream().map(Reading::title).toList();
    }

    @Test
    void aTextWithoutChoiceIsOneImage() {
        assertThat(titles("[[52, 55], [61, 59]]")).containsExactly("Array");
        assertThat(titles("[[[52, 55, 61], [1, 2, 3]], [[52, 55, 61], [1, 2, 3]]]")).hasSize(1);
        assertThat(titles("[2, 3, 5]")).containsExactly("One row of 3");
        assertThat(ArrayReadings.of("52 55\n61 59\n")).isEmpty();
        assertThat(ArrayReadings.of("no numbers at all")).isEmpty();
    }

    /** 1000 × 0.052 = 52: without the factor these would be fractions near 0. */
    @Test
    void columnsWithAFactorAreNoPlainTable() {
        ArrayReadings readings = of("ans =\n\n   1.0e+03 *\n\n    0.0520    0.0550\n    0.0610    0.0590\n");
        assertThat(readings.all().get(0).loaded().image().level(0)).isEqualTo(52);
        assertThat(readings.all().get(0).loaded().notes()).anyMatch(note -> note.contains("common factor 1.0e+03"));
        assertThat(of(" Columns 1 through 2\n\n 52 55\n 61 59\n\n Column 3\n\n 1\n 2\n").all().get(0).loaded().image().columns()).isEqualTo(3);
    }

    @Test
    void everyChoiceIsAnImage() {
        assertThat(titles("[[[1, 2, 3]], [[4, 5, 6]], [[7, 8, 9]]]")).containsExactly("Innermost brackets are pixels", "Outer brackets are channels");
        assertThat(titles("[[1, -1]]")).containsExactly("Add 256 to negative values", "Keep the values as they are");
        assertThat(titles("[[1, 70000]]")).containsExactly("Read as packed pixels", "Read as packed pixels with alpha", "Keep the values as they are");
        ArrayReadings list = of("[1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]");
        assertThat(list.all()).extracting(Reading::title).startsWith("One row of 12").contains("3 rows of 4", "4 rows of 3", "2 rows of 6", "6 rows of 2", "12 rows of 1");
        assertThat(list.all()).allSatisfy(reading -> assertThat(reading.loaded().image().count()).isEqualTo(12));
        assertThat(list.all().get(1).loaded().image().rows()).isBetween(3, 4);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '>', value = {"[[52, 55],~ [61, x9]] > 2", "[[52, 55],~ [61]] > 2", "# proof~[[52, 55],~ [61, nan]] > 3", "[[52, 55],~ [61, 59)] > 2", "[[1, 2], [3]] > 0"})
    void aMistakeHasItsLine(String text, int line) {
        ArrayReadings readings = of(text.replace('~', '\n').strip());
        assertThat(readings.problem()).isPresent();
        assertThat(readings.all()).isEmpty();
        assertThat(readings.line()).isEqualTo(line == 0 ? OptionalInt.empty() : OptionalInt.of(line));
    }
}
