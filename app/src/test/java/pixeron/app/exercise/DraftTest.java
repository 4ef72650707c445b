package pixeron.app.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import pixeron.PixeronException;
import pixeron.byhand.table.HandTable;
import pixeron.chain.Chain;
import pixeron.exercise.Asked;
import pixeron.exercise.Exercise;
import pixeron.exercise.GivenImage;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.step.catalog.StepLine;

/** An exercise as it is typed: from a bench, from a file and back. */
class DraftTest {

    private static final Image SORT = Image.of(7, new int[][] {{1, 2, 3}, {4, 5, 6}});

    private static Project bench() {
        Chain chain = Chain.of(SORT);
        chain = chain.withStep(0, StepLine.parse("equalize")).withStep(1, StepLine.parse("threshold at=4"));
        return Project.of("A sort", new Origin("demo", "demo", 1, List.of()), chain);
    }

    @ParameterizedTest
    @EnumSource(Size.class)
    void everyExerciseOfTheLibraryIsTheSameWhenItWasOpenedAndSaved(Size size) {
        for (Topic topic : Library.topics()) {
            assertThat(Draft.of(topic.exercise(size), SORT).exercise()).as(topic.id()).isEqualTo(topic.exercise(size));
        }
    }

    /** Nothing written: the last result is asked for, a point for each cell. */
    @Test
    void aBenchBecomesAnExercise() {
        Exercise exercise = Draft.of(bench(), 5).exercise();
        assertThat(exercise.title()).isEqualTo("A sort");
        assertThat(exercise.steps()).containsExactly("equalize", "threshold at=4");
        assertThat(exercise.image()).isEqualTo(new GivenImage.Samples(SORT));
        assertThat(exercise.asked()).containsExactly(new Asked(2, Image.VALUE, new Asked.All(), Rational.of(6)));
    }

    /** What has values by hand is asked: most of a sheet all of it, a few cells those, columns, constants, numbers on the way. */
    @Test
    void whatHasValuesByHandIsAsked() {
        Project written = bench().withSheet(0, sheet -> sheet.with(new Pixel(0, 1), "3").with(new Pixel(1, 2), "7"));
        for (int n = 0; n < 5; n++) {
            Pixel pixel = SORT.pixel(n);
            written = written.withSheet(1, sheet -> sheet.with(pixel, "0"));
        }
        written = written.withTable(0, "levels", hand -> hand.with(Map.of(new HandTable.Place("3", "s"), "4", new HandTable.Place("3", "n"), "1")))
                .withTable(0, "constants", hand -> hand.with(Map.of(new HandTable.Place("1", "N"), "6")))
                .withTable(1, "pixel 1,1", hand -> hand.with(Map.of(new HandTable.Place("1", "exact"), "7")));
        List<Asked.What> asked = Draft.of(written, 5).exercise().asked().stream().map(Asked::what).toList();
        assertThat(asked).containsExactly(new Asked.Constants(), new Asked.Column("levels", "n"), new Asked.Column("levels", "s"),
                new Asked.Some(List.of(new Pixel(0, 1), new Pixel(1, 2))), new Asked.OnTheWay(new Pixel(1, 1)), new Asked.All());
    }

    private static Draft with(String step, Draft.Question question, Draft.Named... choices) {
        return new Draft("T", "", SORT, "", List.of(step), List.of(choices), List.of(question), new Draft.Wishes(true, "2", ""), "5");
    }

    private static Draft.Question question(Draft.Kind kind, String detail) {
        return new Draft.Question(1, kind, detail, "", "3");
    }

    @Test
    void namesInBracesAreMissedUntilTheyHaveValues() {
        Draft.Question all = question(Draft.Kind.ALL, "");
        assertThat(with("add amount={a}", all).missing()).containsExactly("a");
        assertThat(with("add amount={variant}", all).missing()).isEmpty();
        Draft known = with("add amount={a}", all, new Draft.Named("a", "1 to 3"));
        assertThat(known.missing()).isEmpty();
        assertThat(known.exercise().wish().decimals()).hasValue(2);
        assertThatThrownBy(() -> with("add amount={a}", all).exercise()).hasMessageContaining("no choice \"a\"");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"CELLS; 0,0 1,x; is not a valid cell", "CELLS; 0 0 2; four whole numbers", "ON_THE_WAY; 1; is not a valid cell", "CELLS; 0,0 0,0; "})
    void saysWhatIsNoPlace(Draft.Kind kind, String detail, String message) {
        Draft draft = with("invert", question(kind, detail));
        if (message == null) {
            assertThat(draft.exercise().asked().get(0).what()).isEqualTo(new Asked.Some(List.of(new Pixel(0, 0))));
        } else {
            assertThatThrownBy(draft::exercise).isInstanceOf(PixeronException.class).hasMessageContaining(message);
        }
    }

    @Test
    void saysWhatIsNoNumber() {
        Draft draft = with("invert", question(Draft.Kind.ALL, ""));
        assertThatThrownBy(() -> new Draft(draft.title(), "", SORT, "", draft.steps(), List.of(), draft.asked(), new Draft.Wishes(false, "many", ""), "5").exercise())
                .hasMessageContaining("“many” is not a whole number of at least 0.");
        assertThatThrownBy(() -> new Draft(draft.title(), "", SORT, "", draft.steps(), List.of(), draft.asked(), draft.wish(), "five").exercise())
                .hasMessageContaining("The seed “five”");
        assertThatThrownBy(() -> new Draft(" ", "", SORT, "", draft.steps(), List.of(), draft.asked(), draft.wish(), "5").exercise())
                .hasMessageContaining("no title");
    }
}
