package pixeron.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.look.MemoryRow.Layout;
import pixeron.number.Decimals;

/** Where samples lie in memory, calculated by hand for two rows of three pixels. */
class MemoryRowTest {

    private static final Image GRAY = Image.of(255, new int[][] {{1, 2, 3}, {4, 5, 6}});
    private static final ColorImage COLOR = new ColorImage(GRAY, Image.of(255, new int[][] {{11, 12, 13}, {14, 15, 16}}),
            Image.of(255, new int[][] {{21, 22, 23}, {24, 25, 26}}), Optional.empty());

    private static String row(Result image, Layout layout, int row) {
        return MemoryRow.of(image, layout, row).cells().stream().map(cell -> cell.offset() + "=" + Decimals.table(cell.value())).collect(Collectors.joining(" "));
    }

    @Test
    void grayLiesRowByRowOrColumnByColumn() {
        assertThat(Layout.of(GRAY)).containsExactly(Layout.ROWS, Layout.COLUMNS);
        assertThat(row(GRAY, Layout.ROWS, 1)).isEqualTo("3=4 4=5 5=6");
        assertThat(row(GRAY, Layout.COLUMNS, 1)).isEqualTo("1=4 3=5 5=6");
        assertThat(Layout.COLUMNS.formula(GRAY.frame(), 1)).isEqualTo("offset = j · 2 + i");
    }

    @Test
    void colorLiesPixelByPixelOrPlaneByPlane() {
        assertThat(row(COLOR, Layout.INTERLEAVED, 1)).isEqualTo("9=4 10=14 11=24 12=5 13=15 14=25 15=6 16=16 17=26");
        assertThat(row(COLOR, Layout.INTERLEAVED_BLUE_FIRST, 0)).isEqualTo("0=21 1=11 2=1 3=22 4=12 5=2 6=23 7=13 8=3");
        assertThat(row(COLOR, Layout.PLANES, 1)).isEqualTo("3=4 4=5 5=6 9=14 10=15 11=16 15=24 16=25 17=26");
        assertThat(MemoryRow.of(COLOR, Layout.INTERLEAVED_BLUE_FIRST, 0).text(4)).isEqualTo("0: blue (0, 0)  1: green (0, 0)  2: red (0, 0)  3: blue (0, 1) …");
        assertThat(Layout.PLANES.formula(COLOR.frame(), 3)).isEqualTo("offset = c · 2 · 3 + i · 3 + j");
    }

    @Test
    void alphaStaysLastInAPixel() {
        ColorImage clear = new ColorImage(COLOR.red(), COLOR.green(), COLOR.blue(), Optional.of(Image.of(255, new int[][] {{31, 32, 33}, {34, 35, 36}})));
        assertThat(row(clear, Layout.INTERLEAVED_BLUE_FIRST, 0)).startsWith("0=21 1=11 2=1 3=31 4=22");
    }

    /** Law: all rows together fill the array, each offset once. */
    @Test
    void everyOffsetIsTakenOnce() {
        for (Result image : List.of(GRAY, COLOR)) {
            for (Layout layout : Layout.of(image)) {
                Set<Long> offsets = new HashSet<>();
                for (int row = 0; row < 2; row++) {
                    MemoryRow.of(image, layout, row).cells().forEach(cell -> offsets.add(cell.offset()));
                }
                assertThat(offsets).as(layout.title()).hasSize(6 * image.faces().size()).allMatch(offset -> offset >= 0 && offset < 6 * image.faces().size());
            }
        }
    }
}
