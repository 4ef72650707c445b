package pixeron.step.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.chain.Chain;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;

/** Color models: worked numbers, and there and back again. */
class ConvertTest {

    private static ColorImage color(int maximum, int[]... pixels) {
        return new ColorImage(channel(maximum, 0, pixels), channel(maximum, 1, pixels), channel(maximum, 2, pixels), Optional.empty());
    }

    private static Image channel(int maximum, int channel, int[]... pixels) {
        return Image.ofLevels(1, pixels.length, maximum, n -> pixels[n][channel]);
    }

    private static Result after(Result before, String... lines) {
        Chain chain = Chain.of(before);
        for (String line : lines) {
            chain = chain.withStep(chain.size(), StepLine.parse(line));
        }
        return chain.last(Progress.NONE).required();
    }

    private static String numbers(Result result, Pixel pixel) {
        return result.faces().stream().map(face -> Decimals.exact(face.image().value(pixel))).collect(Collectors.joining(" "));
    }

    /** Worked by hand: 203 130 217 has X = 217, N = 130, C = 87, blue the largest: 60 × (73 ÷ 87 + 4) = 290.34. */
    @ParameterizedTest
    @CsvSource({
        "convert to=hsv, 203 130 217, 290 40 85", "convert to=hsv, 255 10 200, 313 96 100", "convert to=hsv, 0 0 0, 0 0 0", "convert to=hsv, 255 255 255, 0 0 100",
        "convert to=hsv, 255 255 0, 60 100 100", "convert to=hsv, 0 255 255, 180 100 100", "convert to=hsv, 255 0 1, 0 100 100", "convert to=hsv scale=levels, 0 255 0, 85 255 255",
        "convert to=hsv scale=half, 0 0 255, 120 255 255", "convert to=hsv scale=unit, 0 128 0, 1/3 1 128/255", "convert to=hsl, 203 130 217, 290 53 68", "convert to=hsl, 255 255 255, 0 0 100",
        "convert to=cmyk, 203 130 217, 6 40 0 15", "convert to=cmyk, 0 0 0, 0 0 0 100", "convert to=ycbcr scale=levels, 255 0 0, 76 85 255", "convert to=ycbcr scale=levels, 0 0 255, 29 255 107",
        "convert to=ycbcr, 0 0 255, 11 50 -8", "convert to=ycbcr scale=levels rounding=none overflow=keep, 0 0 255, 2907/100 511/2 75193/701",
        "convert to=hsv rounding=floor, 255 10 200, 313 96 100"})
    void colorsWorkedOutByHand(String line, String before, String after) {
        int[] pixel = List.of(before.split(" ")).stream().mapToInt(Integer::parseInt).toArray();
        String[] made = numbers(after(color(255, pixel), line), new Pixel(0, 0)).split(" ");
        String[] expected = after.split(" ");
        assertThat(made).hasSameSizeAs(expected);
        for (int n = 0; n < made.length; n++) {
            assertThat(Decimals.parse(made[n]).asDouble()).as(line + " " + n).isCloseTo(Decimals.parse(expected[n]).asDouble(), org.assertj.core.data.Offset.offset(1e-4));
        }
    }

    /** 60 × (25 ÷ 26 × …) rounds to 360, which is 0 on the circle: 255 0 1 has 60 × (−1 ÷ 255 + 6) = 359.76. */
    @Test
    void aFullCircleIsZero() {
        assertThat(numbers(after(color(255, new int[] {255, 0, 1}), "convert to=hsv"), new Pixel(0, 0))).startsWith("0 ");
    }

    @Property(tries = 300)
    void thereAndBackIsTheSame(@ForAll long seed) {
        Random random = new Random(seed);
        int maximum = List.of(1, 7, 100, 255, 65535).get(random.nextInt(5));
        int[][] pixels = new int[1 + random.nextInt(9)][];
        for (int n = 0; n < pixels.length; n++) {
            pixels[n] = random.ints(3, 0, maximum + 1).toArray();
            pixels[n][random.nextInt(3)] = random.nextBoolean() ? 0 : maximum;
        }
        ColorImage before = color(maximum, pixels);
        String model = List.of("hsv", "hsl", "cmyk", "ycbcr").get(random.nextInt(4));
        String scale = List.of("usual", "levels", "unit", model.startsWith("hs") ? "half" : "unit").get(random.nextInt(4));
        assertThat(after(before, "convert to=" + model + " scale=" + scale + " rounding=none overflow=keep", "convert to=rgb rounding=none")).as(model + " " + scale).isEqualTo(before);
    }

    /** Whole images of levels are calculated in another way, with the same result. */
    @Property(tries = 300)
    void quickIsAsSlow(@ForAll long seed) {
        Random random = new Random(seed);
        int maximum = List.of(1, 7, 100, 255, 65535).get(random.nextInt(5));
        int[][] pixels = new int[12][];
        for (int n = 0; n < pixels.length; n++) {
            pixels[n] = random.ints(3, 0, maximum + 1).toArray();
            pixels[n][random.nextInt(3)] = pixels[n][random.nextInt(3)];
        }
        String model = List.of("hsv", "hsl", "cmyk", "ycbcr").get(random.nextInt(4));
        String scale = List.of("usual", "levels", model.startsWith("hs") ? "half" : "usual").get(random.nextInt(3));
        String end = List.of("", " rounding=floor", " rounding=nearest-even overflow=wrap", " overflow=wrap").get(random.nextInt(4));
        Bound bound = Binding.of(StepLine.parse("convert to=" + model + " scale=" + scale + end), color(maximum, pixels));
        for (String name : bound.faces()) {
            ToComponent operation = (ToComponent) bound.face(name).orElseThrow();
            assertThat(operation.result(Progress.NONE)).as(model + scale + name + end).isEqualTo(operation.slowly(Progress.NONE));
        }
        Bound back = Binding.of(StepLine.parse("convert to=rgb" + end), bound.result(Progress.NONE));
        for (String name : back.faces()) {
            ToChannel operation = (ToChannel) back.face(name).orElseThrow();
            assertThat(operation.result(Progress.NONE)).as(model + scale + name + end + " back").isEqualTo(operation.slowly(Progress.NONE));
        }
    }

    /** The working ends at the value in the result, for every component. */
    @Property(tries = 200)
    void theWorkingLeadsToTheResult(@ForAll long seed) {
        Random random = new Random(seed);
        ColorImage before = color(255, random.ints(3, 0, 256).toArray(), random.ints(3, 0, 4).toArray());
        for (String line : List.of("convert to=hsv", "convert to=hsl scale=unit", "convert to=cmyk scale=levels", "convert to=ycbcr")) {
            Bound bound = Binding.of(StepLine.parse(line), before);
            Result result = bound.result(Progress.NONE);
            for (String name : bound.faces()) {
                Operation operation = bound.face(name).orElseThrow();
                for (int n = 0; n < 2; n++) {
                    Pixel pixel = new Pixel(0, n);
                    Value value = result.face(name).orElseThrow().value(pixel);
                    assertThat(operation.explain(pixel).result().asDouble()).isEqualTo(value.asDouble());
                    assertThat(operation.value(pixel).asDouble()).isEqualTo(value.asDouble());
                }
            }
        }
    }

    @Test
    void theWorkingShowsTheCaseAndTheNumbers() {
        Bound bound = Binding.of(StepLine.parse("convert to=hsv"), color(255, new int[] {255, 10, 200}));
        String working = bound.face("hue").orElseThrow().explain(new Pixel(0, 0)).lines().stream().map(line -> line.label() + ": " + line.text()).collect(Collectors.joining("\n"));
        assertThat(working).contains("difference: C = X − N = 1 − (2/51) = 49/51", "case: X = R: H = 60 × ((G − B) ÷ C mod 6)   red is the largest channel",
                "quotient: (G − B) ÷ C = ((2/51) − (40/51)) ÷ (49/51) = −38/49", "mod 6: −38/49 + 6 = 256/49", "hue: H = 60 × (256/49) = 15360/49");
    }

    @Test
    void aStepWorksOnComponentsInTheirRange() {
        ColorImage violet = color(255, new int[] {203, 130, 217});
        assertThat(numbers(after(violet, "convert to=hsv", "add amount=80 channels=hue overflow=wrap"), new Pixel(0, 0))).isEqualTo("10 40 85");
        assertThat(numbers(after(violet, "convert to=hsv", "add amount=80 channels=\"hue saturation value\""), new Pixel(0, 0))).isEqualTo("360 100 100");
        assertThat(numbers(after(violet, "convert to=ycbcr", "subtract amount=100 channels=cb"), new Pixel(0, 0))).contains(" -50 ");
        assertThat(numbers(after(violet, "convert to=ycbcr", "add amount=60 channels=cb overflow=wrap"), new Pixel(0, 0))).contains(" -29 ");
    }

    /** Red lies on both sides of 0: 330 and more, or 30 and less. */
    @Test
    void aBandOfHueGoesThroughZero() {
        ColorImage colors = color(255, new int[] {255, 0, 40}, new int[] {255, 40, 0}, new int[] {0, 255, 0}, new int[] {0, 0, 255});
        assertThat(after(colors, "convert to=hsv", "band low=330 high=30 channels=hue", "gray rule=hue"))
                .isEqualTo(Image.ofLevels(1, 4, 360, n -> n < 2 ? 360 : 0));
        assertThatThrownBy(() -> after(colors, "band low=200 high=30")).isInstanceOf(PixeronException.class).hasMessageContaining("above");
        assertThatThrownBy(() -> after(colors, "convert to=hsv", "band low=90 high=30 channels=saturation")).isInstanceOf(PixeronException.class).hasMessageContaining("above");
    }

    @Test
    void stepsThatMovePixelsActOnAllComponents() {
        ColorImage two = color(255, new int[] {255, 0, 0}, new int[] {0, 0, 255});
        Result flipped = after(two, "convert to=hsv", "crop row=0 column=1 height=1 width=1");
        assertThat(flipped).isInstanceOf(ModelImage.class);
        assertThat(numbers(flipped, new Pixel(0, 0))).isEqualTo("240 100 100");
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "convert to=hsv;add amount=3> Name one or more of hue, saturation, value", "convert to=hsv;convert to=hsl> Convert it back (convert to=rgb)", "convert to=rgb> needs the components",
        "convert to=hsv;depth maximum=7> maximum level", "convert to=hsv;reorder order=\"blue green red\"> needs a color image", "convert to=cmyk scale=half> scale=half",
        "convert to=hsv;gray> hue, saturation or value", "convert to=hsv;fourier> gray", "convert to=hsv;threshold at=40 channels=red> has only hue, saturation, value", "gray rule=hue> needs a model image",
        "convert to=hsv;gray rule=hue area=\"0 0 1 1\"> takes only rule", "convert to=ycbcr;equalize channels=cb> cb"})
    void whatDoesNotFitIsRefused(String linesAndWords) {
        String[] parts = linesAndWords.split("> ", 2);
        assertThatThrownBy(() -> after(color(255, new int[] {203, 130, 217}, new int[] {0, 255, 0}), parts[0].split(";"))).isInstanceOf(PixeronException.class).hasMessageContaining(parts[1]);
    }

    @Test
    void valuesOutsideAreRefusedWithTheirPixel() {
        Image open = Image.from(1, 1, 255, Rational.of(300));
        Image zero = Image.ofLevels(1, 1, 255, n -> 0);
        assertThatThrownBy(() -> after(new ColorImage(zero, open, zero, Optional.empty()), "convert to=hsv")).hasMessageContaining("green is 300");
    }

    /** 1 − G: 80 and 60 percent; over the key it is (X − G) ÷ X, 75 and 0. */
    @Test
    void inksThatStillHoldTheKeyAreFound() {
        Operation operation = Binding.of(StepLine.parse("convert to=cmyk"), color(255, new int[] {204, 51, 153}, new int[] {102, 102, 51})).face("magenta").orElseThrow();
        HandSheet sheet = HandSheet.EMPTY.with(new Pixel(0, 0), "80").with(new Pixel(0, 1), "60");
        assertThat(SlipFinder.find(Check.of(sheet, operation), operation).slips()).extracting("id").contains("key-not-removed");
    }

    /** Slips, each written by hand for four colors as a person with it would. */
    @ParameterizedTest
    @CsvSource({
        "convert to=hsv, hue, -47 -40 120 240, hue-not-wrapped", "convert to=hsv, hue, 313 320 0 0, sector-forgotten", "convert to=hsv scale=levels, hue, 313 320 120 240, degrees-for-levels",
        "convert to=hsv, value, 4 20 0 0, smallest-for-largest", "convert to=hsv, value, 52 50 50 50, model-swapped", "convert to=hsv, saturation, 0.96 0.75 1 1, unit-for-percent"})
    void slipsAreFound(String line, String component, String written, String slip) {
        ColorImage before = color(255, new int[] {255, 10, 200}, new int[] {204, 51, 153}, new int[] {0, 255, 0}, new int[] {0, 0, 255});
        Operation operation = Binding.of(StepLine.parse(line), before).face(component).orElseThrow();
        HandSheet sheet = HandSheet.EMPTY;
        String[] cells = written.split(" ");
        for (int n = 0; n < cells.length; n++) {
            sheet = sheet.with(new Pixel(0, n), cells[n]);
        }
        assertThat(SlipFinder.find(Check.of(sheet, operation), operation).slips()).as(slip).extracting("id").contains(slip);
    }
}
