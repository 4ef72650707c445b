package pixeron.make;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import pixeron.PixeronException;
import pixeron.format.CellTable;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.Segment;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/** Drawn values, and values that do not fit the levels. */
class DrawingTest {

    private static final Image PAPER = Image.of(7, new int[][] {{0, 0, 5, 0}, {0, 5, 5, 0}, {5, 0, 0, 0}});
    private static final Rational INK = Rational.of(7);

    @Test
    void dotsLinesAndRectanglesAreDrawnIntoANewImage() {
        assertThat(Drawing.dot(PAPER, new Pixel(0, 3), INK))
                .isEqualTo(Image.of(7, new int[][] {{0, 0, 5, 7}, {0, 5, 5, 0}, {5, 0, 0, 0}}));
        assertThat(Drawing.line(PAPER, new Segment(new Pixel(0, 0), new Pixel(2, 2)), INK))
                .isEqualTo(Image.of(7, new int[][] {{7, 0, 5, 0}, {0, 7, 5, 0}, {5, 0, 7, 0}}));
        assertThat(Drawing.rectangle(PAPER, new Area(1, 2, 2, 2), INK))
                .isEqualTo(Image.of(7, new int[][] {{0, 0, 5, 0}, {0, 5, 7, 7}, {5, 0, 7, 7}}));
        assertThat(PAPER.level(3)).isZero();
    }

    @Test
    void fillStopsAtOtherValuesAndAtCorners() {
        // the three 0 at the top left hang together; a corner does not connect
        assertThat(Drawing.fill(PAPER, new Pixel(0, 0), INK))
                .isEqualTo(Image.of(7, new int[][] {{7, 7, 5, 0}, {7, 5, 5, 0}, {5, 0, 0, 0}}));
        assertThat(Drawing.fill(PAPER, new Pixel(2, 1), INK))
                .isEqualTo(Image.of(7, new int[][] {{0, 0, 5, 7}, {0, 5, 5, 7}, {5, 7, 7, 7}}));
        assertThat(Drawing.fill(PAPER, new Pixel(0, 2), INK))
                .isEqualTo(Image.of(7, new int[][] {{0, 0, 7, 0}, {0, 7, 7, 0}, {5, 0, 0, 0}}));
    }

    @Test
    void aValueThatIsNoLevelMakesAnOpenImage() {
        Image open = Drawing.dot(PAPER, new Pixel(0, 0), Decimals.parse("2.5"));
        assertThat(open.isLevelImage()).isFalse();
        assertThat(open.value(0)).isEqualTo(Rational.of(5, 2));
        assertThat(Drawing.dot(open, new Pixel(0, 0), Rational.ZERO)).isEqualTo(PAPER);
    }

    @Test
    void aBlockIsPastedAndItsBlanksLeaveWhatIsThere() {
        assertThat(Drawing.paste(PAPER, new Pixel(1, 1), CellTable.parse("1\t2\n\t3")))
                .isEqualTo(Image.of(7, new int[][] {{0, 0, 5, 0}, {0, 1, 2, 0}, {5, 0, 3, 0}}));
        assertThatThrownBy(() -> Drawing.paste(PAPER, new Pixel(2, 3), CellTable.parse("1\t2")))
                .hasMessageContaining("does not fit");
        assertThatThrownBy(() -> Drawing.paste(PAPER, new Pixel(0, 0), CellTable.parse("1\ttwo")))
                .hasMessageContaining("column 1").hasMessageContaining("two");
    }

    @Test
    void aPartIsAnImageOfItsOwn() {
        assertThat(PAPER.part(new Area(0, 1, 2, 2))).isEqualTo(Image.of(7, new int[][] {{0, 5}, {5, 5}}));
        assertThatThrownBy(() -> PAPER.part(new Area(0, 3, 1, 2))).isInstanceOf(PixeronException.class);
        assertThat(Area.around(new Pixel(0, 3), 3, PAPER)).isEqualTo(new Area(0, 2, 2, 2));
        assertThat(Area.between(new Pixel(2, 0), new Pixel(1, 3))).isEqualTo(new Area(1, 0, 2, 4));
    }

    /** A table of products 1 · 1 to 20 · 20 has 400 as its largest value. */
    @Test
    void valuesBeyondTheLevelsAreDealtWithAsThePersonSays() {
        Image products = Makers.gray("formula rows=20 columns=20 maximum=255 expression=\"(i + 1) * (j + 1)\"");
        assertThat(products.isLevelImage()).isFalse();
        Image raised = TooLarge.RAISE.apply(products);
        assertThat(raised.maximumLevel()).isEqualTo(400);
        assertThat(raised.isLevelImage()).isTrue();
        assertThat(raised.level(399)).isEqualTo(400);
        Image clipped = TooLarge.CLIP.apply(products);
        assertThat(clipped.level(399)).isEqualTo(255);
        assertThat(clipped.level(21)).isEqualTo(4);
        Image rescaled = TooLarge.RESCALE.apply(products);
        // (4 − 1) · 255 ÷ 399 = 1.917…
        assertThat(rescaled.level(21)).isEqualTo(2);
        assertThat(rescaled.level(399)).isEqualTo(255);
        assertThat(TooLarge.KEEP.apply(products)).isSameAs(products);
        assertThat(TooLarge.CLIP.apply(PAPER)).isSameAs(PAPER);
        assertThatThrownBy(() -> TooLarge.RAISE.apply(products.with(new int[] {0}, Rational.of(70000))))
                .hasMessageContaining("65535");
    }

    @Test
    void countsArePutIntoBins() {
        Histogram histogram = Histogram.of(PAPER);
        assertThat(histogram.bins(1)).containsExactly(8, 0, 0, 0, 0, 4, 0, 0);
        assertThat(histogram.bins(3)).containsExactly(8, 4, 0);
        assertThat(histogram.levelAt(8)).isZero();
        assertThat(histogram.levelAt(9)).isEqualTo(5);
    }
}
