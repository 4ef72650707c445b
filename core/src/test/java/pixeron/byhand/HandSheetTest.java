package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import pixeron.image.Pixel;

class HandSheetTest {

    private static final Pixel FIRST = new Pixel(0, 0);
    private static final Pixel SECOND = new Pixel(0, 3);

    private final HandSheet sheet = HandSheet.EMPTY.with(Map.of(FIRST, "7", SECOND, "14/2"));

    @Test
    void theSameValuesInTheSameCellsAreTheSameSheet() {
        HandSheet other = HandSheet.EMPTY.with(SECOND, "14/2").with(FIRST, "7");
        assertThat(other).isEqualTo(sheet).hasSameHashCodeAs(sheet);
        assertThat(sheet.with(FIRST, "8").with(FIRST, "7")).isEqualTo(sheet);
    }

    /** Another value, another way to write it, another cell, one more, one less: each makes another sheet. */
    @Test
    void anyDifferenceMakesAnotherSheet() {
        assertThat(sheet.with(FIRST, "8")).isNotEqualTo(sheet);
        assertThat(sheet.with(SECOND, "7")).isNotEqualTo(sheet);
        assertThat(sheet.with(new Pixel(1, 0), "1")).isNotEqualTo(sheet);
        assertThat(sheet.with(SECOND, " ")).isNotEqualTo(sheet);
        assertThat(HandSheet.EMPTY.with(Map.of(FIRST, "7", new Pixel(0, 2), "14/2"))).isNotEqualTo(sheet);
        assertThat(sheet).isNotEqualTo(HandSheet.EMPTY).isNotEqualTo("7");
    }
}
