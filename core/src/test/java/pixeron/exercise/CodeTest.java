package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.number.Rational;

class CodeTest {

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"K3F7-012; K3F7-012", "Kim k3f7-012.csv; K3F7-012", "answers_K3F7_012.xlsx; K3F7-012", "K3F7 \u2013 12; ", "K3F7\u2013012; K3F7-012",
        "AK3F7-012; ", "K3F7-12; ", "K3F7-10000; K3F7-10000", "C0DE-012; ", "nothing; ", "Wei\u00DF B25C-001.csv; B25C-001", "\uFB01\uFB02 \u0130 k3f7-012; K3F7-012"})
    void isFoundAsItIsWritten(String text, String code) {
        assertThat(Code.all(text).stream().map(Code::toString)).containsExactlyElementsOf(code == null ? List.of() : List.of(code));
    }

    @Test
    void namesOfFilesAreLeftWithoutIt() {
        assertThat(Code.without("Kim_K3F7-012")).isEqualTo("Kim");
        assertThat(Code.without("K3F7-012")).isEmpty();
        assertThat(Code.without("Kim and Lee")).isEqualTo("Kim and Lee");
        // In capital letters these names are longer.
        assertThat(Code.without("Wei\u00DF B25C-001")).isEqualTo("Wei\u00DF");
        assertThat(Code.without("\uFB03 \u0149 b25c-001 \u0130")).isEqualTo("\uFB03 \u0149 \u0130");
    }

    /** Whatever the numbers or the blanks depend on changes it; the words and the points do not. */
    @Test
    void standsForWhatVariantsDependOn() {
        Exercise exercise = Exercises.threeParts(1);
        String code = Code.of(exercise);
        assertThat(code).matches("[2-9A-Z]{4}");
        assertThat(Code.of(Exercises.threeParts(2))).isNotEqualTo(code);
        assertThat(Code.of(with(exercise, "Another title", exercise.steps(), exercise.asked()))).isEqualTo(code);
        assertThat(Code.of(with(exercise, exercise.title(), List.of("equalize", "threshold at=4"), exercise.asked()))).isNotEqualTo(code);
        assertThat(Code.of(with(exercise, exercise.title(), exercise.steps(), exercise.asked().subList(0, 2)))).isNotEqualTo(code);
        List<Asked> worth = exercise.asked().stream().map(asked -> new Asked(asked.step(), asked.face(), asked.what(), Rational.HALF)).toList();
        assertThat(Code.of(with(exercise, exercise.title(), exercise.steps(), worth))).isEqualTo(code);
    }

    private static Exercise with(Exercise exercise, String title, List<String> steps, List<Asked> asked) {
        return new Exercise(title, exercise.task(), exercise.image(), steps, exercise.choices(), asked, exercise.wish(), exercise.seed());
    }
}
