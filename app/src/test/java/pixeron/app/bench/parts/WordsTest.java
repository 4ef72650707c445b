package pixeron.app.bench.parts;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import pixeron.step.catalog.StepLine;

class WordsTest {

    /** The list of steps has room for sixteen characters; the layout itself would break the longer one within its word. */
    @Test
    void aLongValueBeginsALineOfItsOwn() {
        assertThat(Words.narrow(Words.arguments(StepLine.parse("median size=3 border=mirror-whole"))))
                .isEqualTo("size=3 border=\nmirror\u2212whole");
        assertThat(Words.narrow("at=128 compare=at-least")).isEqualTo("at=128 compare=at-least");
    }
}
