package pixeron.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import pixeron.PixeronException;
import pixeron.look.PixelSet;
import pixeron.step.Inputs;
import pixeron.step.catalog.StepLine;

/** Frames, results of different kinds, and rectangles whose size and last pixel are mixed up. */
class FrameTest {

    @Property
    void offsetsAndPixelsGoThereAndBack(@ForAll @IntRange(min = 1, max = 50) int rows, @ForAll @IntRange(min = 1, max = 50) int columns,
            @ForAll @IntRange(min = 0, max = 2499) int any) {
        Frame frame = new Frame(rows, columns, 7);
        int offset = any % frame.count();
        assertThat(frame.offset(frame.pixel(offset))).isEqualTo(offset);
        assertThat(frame.contains(frame.pixel(offset))).isTrue();
        assertThat(frame.contains(new Pixel(rows, 0))).isFalse();
        assertThat(frame.contains(new Pixel(0, -1))).isFalse();
    }

    @Property
    void theNearestPixelLiesInsideAndAnInsideOneStays(@ForAll @IntRange(min = -9, max = 9) int row,
            @ForAll @IntRange(min = -9, max = 9) int column) {
        Frame frame = new Frame(4, 3, 7);
        Pixel pixel = new Pixel(row, column);
        assertThat(frame.contains(frame.nearest(pixel))).isTrue();
        assertThat(frame.nearest(pixel).equals(pixel)).isEqualTo(frame.contains(pixel));
    }

    @Test
    void anImageHasOneFaceAndAPictureItsChannels() {
        Image image = Image.of(7, new int[][] {{1, 2, 3}});
        assertThat(image.frame()).isEqualTo(new Frame(1, 3, 7));
        assertThat(image.faces()).singleElement().extracting(Result.Face::image).isSameAs(image);
        Result picture = new ColorImage(image, image, image, Optional.of(image));
        assertThat(picture.faces()).extracting(Result.Face::name).containsExactly("red", "green", "blue", "alpha");
        assertThat(picture.frame()).isEqualTo(image.frame());
        assertThatThrownBy(() -> StepLine.parse("invert").bind(new Inputs(picture))).isInstanceOf(PixeronException.class)
                .hasMessage("invert needs an image, but its input is a color image. Add a gray step before it.");
    }

    /** Rows 2 to 4, columns 1 to 6. */
    @Test
    void aRectangleIsMisreadInTwoWays() {
        Area area = new Area(2, 1, 3, 6);
        assertThat(area.lastPixel()).isEqualTo(new Pixel(4, 6));
        assertThat(area.misread()).as("4 and 6 for the size; 3 and 6 for the last pixel").containsExactly(new Area(2, 1, 4, 6),
                new Area(2, 1, 2, 6));
        assertThat(area.isInside(new Frame(5, 7, 1))).isTrue();
        assertThat(area.isInside(new Frame(5, 6, 1))).isFalse();
        assertThat(new Area(5, 5, 2, 2).misread()).as("2 cannot be the last row").containsExactly(new Area(5, 5, 6, 6));
    }

    @Test
    void pixelsOfOneFrameLightThoseOfAnother() {
        Image image = Image.ofLevels(3, 4, 15, n -> n);
        PixelSet some = PixelSet.ofLevels(image, 5, 6);
        PixelSet there = some.in(new Frame(2, 2, 15), pixel -> Optional.of(new Pixel(pixel.row() + 1, pixel.column() + 1)));
        assertThat(there.count()).isEqualTo(2);
        assertThat(there.contains(0)).isTrue();
        assertThat(there.nextAfter(new Pixel(0, 0))).contains(new Pixel(0, 1));
        assertThat(some.in(new Frame(2, 2, 15), pixel -> Optional.empty()).count()).isZero();
    }
}
