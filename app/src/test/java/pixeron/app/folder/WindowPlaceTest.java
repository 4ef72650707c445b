package pixeron.app.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WindowPlaceTest {

    @Test
    void isReadAsItWasWritten() {
        for (boolean isFilling : new boolean[] {true, false}) {
            WindowPlace place = new WindowPlace(-1300, 20, 1100, 700, isFilling);
            assertThat(WindowPlace.parse(place.toString())).isEqualTo(Optional.of(place));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "1,2", "1,2 3 x", "1,2 3 x 4 wide", "99999999,0 1 x 1"})
    void anythingElseIsNone(String text) {
        assertThat(WindowPlace.parse(text)).isEmpty();
    }

    /** On a screen of 1280 by 800. */
    @ParameterizedTest
    @CsvSource({"0, 0, 1280, 800, true", "-1000, 0, 1100, 700, true", "-1050, 0, 1100, 700, false", "1200, 10, 900, 600, false",
        "10, 750, 900, 600, false", "10, -5, 900, 600, false", "0, 0, 1920, 1000, false"})
    void isUsedOnlyWhereItCanBeReached(int x, int y, int width, int height, boolean isReachable) {
        assertThat(new WindowPlace(x, y, width, height, false).isOn(0, 0, 1280, 800)).isEqualTo(isReachable);
    }
}
