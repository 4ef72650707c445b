package pixeron.step.key;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** Numbers for each channel, when a step is made to work on other channels. */
class ChannelNumbersTest {

    private static final List<String> COLORS = List.of("red", "green", "blue");

    private static String changed(String line, List<String> before, List<String> now) {
        Step step = StepLine.parse(line);
        return new Step(step.type(), step.arguments().forChannels(before, now)).line();
    }

    @Test
    void aNumberStaysWithItsChannel() {
        assertThat(changed("add amount=\"40 -60 25\"", COLORS, List.of("red", "blue"))).isEqualTo("add amount=\"40 25\"");
        assertThat(changed("add amount=\"40 -60 25\"", COLORS, List.of("blue", "red"))).isEqualTo("add amount=\"25 40\"");
        assertThat(changed("add amount=\"40 -60 25\"", COLORS, List.of("green"))).isEqualTo("add amount=-60");
        assertThat(changed("linear gain=\"1 2\" bias=\"3 4\"", List.of("red", "blue"), COLORS)).as("green is new and gets the last number")
                .isEqualTo("linear gain=\"1 2 2\" bias=\"3 4 4\"");
    }

    @Test
    void oneNumberForAllStaysOne() {
        assertThat(changed("add amount=40", COLORS, List.of("red"))).isEqualTo("add amount=40");
    }
}
