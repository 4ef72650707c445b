package pixeron.step.rank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;
import pixeron.step.neighborhood.Border;

/** All pixels by exchanges, against sorting nine numbers, and at the border against the explained way. */
class MedianOfNineTest {

    private static int sorted(Image image, int row, int column) {
        int[] nine = new int[9];
        Arrays.setAll(nine, n -> image.level((row - 1 + n / 3) * image.columns() + column - 1 + n % 3));
        Arrays.sort(nine);
        return nine[4];
    }

    @ParameterizedTest
    @EnumSource(Border.class)
    void isTheFifthOfNine(Border border) {
        Random random = new Random(9);
        for (int n = 0; n < 60; n++) {
            // Images of one row or column have the most cells missing; mirrors and crops need more.
            int least = border == Border.INSIDE || border == Border.KEEP ? 1 : 3;
            int maximum = new int[] {1, 7, 255, 65535}[n % 4];
            Image image = Image.ofLevels(least + random.nextInt(20), least + random.nextInt(40), maximum, at -> random.nextInt(maximum + 1));
            String constant = border == Border.CONSTANT ? " outside=" + random.nextInt(maximum + 1) : "";
            Operation median = StepLine.parse("median size=3 border=" + border.word() + constant).bind(image);
            Image result = median.result(Progress.NONE);
            int off = border == Border.CROP ? 1 : 0;
            for (int i = 0; i < result.rows(); i++) {
                for (int j = 0; j < result.columns(); j++) {
                    int level = result.level(i * result.columns() + j);
                    boolean isInside = off == 1 || i > 0 && j > 0 && i < image.rows() - 1 && j < image.columns() - 1;
                    if (isInside) {
                        assertThat(level).as("%s, case %d, %d,%d", border, n, i, j).isEqualTo(sorted(image, i + off, j + off));
                    } else {
                        assertThat(Rational.of(level)).as("%s, case %d, %d,%d", border, n, i, j).isEqualTo(median.value(new Pixel(i, j)));
                    }
                }
            }
        }
    }
}
