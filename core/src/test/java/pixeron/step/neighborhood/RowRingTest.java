package pixeron.step.neighborhood;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class RowRingTest {

    private final List<Integer> made = new ArrayList<>();
    private final RowRing<int[]> rows = new RowRing<>(3, () -> new int[1], (row, into) -> {
        made.add(row);
        into[0] = 10 * row;
    });

    @Test
    void aRowIsMadeOnceWhileItIsKept() {
        for (int first = 0; first < 4; first++) {
            for (int row = first; row < first + 3; row++) {
                assertThat(rows.get(row)).containsExactly(10 * row);
            }
        }
        assertThat(made).containsExactly(0, 1, 2, 3, 4, 5);
    }

    @Test
    void aRowThatGaveUpItsPlaceIsMadeAgain() {
        int[] first = rows.get(0);
        assertThat(rows.get(3)).isSameAs(first).containsExactly(30);
        assertThat(rows.get(0)).containsExactly(0);
        assertThat(made).containsExactly(0, 3, 0);
    }
}
