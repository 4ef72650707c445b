package pixeron;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Text from outside does nothing where it is shown or written. */
class HarmlessTest {

    @Property
    void aLineIsOneAndShort(@ForAll String text) {
        String line = Harmless.line(text);
        assertThat(line.length()).isLessThanOrEqualTo(Harmless.LONGEST_LINE);
        assertThat(line.codePoints().filter(Character::isISOControl)).isEmpty();
        assertThat(Harmless.line(line)).isEqualTo(line);
    }

    /** A message says where at its beginning and what would be right at its end: both stay, and signs of two chars whole. */
    @Test
    void ofALongTextBothEndsStay() {
        String line = Harmless.line("start " + "😀".repeat(50_000) + " end");
        assertThat(line).startsWith("start 😀").endsWith("😀 end").contains(" … ");
        assertThat(line.codePoints().filter(sign -> Character.getType(sign) == Character.SURROGATE)).isEmpty();
        assertThat(PixeronException.of("x".repeat(100_000)).getMessage()).hasSize(Harmless.LONGEST_LINE);
    }

    @Test
    void whatMovesTheCursorIsGone() {
        assertThat(Harmless.shown("red \u001B[31m\r\nend\u202E\u0085")).isEqualTo("red  [31m end ");
    }

    @ParameterizedTest
    @ValueSource(strings = {"=HYPERLINK(\"x\")", "+1+1", "-1+1", "@SUM(A1)", "\t=1", " =1", "\uFF1D1", "-", "=-3"})
    void formulasStayWords(String cell) {
        assertThat(Harmless.cell(cell)).startsWith("'");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "12", "-3", "+4", "-3.5", "-2/3", "-7 %", "Weiß", "a=1"})
    void whatIsNoFormulaStaysAsItIs(String cell) {
        assertThat(Harmless.cell(cell)).isEqualTo(cell);
    }
}
