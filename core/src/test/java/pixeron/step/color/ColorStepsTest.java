package pixeron.step.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Outcome;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.number.Rational;
import pixeron.step.Bound;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepArbitraries;
import pixeron.step.WholeType;
import pixeron.step.catalog.StepLine;
import pixeron.working.Line;
import pixeron.working.LoopWriter;

/** Steps on color images, calculated by hand on two rows of three inks. */
class ColorStepsTest {

    private static final Image RED = Image.of(255, new int[][] {{71, 250, 1}, {100, 255, 0}});
    private static final Image GREEN = Image.of(255, new int[][] {{171, 10, 2}, {150, 255, 0}});
    private static final Image BLUE = Image.of(255, new int[][] {{172, 20, 3}, {200, 255, 0}});
    private static final Image ALPHA = Image.of(255, new int[][] {{255, 255, 0}, {51, 255, 255}});
    private static final ColorImage INKS = new ColorImage(RED, GREEN, BLUE, Optional.empty());
    private static final ColorImage CLEAR = new ColorImage(RED, GREEN, BLUE, Optional.of(ALPHA));

    private static Result result(String line, ColorImage before) {
        return Binding.of(StepLine.parse(line), before).result(Progress.NONE);
    }

    private static String inks(Result result, int row, int column) {
        StringBuilder text = new StringBuilder();
        result.faces().forEach(face -> text.append(text.isEmpty() ? "" : " ").append(face.image().value(new Pixel(row, column))));
        return text.toString();
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"add amount=20; 91 191 192; 255 30 40", "add amount=20 channels=red; 91 171 172; 255 10 20",
        "invert; 184 84 83; 5 245 235", "multiply factor=0 channels=\"green blue\"; 71 0 0; 250 0 0",
        "divide divisor=2; 36 86 86; 125 5 10", "gray area=\"0 0 1 1\"; 138 138 138; 250 10 20",
        "gray rule=red area=\"0 1 1 1\"; 71 171 172; 250 250 250", "reorder order=\"blue green red\"; 172 171 71; 20 10 250",
        "bits-xor mask=255 channels=blue; 71 171 83; 250 10 235", "crop row=0 column=1 height=1 width=2; 250 10 20; 1 2 3",
        "depth maximum=15; 4 10 10; 15 1 1"})
    void channelsAreWorkedOnEachAlone(String line, String first, String second) {
        Result after = result(line, INKS);
        assertThat(inks(after, 0, 0)).as(line).isEqualTo(first);
        assertThat(inks(after, 0, 1)).as(line).isEqualTo(second);
    }

    @Test
    void alphaIsLeftAloneUnlessItIsNamedOrTheSizeChanges() {
        assertThat(inks(result("invert", CLEAR), 1, 0)).isEqualTo("155 105 55 51");
        assertThat(inks(result("invert channels=alpha", CLEAR), 1, 0)).isEqualTo("100 150 200 204");
        assertThat(inks(result("reorder order=\"alpha red green blue\"", CLEAR), 1, 0)).isEqualTo("51 100 150 200");
        Result part = result("crop row=1 column=0 height=1 width=1", CLEAR);
        assertThat(part.frame()).isEqualTo(new Frame(1, 1, 255));
        assertThat(inks(part, 0, 0)).isEqualTo("100 150 200 51");
        assertThat(result("box size=3 border=crop", new ColorImage(nine(1), nine(2), nine(3), Optional.of(nine(4)))).faces())
                .extracting(face -> face.image().value(0)).containsExactly(Rational.of(5), Rational.of(10), Rational.of(15), Rational.of(20));
    }

    private static Image nine(int factor) {
        return Image.ofLevels(3, 3, 255, n -> factor * (n + 1));
    }

    /** Row 1, column 0 has alpha 51, a fifth: on white (100 · 51 + 255 · 204) ÷ 255 = 224, (150 …) 234, (200 …) 244; their mean 234. */
    @Test
    void grayLaysTransparentPixelsOnWhiteBlackOrNot() {
        assertThat(((Image) result("gray", CLEAR)).level(3)).isEqualTo(234);
        assertThat(((Image) result("gray transparent=over-black", CLEAR)).level(3)).isEqualTo(30);
        assertThat(((Image) result("gray transparent=ignored", CLEAR)).level(3)).isEqualTo(150);
        assertThat(((Image) result("gray rule=alpha", CLEAR)).level(3)).isEqualTo(51);
        assertThat(((Image) result("gray rule=weights weights=\"1/2 1/4 1/4\" rounding=none transparent=ignored", CLEAR)).value(0))
                .isEqualTo(Rational.of(485, 4));
        assertThat(((Image) result("gray rule=luma-601 rounding=floor", INKS)).level(0)).as("141.214").isEqualTo(141);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"add amount=1 channels=alpha; Channels (channels) contains alpha, but this color image has only red, green, blue",
        "gray rule=alpha; rule=alpha needs a color image with alpha", "reorder order=\"alpha red green\"; order contains alpha, but this color image has only red, green, blue",
        "log; red: ", "crop row=0 column=0 height=9 width=1; red: "})
    void whatCannotBeDoneIsSaid(String line, String message) {
        ColorImage before = line.equals("log") ? new ColorImage(Image.from(1, 1, 255, Rational.of(-2)), Image.from(1, 1, 255,
                Rational.of(1)), Image.from(1, 1, 255, Rational.of(1)), Optional.empty()) : INKS;
        assertThatThrownBy(() -> result(line, before)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"add amount=1 channels=\"red red\"; channels contains red twice",
        "add amount=1 channels=orange; \"orange\" is not a channel", "depth maximum=3 channels=red; Leave channels out",
        "box size=3 border=crop channels=red; Leave channels out", "crop row=0 column=0 height=1 width=1 channels=red; has no parameter",
        "gray channels=red; has no parameter", "gray rule=weights; needs weights", "gray weights=\"1 2 3\"; weights applies to rule=weights only",
        "gray rule=weights weights=\"1 2\"; three numbers", "reorder order=\"red green\"; order=\"red green\" names 2 channels", "swap; reorder needs order=…:"})
    void badLinesSayWhatWouldBeRight(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    @Test
    void aChainMayHaveColorThenNone() {
        Chain chain = Chain.of(INKS).withStep(0, StepLine.parse("add amount=20 channels=red")).withStep(1, StepLine.parse("gray"))
                .withStep(2, StepLine.parse("threshold at=144"));
        // (91 + 171 + 172) ÷ 3 = 144.67 → 145; (255 + 10 + 20) ÷ 3 = 95.
        assertThat(chain.last(Progress.NONE).image().level(0)).isEqualTo(255);
        assertThat(chain.last(Progress.NONE).image().level(1)).isZero();
        assertThat(chain.stage(0).after(Progress.NONE).required()).isInstanceOf(ColorImage.class);
        assertThatThrownBy(() -> chain.stage(0).after(Progress.NONE).image()).hasMessageContaining("Add the step gray to get an image");
        Outcome twice = chain.withStep(3, StepLine.parse("gray")).last(Progress.NONE);
        assertThatThrownBy(twice::required).hasMessage("Step 4: gray needs a color image, but its input is an image.");
        Outcome lost = chain.withStep(3, StepLine.parse("add amount=1 channels=red")).last(Progress.NONE);
        assertThatThrownBy(lost::required).hasMessageContaining("Channels (channels) applies to color images only");
        assertThatThrownBy(Chain.of(INKS)::source).isInstanceOf(PixeronException.class);
    }

    @Test
    void notesSayThatColorsShiftAndNameTheChannel() {
        assertThat(Binding.of(StepLine.parse("equalize"), INKS).notes()).contains("Each channel has its own histogram, so colors change.");
        assertThat(Binding.of(StepLine.parse("equalize channels=red"), INKS).notes()).isEmpty();
        assertThat(Binding.of(StepLine.parse("add amount=3"), INKS).notes()).isEmpty();
        ColorImage flat = new ColorImage(RED, GREEN, Image.ofLevels(2, 3, 255, n -> 7), Optional.empty());
        assertThat(Binding.of(StepLine.parse("stretch"), flat).notes()).anyMatch(note -> note.startsWith("blue: "));
    }

    @Test
    void aPixelIsTakenApartAndPutTogether() {
        Bound bound = Binding.of(StepLine.parse("add amount=20 channels=red"), INKS);
        List<String> lines = new WholePixel(bound, INKS, bound.result(Progress.NONE), true).lines(new Pixel(0, 1)).stream()
                .map(line -> line.label() + ": " + line.text()).toList();
        assertThat(lines).containsSubsequence("packed: 0xFFFA0A14     11111111 11111010 00001010 00010100",
                "R: and 0x00FF0000 00000000 11111010 00000000 00000000  right by 16 = 0xFA = 250", "this pixel: s = 250 + 20",
                "overflow: 270 → 255   above 255, clipped to it", "green: 10   as it is",
                "R: 255 left by 16 00000000 11111111 00000000 00000000 = 0x00FF0000",
                "packed: 0xFFFF0A14 = 4294904340");
        assertThat(PackedPixel.find(INKS, new Pixel(0, 0)).orElseThrow().hexadecimal()).isEqualTo("0xFF47ABAC");
        assertThat(PackedPixel.find(RED, new Pixel(0, 0))).isEmpty();
    }

    /** Of a crop the pixel before is told, not the one of the same place. */
    @Test
    void aPixelOfACropComesFromElsewhere() {
        Bound bound = Binding.of(StepLine.parse("crop row=1 column=0 height=1 width=1"), INKS);
        assertThat(new WholePixel(bound, INKS, bound.result(Progress.NONE), true).lines(new Pixel(0, 0)).get(0).text()).startsWith("0xFF6496C8");
    }

    /** A color image whose channels are one and the same is that image, three times, whatever is done. */
    @Property(tries = 300)
    void threeEqualChannelsStayEqual(@ForAll long seed) {
        Random random = new Random(seed);
        Image image = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, image);
        Assume.that(!(step.type() instanceof WholeType));
        // Numbers that are drawn are others for each channel.
        Assume.that(step.type().onChannel(step, 1).equals(step));
        Image alone = step.bind(image).result(Progress.NONE);
        ColorImage gray = new ColorImage(image, image, image, Optional.empty());
        Bound bound = Binding.of(step, gray);
        Result after = bound.result(Progress.NONE);
        assertThat(after.faces()).as(step.line()).allMatch(face -> face.image().equals(alone));
        assertThat(bound.frame()).isEqualTo(alone.frame());
        Pixel pixel = alone.pixel(random.nextInt(alone.count()));
        assertThat(bound.face("green").orElseThrow().value(pixel).asDouble()).isEqualTo(alone.value(pixel).asDouble());
        assertThat(new WholePixel(bound, gray, after, true).lines(pixel)).extracting(Line::label).contains("red", "green", "blue");
    }

    /** 71, 171, 172: 40 more red, 60 less green, 25 more blue; no green at all and twice the blue; three thresholds. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', quoteCharacter = '`', value = {"add amount=\"40 -60 25\"; 111 111 197", "multiply factor=\"1 0 2\"; 71 0 255",
        "threshold at=\"71 100 172\"; 0 255 0", "linear gain=\"2 1 1/2\" bias=5; 147 176 91", "add amount=\"1 2\" channels=\"blue red\"; 73 171 173",
        "clamp low=\"80 0 0\" high=\"255 100 255\"; 80 100 172", "bits-and mask=\"255 0 0x0F\"; 71 0 12"})
    void aNumberForEachChannel(String line, String expected) {
        assertThat(inks(result(line, INKS), 0, 0)).isEqualTo(expected);
        Step step = StepLine.parse(line);
        assertThat(StepLine.parse(step.line())).isEqualTo(step);
    }

    @Test
    void asManyNumbersAsChannels() {
        assertThatThrownBy(() -> result("add amount=\"1 2\"", INKS)).hasMessageContaining("amount has 2 numbers, but the step works on 3 channels: red, green, blue.");
        assertThatThrownBy(() -> StepLine.parse("add amount=\"1 2 3\"").bind(RED)).hasMessageContaining("add has one number for each of 3 channels, but the image is gray. Give one number.");
        assertThatThrownBy(() -> StepLine.parse("box size=\"3 5 7\"")).isInstanceOf(PixeronException.class);
        assertThatThrownBy(() -> StepLine.parse("clamp low=\"1 9 3\" high=\"5 5 5\"")).hasMessageContaining("Low must be at most High");
        // The working and the loop of a channel show its own number.
        WholePixel whole = new WholePixel(Binding.of(StepLine.parse("add amount=\"40 -60 25\""), INKS), INKS, result("add amount=\"40 -60 25\"", INKS), true);
        assertThat(whole.lines(new Pixel(0, 0)).stream().map(Line::text).toList()).contains("s = 71 + 40", "s = 171 + (−60)", "s = 172 + 25");
    }

    /** Red and blue come from the other end of the row, green stays: both pixels are taken apart, and the loop reads green at its own place. */
    @Test
    void channelsThatMoveAloneAreTakenOfAnotherPixel() {
        Bound bound = Binding.of(StepLine.parse("flip direction=left-right channels=\"red blue\""), INKS);
        WholePixel whole = new WholePixel(bound, INKS, bound.result(Progress.NONE), true);
        Pixel pixel = new Pixel(0, 0);
        assertThat(inks(bound.result(Progress.NONE), 0, 0)).isEqualTo("1 171 3");
        List<String> lines = whole.lines(pixel).stream().map(line -> line.label() + ": " + line.text()).toList();
        assertThat(lines).contains("before: row 0, column 2", "before: row 0, column 0", "green: 171   as it is");
        assertThat(lines).anyMatch(line -> line.contains("0xFF010203")).anyMatch(line -> line.contains("0xFF47ABAC")).anyMatch(line -> line.contains("0xFF01AB03"));
        LoopWriter loop = new LoopWriter();
        whole.follow(pixel, loop);
        assertThat(loop.moments().get(0).variables()).anyMatch(variable -> variable.name().equals("p") && variable.value().equals("0xFF47ABAC"));
    }

    /** Red is the image itself, green its negative, blue 9 everywhere. */
    @Test
    void threeImagesBecomeAColorImage() {
        Chain chain = Chain.of(RED).withStep(0, StepLine.parse("invert")).withStep(1, StepLine.parse("add amount=1"))
                .withStep(2, StepLine.parse("merge red=step:0 green=step:1 blue=9"));
        assertThat(inks(chain.last(Progress.NONE).required(), 0, 0)).isEqualTo("71 184 9");
        Chain self = chain.withStep(2, StepLine.parse("merge red=M green=self blue=step:2"));
        assertThat(inks(self.stage(2).after(Progress.NONE).required(), 0, 0)).isEqualTo("255 185 185");
        assertThat(self.stage(2).bound(Progress.NONE).orElseThrow().face("blue").orElseThrow().explain(new Pixel(0, 0)).lines())
                .extracting(Line::label, Line::text).containsExactly(tuple("step:2", "185   as it is"));
        // Behind it steps go channel by channel again.
        Chain more = chain.withStep(3, StepLine.parse("add amount=1 channels=blue"));
        assertThat(inks(more.last(Progress.NONE).required(), 0, 0)).isEqualTo("71 184 10");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"merge red=step:2 green=self blue=self; step:2 does not come before this step, which is step 2",
        "merge red=step:0 green=self blue=self; 'green=self has 1 × 2 and maximum level 255; the channel before it has 2 × 3'"})
    void referencesMustBeEarlierAndAlike(String line, String message) {
        Chain chain = Chain.of(RED).withStep(0, StepLine.parse("crop row=0 column=0 height=1 width=2")).withStep(1, StepLine.parse(line));
        assertThatThrownBy(() -> chain.last(Progress.NONE).required()).hasMessageContaining(message);
        assertThatThrownBy(() -> Chain.of(RED).withStep(0, StepLine.parse("merge red=blue green=self blue=self")).last(Progress.NONE).required())
                .hasMessageContaining("Step 1: There is no image blue.");
        assertThatThrownBy(() -> Binding.of(StepLine.parse("merge red=step:1 green=self blue=self"), RED))
                .hasMessageContaining("no other results to use");
        assertThatThrownBy(() -> Binding.of(StepLine.parse("merge red=self green=self blue=self"), INKS))
                .hasMessageContaining("red=self is a color image. A channel must be a gray image.");
    }
}
