package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;

import pixeron.step.catalog.StepLine;

/** Limits that no level can reach. */
class ReachTest {

    private static final Image LEVELS = Image.of(15, new int[][] {{3, 4}, {5, 6}});

    private static List<String> notes(String line, Result before) {
        Step step = StepLine.parse(line);
        return step.type().parameters().stream().flatMap(key -> Stream.of(Reach.note(step, key, before)).flatMap(Optional::stream)).toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', quoteCharacter = '`', value = {"threshold at=907", "band low=3 high=16", "slice low=16 high=17", "clamp low=99", "clamp high=15.5",
        "posterize cuts=\"3 16\" values=\"0 1 2\"", "threshold-iterative start=400"})
    void aboveM(String line) {
        assertThat(notes(line, LEVELS)).contains("No level is above 15.");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', quoteCharacter = '`', value = {"threshold at=15", "threshold at=0", "threshold at=M", "band low=0 high=15", "clamp low=5", "stretch",
        "threshold at=7 high=99", "slice low=1 high=2 inside=99", "posterize cuts=\"3 15\" values=\"0 99 255\"", "threshold-iterative", "add amount=99", "median size=99"})
    void whatCanBeReachedOrIsNoLimit(String line) {
        assertThat(notes(line, LEVELS)).isEmpty();
    }

    @Test
    void belowZero() {
        assertThat(notes("threshold at=-1", LEVELS)).containsExactly("No level is below 0.");
    }

    /** Of values that are no levels those count that there are: here −2.5 to 40. */
    @Test
    void ofOtherValuesThoseThatThereAre() {
        Image open = Image.ofFractions(new Frame(1, 2, 15), 2, -5, 80);
        assertThat(notes("threshold at=40", open)).isEmpty();
        assertThat(notes("threshold at=41", open)).containsExactly("No value is above 40.");
        assertThat(notes("threshold at=-3", open)).containsExactly("No value is below −2.5.");
    }

    @Test
    void ofColorEveryChannelHasTheSameM() {
        ColorImage color = new ColorImage(LEVELS, LEVELS, LEVELS, Optional.empty());
        assertThat(notes("threshold at=16", color)).containsExactly("No level is above 15.");
        assertThat(notes("threshold at=15", color)).isEmpty();
    }
}
