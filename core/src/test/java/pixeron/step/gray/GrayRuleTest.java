package pixeron.step.gray;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.working.Line;
import pixeron.working.Working;

class GrayRuleTest {

    private static ColorImage pixel(int red, int green, int blue, Integer alpha) {
        return new ColorImage(Image.of(255, new int[][] {{red}}), Image.of(255, new int[][] {{green}}),
                Image.of(255, new int[][] {{blue}}), Optional.ofNullable(alpha)
                        .map(a -> Image.of(255, new int[][] {{a}})));
    }

    /** Calculated with paper and pencil for R = 10, G = 20, B = 31. */
    @ParameterizedTest
    @CsvSource({"mean,20", "luma-601,18", "luma-709,19", "lightness,21", "maximum,31", "red,10", "green,20", "blue,31",
        "weights 0.5 0.5 0,15", "weights 1 1 1,61", "weights -1 0 0,0", "weights 1/3 1/3 1/3,20", "weights 9 9 9,255"})
    void makesGray(String rule, int gray) {
        // 61 ÷ 3 = 20.33; 2.99 + 11.74 + 3.534 = 18.264; 2.126 + 14.304 + 2.2382 = 18.6682; (31 + 10) ÷ 2 = 20.5
        assertThat(GrayRule.parse(rule).apply(pixel(10, 20, 31, null), Transparency.OVER_WHITE).level(0))
                .isEqualTo(gray);
    }

    @Test
    void transparentPixelsAreLaidOverAGroundFirst() {
        ColorImage half = pixel(100, 100, 100, 51);
        GrayRule mean = GrayRule.parse("mean");
        // 51 ÷ 255 is a fifth: 20 + 204 over white, 20 over black.
        assertThat(mean.apply(half, Transparency.OVER_WHITE).level(0)).isEqualTo(224);
        assertThat(mean.apply(half, Transparency.OVER_BLACK).level(0)).isEqualTo(20);
        assertThat(mean.apply(half, Transparency.IGNORED).level(0)).isEqualTo(100);
        assertThat(mean.explain(half, Transparency.OVER_WHITE, new Pixel(0, 0)).lines()).extracting(Line::text)
                .contains("R = (100 × 51 + 255 × (255 − 51)) ÷ 255 = 224", "gray = (224 + 224 + 224) ÷ 3",
                        "  = 672 ÷ 3");
        assertThat(half.transparentPixels()).isEqualTo(1);
    }

    /** The sum of whole numbers and the formula of the working give the same, exactly, for every rule and way. */
    @Property(tries = 200)
    void bulkAndWorkingAreTheSame(@ForAll long seed) {
        Random random = new Random(seed);
        int maximum = new int[] {1, 10, 255, 65535}[random.nextInt(4)];
        Image[] channels = new Image[4];
        for (int n = 0; n < 4; n++) {
            channels[n] = Image.ofLevels(2, 3, maximum, offset -> random.nextInt(maximum + 1));
        }
        ColorImage picture = new ColorImage(channels[0], channels[1], channels[2],
                random.nextBoolean() ? Optional.of(channels[3]) : Optional.empty());
        List<GrayRule> rules = new ArrayList<>(GrayRule.ready());
        rules.add(GrayRule.parse("weights 0." + random.nextInt(1000) + " -0." + random.nextInt(100) + " 1/"
                + (1 + random.nextInt(9))));
        for (GrayRule rule : rules) {
            for (Transparency transparency : Transparency.values()) {
                Image gray = rule.apply(picture, transparency);
                for (int n = 0; n < gray.count(); n++) {
                    Working working = rule.explain(picture, transparency, gray.pixel(n));
                    assertThat(working.result()).as("%s %s", rule, transparency).isEqualTo(gray.value(n));
                }
            }
        }
    }

    @Test
    void lumaIsExactAgainstDecimals() {
        Random random = new Random(601);
        for (int n = 0; n < 2000; n++) {
            int[] rgb = random.ints(3, 0, 256).toArray();
            int expected = new BigDecimal("0.299").multiply(new BigDecimal(rgb[0])).add(new BigDecimal("0.587")
                    .multiply(new BigDecimal(rgb[1]))).add(new BigDecimal("0.114").multiply(new BigDecimal(rgb[2])))
                    .setScale(0, RoundingMode.HALF_UP).intValueExact();
            assertThat(GrayRule.parse("luma-601").apply(pixel(rgb[0], rgb[1], rgb[2], null), Transparency.IGNORED)
                    .level(0))
                    .isEqualTo(expected);
        }
    }

    @Test
    void badRulesSayWhatWouldBeRight() {
        assertThatThrownBy(() -> GrayRule.parse("sepia")).isInstanceOf(PixeronException.class)
                .hasMessageContaining("luma-601");
        assertThatThrownBy(() -> GrayRule.parse("weights 1 2")).hasMessageContaining("three numbers");
        assertThatThrownBy(() -> GrayRule.parse("weights 1 2 x")).hasMessageContaining("“x” is not a valid number");
        assertThatThrownBy(() -> GrayRule.parse("weights 0.00000001 0 0")).hasMessageContaining("fewer digits");
        assertThatThrownBy(() -> Transparency.of("pink")).hasMessageContaining("over-white");
        for (GrayRule rule : GrayRule.ready()) {
            assertThat(GrayRule.parse(rule.word())).isSameAs(rule);
            assertThat(rule.sentence()).isNotEmpty();
        }
    }
}
