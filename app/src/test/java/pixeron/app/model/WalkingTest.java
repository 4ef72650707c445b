package pixeron.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.catalog.StepLine;
import pixeron.walk.Mistake;
import pixeron.walk.ScanOrder;

/** The walk over a result, without a window. */
class WalkingTest {

    /** Rows of three: 1 2 3 | 4 5 6. */
    private static final Image SIX = Image.ofLevels(2, 3, 9, n -> n + 1);
    private static final String SUM = "kernel weights=\"1 1 0\" divisor=1 overflow=keep";

    private final Bench bench = new Bench(atOnce(), atOnce(), problem -> {
        throw problem;
    });
    private final Walking walking = bench.walking();

    @BeforeEach
    void open() {
        Project project = Project.of("Six", new Origin("new", "new", 1, List.of()), SIX);
        bench.open(new SavedProject(project, new View(-1, new Pixel(0, 0))), Optional.empty(), true);
        bench.addStep(StepLine.parse(SUM));
        bench.addStep(StepLine.parse("invert"));
        bench.select(0);
        walking.toggle();
    }

    private static Background atOnce() {
        return new Background(Runnable::run, Runnable::run);
    }

    private List<Boolean> seen() {
        return IntStream.range(0, 6).mapToObj(n -> walking.isSeen(SIX.pixel(n))).toList();
    }

    private Pixel picked() {
        return bench.pickedProperty().get();
    }

    @Test
    void valuesAreSeenAsTheyAreWrittenAndGoneWhenItGoesBack() {
        assertThat(seen()).containsOnly(false);
        assertThat(picked()).isEqualTo(new Pixel(0, 0));
        walking.forward();
        walking.forward();
        assertThat(seen()).containsExactly(true, true, false, false, false, false);
        assertThat(picked()).as("the one that was written last").isEqualTo(new Pixel(0, 1));
        walking.back();
        assertThat(seen()).containsExactly(true, false, false, false, false, false);
        walking.nextLine();
        assertThat(seen()).containsExactly(true, true, true, false, false, false);
        walking.to(new Pixel(1, 1));
        assertThat(seen()).containsExactly(true, true, true, true, true, false);
        walking.toEnd();
        walking.forward();
        assertThat(seen()).containsOnly(true);
        walking.toStart();
        assertThat(seen()).containsOnly(false);
        walking.leave();
        assertThat(seen()).as("without a walk all is seen").containsOnly(true);
    }

    @Test
    void columnsAndPathsOfOnesOwnAreOtherOrders() {
        walking.begin(ScanOrder.COLUMNS);
        walking.to(3);
        assertThat(seen()).as("two of the first column, one of the second").containsExactly(true, true, false, true, false, false);
        walking.begin(List.of(new Pixel(1, 2), new Pixel(0, 0)));
        walking.forward();
        assertThat(picked()).isEqualTo(new Pixel(1, 2));
        walking.forward();
        assertThat(seen()).containsExactly(true, false, false, false, false, true);
        walking.to(new Pixel(5, 5));
        assertThat(walking.walk().written()).as("no such pixel").isEqualTo(2);
    }

    @Test
    void aMomentIsOneLineOfTheLoop() {
        int lines = walking.code().orElseThrow().moments().size();
        assertThat(lines).isGreaterThan(5);
        for (int n = 1; n < lines; n++) {
            walking.oneMoment();
            assertThat(walking.moment()).isEqualTo(n);
            assertThat(walking.isSeen(new Pixel(0, 0))).isFalse();
        }
        walking.oneMoment();
        assertThat(walking.isSeen(new Pixel(0, 0))).isTrue();
        walking.oneMoment();
        assertThat(picked()).isEqualTo(new Pixel(0, 1));
        assertThat(walking.moment()).isZero();
    }

    /** Right are 1 3 5 | 4 9 11: each pixel and the one on its left. */
    @Test
    void guessesAreCountedAndTheValueIsShown() {
        walking.guessingProperty().set(true);
        assertThat(walking.waitsFor(new Pixel(0, 0))).isTrue();
        walking.guessed("1");
        assertThat(walking.waitsFor(new Pixel(0, 1))).isTrue();
        walking.guessed("4");
        walking.guessed("2 + 3");
        assertThat(walking.scoreProperty().get().right()).isEqualTo(2);
        assertThat(walking.scoreProperty().get().guesses()).isEqualTo(3);
        assertThat(seen()).containsExactly(true, true, true, false, false, false);
        walking.forward();
        assertThat(walking.waitsFor(new Pixel(1, 1))).as("while guessing it stands before the next").isTrue();
        walking.toEnd();
        assertThat(walking.waitsFor(new Pixel(1, 2))).isFalse();
    }

    /** Written into what is read: 1, then 1 + 2 = 3, then 3 + 3 = 6 in place of 5. */
    @Test
    void inPlaceShowsTheMistakeAndHowManyPixelsItTouches() {
        assertThat(walking.mistakeKind()).contains(Mistake.Kind.IN_PLACE);
        walking.mistakenProperty().set(true);
        assertThat(walking.explained().orElseThrow().value(new Pixel(0, 2)).toString()).isEqualTo("6");
        assertThat(walking.mistakeProperty().get().image().value(2).toString()).isEqualTo("6");
        // 1 3 6 | 4 9 15 against 1 3 5 | 4 9 11.
        assertThat(walking.differing()).contains(2);
        bench.select(1);
        assertThat(walking.mistakeKind()).as("a step that reads no other pixel").isEmpty();
    }

    @Test
    void itBeginsAgainWhenTheResultHasAnotherSizeAndEndsWithoutOne() {
        walking.to(4);
        bench.editChain(0, chain -> chain.replaced(0, StepLine.parse("crop row=0 column=1 height=2 width=2")));
        assertThat(walking.isOn()).isTrue();
        assertThat(walking.walk().visits().count()).isEqualTo(4);
        assertThat(walking.walk().written()).isZero();
        bench.editChain(0, chain -> chain.replaced(0, StepLine.parse("crop row=0 column=1 height=2 width=9")));
        assertThat(walking.isOn()).as("there is no result").isFalse();
    }

    @Test
    void whatIsSavedGoesOnWhereItWas() {
        walking.begin(ScanOrder.COLUMNS);
        walking.guessingProperty().set(true);
        walking.guessed("1");
        walking.guessed("5");
        SavedProject saved = bench.savedProject();
        bench.open(saved, Optional.empty(), true);
        assertThat(walking.isOn()).isTrue();
        assertThat(walking.walk().written()).isEqualTo(2);
        assertThat(walking.scoreProperty().get().right()).isEqualTo(1);
        assertThat(walking.guessingProperty().get()).isTrue();
        assertThat(bench.savedProject().view().walk()).isEqualTo(saved.view().walk());
    }
}
