package pixeron.step.key;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.step.catalog.StepLine;

/** Weights and counts as programs write them. */
class ArrayNumbersTest {

    @ParameterizedTest
    @ValueSource(strings = {"1 2 | 3 4", "[[1, 2], [3, 4]]", "{{1, 2}, {3, 4}}", "[1 2; 3 4]", "np.array([[1, 2], [3, 4]])", "1 & 2 \\\\ 3 & 4", "[[1. 2.] [3. 4.]]", "int[][] k = {{1, 2}, {3, 4}};"})
    void weightsAreReadInEveryNotation(String weights) {
        assertThat(StepLine.parse("kernel weights=\"" + weights + "\" divisor=10").line()).isEqualTo("kernel weights=\"1 2 | 3 4\" divisor=10");
    }

    @ParameterizedTest
    @ValueSource(strings = {"1 0 2 5", "[1, 0, 2, 5]", "1, 0, 2, 5", "[[1], [0], [2], [5]]", "{1, 0, 2, 5}", "1;0;2;5"})
    void countsAreReadInEveryNotation(String counts) {
        assertThat(StepLine.parse("match counts=\"" + counts + "\"").line()).isEqualTo("match counts=\"1 0 2 5\"");
    }

    @Test
    void copiedRowsAreWeights() {
        assertThat(MatrixParameter.ofCopied("1\t2\n3\t4\n")).contains("1 2 | 3 4");
        assertThat(MatrixParameter.ofCopied("[[0.5, 1/3], [3, 4]]")).contains("0.5 1/3 | 3 4");
        assertThat(MatrixParameter.ofCopied("1 2 | 3 4")).isEmpty();
        assertThat(MatrixParameter.ofCopied("[[1, 2], [3]]")).isEmpty();
    }

    @Test
    void errorsNameTheKey() {
        assertThatThrownBy(() -> StepLine.parse("kernel weights=\"[[1, 2], [3]]\"")).isInstanceOf(PixeronException.class)
                .hasMessageContaining("weights: Row 1 (counted from 0) has 1 cell, but row 0 has 2.");
        assertThatThrownBy(() -> StepLine.parse("kernel weights=\"[[1, 2], [3, nan]]\"")).hasMessageContaining("weights: Row 1, column 1 (counted from 0): “nan” is not a number.");
        assertThatThrownBy(() -> StepLine.parse("kernel weights=\"[[[1, 2, 3]]]\"")).hasMessageContaining("three levels of brackets");
        assertThatThrownBy(() -> StepLine.parse("match counts=\"[[1, 2], [3, 4]]\"")).hasMessageContaining("counts has 2 × 2 numbers. Give one row.");
    }
}
