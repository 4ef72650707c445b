package pixeron.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import pixeron.image.Image;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

class ChainTest {

    private static final Image SOURCE = Image.of(255, new int[][] {{10, 20}});

    private static Chain chain(String... lines) {
        Chain chain = Chain.of(SOURCE);
        for (String line : lines) {
            chain = chain.withStep(chain.size(), StepLine.parse(line));
        }
        return chain;
    }

    private static List<String> lines(Chain chain) {
        return chain.links().stream().map(link -> link.step().line()).toList();
    }

    private static Image last(Chain chain) {
        return chain.last(Progress.NONE).image();
    }

    @Test
    void stepsApplyOneAfterTheOther() {
        assertThat(last(chain())).isSameAs(SOURCE);
        assertThat(last(chain("add amount=5", "multiply factor=2"))).isEqualTo(Image.of(255, new int[][] {{30, 50}}));
        assertThat(last(chain("multiply factor=2", "add amount=5"))).isEqualTo(Image.of(255, new int[][] {{25, 45}}));
    }

    @Test
    void resultsBeforeAChangeAreKeptAndThoseBehindItFollow() {
        Chain old = chain("add amount=5", "multiply factor=2", "invert");
        last(old);
        Chain changed = old.replaced(1, StepLine.parse("multiply factor=3"));
        assertThat(changed.stage(0)).isSameAs(old.stage(0));
        assertThat(changed.stage(0).after(Progress.NONE).image()).isSameAs(old.stage(0).after(Progress.NONE).image());
        assertThat(last(changed)).isEqualTo(Image.of(255, new int[][] {{210, 180}}));
        assertThat(last(old)).isEqualTo(Image.of(255, new int[][] {{225, 205}}));
    }

    /** ln 11 keeps all samples as doubles; what is a whole level of those is a level again as soon as none else is left. */
    @Test
    void wholeDoublesAreLevels() {
        String log = "log rounding=none area=\"0 0 1 1\"";
        assertThat(last(chain(log)).isLevelImage()).isFalse();
        Image levels = last(chain(log, "threshold at=5 area=\"0 0 1 1\""));
        assertThat(levels).isEqualTo(Image.of(255, new int[][] {{255, 20}}));
        assertThat(last(chain(log, "threshold at=5 area=\"0 0 1 1\"", "equalize"))).isEqualTo(Image.of(255, new int[][] {{255, 128}}));
        assertThat(last(chain(log, "crop row=0 column=1 height=1 width=1", "equalize"))).isEqualTo(Image.of(255, new int[][] {{255}}));
    }

    @Test
    void stepsAreMovedDuplicatedSwitchedAndRemovedWithTheirIds() {
        Chain chain = chain("add amount=5", "multiply factor=2", "invert");
        assertThat(lines(chain.moved(0, 2))).containsExactly("multiply factor=2", "invert", "add amount=5");
        assertThat(lines(chain.moved(2, 0))).containsExactly("invert", "add amount=5", "multiply factor=2");
        assertThat(chain.moved(0, 2).links()).extracting(Link::id).containsExactly(2, 3, 1);
        assertThat(chain.duplicated(0).links()).extracting(Link::id).containsExactly(1, 4, 2, 3);
        assertThat(lines(chain.removed(1))).containsExactly("add amount=5", "invert");
        assertThat(last(chain.switched(1, false))).isEqualTo(Image.of(255, new int[][] {{240, 230}}));
        assertThat(chain.switched(1, false).stage(1).operation(Progress.NONE)).isEmpty();
        assertThat(chain.moved(1, 1)).isEqualTo(chain);
    }

    @Test
    void aStepThatFailsIsNamedAndStopsTheStepsBehindItOnly() {
        Chain chain = chain("add amount=5", "invert area=\"0 0 9 9\"", "add amount=1");
        assertThat(chain.stage(0).after(Progress.NONE)).isInstanceOf(Outcome.Done.class);
        assertThat(chain.stage(2).after(Progress.NONE)).isInstanceOfSatisfying(Outcome.Failed.class,
                failed -> assertThat(failed.position()).isEqualTo(1));
        assertThatThrownBy(() -> last(chain)).hasMessageStartingWith("Step 2:").hasMessageContaining("1 × 2");
        assertThat(last(chain.switched(1, false))).isEqualTo(Image.of(255, new int[][] {{16, 26}}));
    }

    /** Steps are named by their numbers, and the numbers follow when steps come, go and move. */
    @Test
    void referencesFollowTheStepsThatTheyName() {
        Chain chain = chain("add amount=5", "multiply factor=2", "combine with=step:1 by=sum");
        assertThat(lines(chain.withStep(0, StepLine.parse("invert")))).endsWith("combine with=step:2 by=sum");
        assertThat(lines(chain.withStep(1, StepLine.parse("invert")))).endsWith("combine with=step:1 by=sum");
        assertThat(lines(chain.moved(0, 1))).containsExactly("multiply factor=2", "add amount=5", "combine with=step:2 by=sum");
        assertThat(lines(chain.removed(1))).containsExactly("add amount=5", "combine with=step:1 by=sum");
        assertThat(lines(chain.duplicated(0))).endsWith("combine with=step:1 by=sum");
        assertThat(lines(chain("invert", "combine with=step:0 by=sum").moved(1, 0))).containsExactly("combine with=step:0 by=sum", "invert");
        assertThat(last(chain)).isEqualTo(Image.of(255, new int[][] {{45, 75}}));
    }

    @Test
    void aStepThatIsReferredToStaysBeforeAndStays() {
        Chain chain = chain("add amount=5", "multiply factor=2", "combine with=step:2 by=sum");
        assertThatThrownBy(() -> chain.moved(1, 2)).hasMessage("Cannot move: step 2 (combine) needs the result of step 3, which must come before it.");
        assertThatThrownBy(() -> chain.removed(1)).hasMessage("Step 3 uses the result of step 2. Change step 3 first.");
        assertThat(lines(chain.removed(2))).containsExactly("add amount=5", "multiply factor=2");
    }
}
