package pixeron.image;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class PixelTest {

    /** Sets of the places of a large image are as quick as those of a small one. */
    @Test
    void fewPlacesShareAHashCode() {
        long different = IntStream.range(0, 1 << 18).map(n -> new Pixel(n >> 9, n & 511).hashCode()).distinct().count();
        assertThat(different).isGreaterThan(250_000);
    }

    @Test
    void theOrderIsThatOfReading() {
        assertThat(new Pixel(0, 9)).isLessThan(new Pixel(1, 0));
        assertThat(new Pixel(1, 0)).isLessThan(new Pixel(1, 1)).hasToString("row 1, column 0");
    }
}
