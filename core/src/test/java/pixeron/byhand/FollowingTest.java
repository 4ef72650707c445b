package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

class FollowingTest {

    private static final Image IMAGE = Image.of(255, new int[][] {{3, 5, 8, 11}});

    private static HandSheet sheet(String... texts) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int j = 0; j < texts.length; j++) {
            sheet = texts[j].isEmpty() ? sheet : sheet.with(new Pixel(0, j), texts[j]);
        }
        return sheet;
    }

    private static Following following(HandSheet first, HandSheet second) {
        Image between = StepLine.parse("divide divisor=2").bind(IMAGE).result(Progress.NONE);
        Step step = StepLine.parse("invert");
        Operation right = step.bind(between);
        return Following.of(Check.of(second, right), right, first);
    }

    /** Halves: 2 3 4 6, then 253 252 251 249. Dropped fractions give 1 2 4 5, and from those 254 253 251 250. */
    @Test
    void whatIsRightForEarlierValuesFollows() {
        HandSheet dropped = sheet("1", "2", "4", "5");
        assertThat(following(dropped, sheet("254", "253", "251", "250")).pixels())
                .containsExactlyInAnyOrder(new Pixel(0, 0), new Pixel(0, 1), new Pixel(0, 3));
        // A slip of its own at the last cell does not follow.
        assertThat(following(dropped, sheet("254", "253", "251", "205")).pixels())
                .containsExactlyInAnyOrder(new Pixel(0, 0), new Pixel(0, 1));
        // Only part of the earlier values is known: the others count as right.
        assertThat(following(sheet("1", "", "", ""), sheet("254", "253", "", "")).pixels()).containsExactly(new Pixel(0, 0));
        assertThat(following(HandSheet.EMPTY, sheet("254", "253", "251", "250"))).isEqualTo(Following.NONE);
        assertThat(following(dropped, sheet("253", "252", "251", "249"))).isEqualTo(Following.NONE);
    }

    @Test
    void theRestIsWhatHasASlipOfItsOwn() {
        Image between = StepLine.parse("divide divisor=2").bind(IMAGE).result(Progress.NONE);
        Check check = Check.of(sheet("254", "253", "251", "205"), StepLine.parse("invert").bind(between));
        Following following = Following.of(check, StepLine.parse("invert").bind(between), sheet("1", "2", "4", "5"));
        assertThat(following.rest(check).differing()).extracting(CellCheck::pixel).containsExactly(new Pixel(0, 3));
    }
}
