package pixeron.app.sheet.paint;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.paint.Color;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import pixeron.app.model.Scale;

/** Scales of colors as people see them who lack the cones for green or for red, by the usual matrices on linear light. */
class ScaleForEveryEyeTest {

    /** How an eye sees light: what it makes of red, green and blue. */
    enum Eye {
        USUAL(new double[][] {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}),
        WITHOUT_RED(new double[][] {{0.152286, 1.052583, -0.204868}, {0.114503, 0.786281, 0.099216}, {-0.003882, -0.048116, 1.051998}}),
        WITHOUT_GREEN(new double[][] {{0.367322, 0.860646, -0.227968}, {0.280085, 0.672501, 0.047413}, {-0.011820, 0.042940, 0.968881}});

        private final double[][] matrix;

        Eye(double[][] matrix) {
            this.matrix = matrix;
        }

        /** Returns linear red, green and blue as seen. */
        double[] sees(int argb) {
            double[] light = {linear(argb >> 16 & 0xFF), linear(argb >> 8 & 0xFF), linear(argb & 0xFF)};
            double[] seen = new double[3];
            for (int i = 0; i < 3; i++) {
                double sum = matrix[i][0] * light[0] + matrix[i][1] * light[1] + matrix[i][2] * light[2];
                seen[i] = Math.max(0, Math.min(1, sum));
            }
            return seen;
        }

        /** Returns lightness 0–100. */
        double lightness(int argb) {
            double[] seen = sees(argb);
            double y = 0.2126 * seen[0] + 0.7152 * seen[1] + 0.0722 * seen[2];
            return y > 216.0 / 24389 ? 116 * Math.cbrt(y) - 16 : y * 24389 / 27;
        }
    }

    private static double linear(int channel) {
        double c = channel / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    /** Sixteen steps apart two colors are clearly of different lightness, and next to each other never the wrong way round. */
    @ParameterizedTest
    @EnumSource(value = Scale.class, mode = EnumSource.Mode.EXCLUDE, names = "TWO_SIDED")
    void lightnessRisesForEveryEye(Scale scale) {
        for (Eye eye : Eye.values()) {
            for (int place = 1; place < Scale.STEPS; place++) {
                double lightness = eye.lightness(scale.color(place));
                // A channel is a whole number, so one step may go back by less than half of one of them.
                assertThat(lightness).as("%s, %s, place %d", scale, eye, place).isGreaterThan(eye.lightness(scale.color(place - 1)) - 0.2);
                if (place >= 16) {
                    assertThat(lightness - eye.lightness(scale.color(place - 16))).as("%s, %s, place %d", scale, eye, place).isGreaterThan(2);
                }
            }
        }
    }

    /** From both ends it gets lighter toward the middle, and what lies as far on either side is distinguished by blue. */
    @ParameterizedTest
    @EnumSource(Eye.class)
    void bothSidesAreToldApart(Eye eye) {
        int middle = Scale.STEPS / 2;
        for (int off = 16; off < middle; off++) {
            int below = Scale.TWO_SIDED.color(middle - 1 - off);
            int above = Scale.TWO_SIDED.color(middle + off);
            assertThat(eye.lightness(below)).isLessThan(eye.lightness(Scale.TWO_SIDED.color(middle - 1 - off + 16)));
            assertThat(eye.lightness(above)).isLessThan(eye.lightness(Scale.TWO_SIDED.color(middle + off - 16)));
            double[] one = eye.sees(below);
            double[] other = eye.sees(above);
            assertThat(one[2] / (one[0] + one[1] + 0.01) - other[2] / (other[0] + other[1] + 0.01)).as("%d from the middle", off).isGreaterThan(0.05);
        }
    }

    /** A number is read on every color that a cell can have: gray or of a scale. */
    @ParameterizedTest
    @EnumSource(Scale.class)
    void numbersAreReadOnEveryCell(Scale scale) {
        for (int place = 0; place < Scale.STEPS; place++) {
            int argb = scale.color(place);
            double ground = Tones.luminance(Color.rgb(argb >> 16 & 0xFF, argb >> 8 & 0xFF, argb & 0xFF));
            double ink = Tones.luminance(Tones.ink(Color.rgb(argb >> 16 & 0xFF, argb >> 8 & 0xFF, argb & 0xFF)));
            assertThat((Math.max(ground, ink) + 0.05) / (Math.min(ground, ink) + 0.05)).as("%s, place %d", scale, place).isGreaterThanOrEqualTo(4.5);
        }
    }
}
