package pixeron.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import pixeron.PixeronException;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;

/** Counting by hand: every pixel once, and back again. */
class TallyTest {

    private static final Image SORT = Image.of(3, new int[][] {{0, 2, 2}, {3, 2, 0}});

    @Test
    void levelsAreCountedPixelByPixel() {
        Tally tally = Tally.start(SORT, ScanOrder.ROWS);
        assertThat(tally.pixel()).isEmpty();
        tally = tally.at(1).at(2).at(3).at(4);
        assertThat(tally.pixel()).contains(new Pixel(1, 0));
        assertThat(new int[] {tally.count(0), tally.count(1), tally.count(2), tally.count(3)})
                .containsExactly(1, 0, 2, 1);
        assertThat(tally.at(2).count(2)).isEqualTo(1);
    }

    @Test
    void columnsComeFirstWhenTheOrderSaysSo() {
        Tally tally = Tally.start(SORT, ScanOrder.COLUMNS).at(3);
        assertThat(tally.pixel()).contains(new Pixel(0, 1));
        assertThat(tally.count(3)).isEqualTo(1);
        assertThat(ScanOrder.COLUMNS.place(SORT, new Pixel(1, 2))).isEqualTo(5);
        assertThat(ScanOrder.ROWS.place(SORT, new Pixel(1, 0))).isEqualTo(3);
    }

    @Test
    void valuesThatAreNoLevelsAreNotCounted() {
        Image open = SORT.with(new int[] {0}, Rational.HALF);
        assertThatThrownBy(() -> Tally.start(open, ScanOrder.ROWS)).isInstanceOf(PixeronException.class);
    }

    @Property(tries = 50)
    void everyPixelIsVisitedOnceAndTheEndIsTheHistogram(@ForAll @IntRange(min = 1, max = 7) int rows,
            @ForAll @IntRange(min = 1, max = 7) int columns, @ForAll ScanOrder order, @ForAll long seed) {
        Random random = new Random(seed);
        Image image = Image.ofLevels(rows, columns, 5, n -> random.nextInt(6));
        Set<Pixel> seen = new HashSet<>();
        Tally tally = Tally.start(image, order);
        for (int n = 1; n <= image.count(); n++) {
            tally = tally.at(n);
            seen.add(tally.pixel().orElseThrow());
            assertThat(order.place(image, tally.pixel().orElseThrow())).isEqualTo(n - 1);
        }
        assertThat(seen).hasSize(image.count());
        Histogram histogram = Histogram.of(image);
        Tally back = tally.at(random.nextInt(image.count() + 1)).at(image.count() + 5);
        for (int level = 0; level <= 5; level++) {
            assertThat(tally.count(level)).isEqualTo(histogram.count(level));
            assertThat(back.count(level)).isEqualTo(histogram.count(level));
        }
    }
}
