package pixeron.step.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepArbitraries;
import pixeron.step.StepType;
import pixeron.step.WholeType;
import pixeron.step.catalog.StepLine;
import pixeron.walk.PseudoCode;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;
import pixeron.working.Moment;

/** What holds for every step and every image with color. */
class ColorLawsTest {

    /** The same values elsewhere: counts alike, places not. */
    private static Image shuffled(Image image, Random random) {
        List<Integer> places = new ArrayList<>(IntStream.range(0, image.count()).boxed().toList());
        Collections.shuffle(places, random);
        Value[] values = new Value[image.count()];
        for (int n = 0; n < values.length; n++) {
            values[n] = image.value(places.get(n));
        }
        // One value doubled, so that counts are not quite alike either.
        values[0] = values[values.length - 1];
        return Image.from(image.rows(), image.columns(), image.maximumLevel(), values);
    }

    private static ColorImage color(Image red, Random random) {
        return new ColorImage(red, shuffled(red, random), shuffled(red, random), random.nextBoolean() ? Optional.of(shuffled(red, random))
                : Optional.empty());
    }

    private static Optional<Image> alone(Step step, Image face) {
        try {
            return Optional.of(step.bind(face).result(Progress.NONE));
        } catch (PixeronException notForThese) {
            return Optional.empty();
        }
    }

    /** Returns the step itself where its size may change, so that it takes no channels. */
    private static Step onChannels(Step step, List<String> wanted) {
        try {
            return step.has(Common.CHANNELS) ? step.with(StepType.CHANNELS, wanted) : step;
        } catch (PixeronException changesTheFrame) {
            return step;
        }
    }

    @Property(tries = 400)
    void eachChannelIsTheStepOnThatChannelAlone(@ForAll long seed) {
        Random random = new Random(seed);
        Image red = StepArbitraries.image(random);
        ColorImage before = color(red, random);
        Step step = StepArbitraries.step(random, red);
        // What takes an image whole takes one alone.
        Assume.that(!(step.type() instanceof WholeType));
        List<String> wanted = random.nextBoolean() ? List.of("blue", "red") : List.of("red", "green", "blue");
        Step asked = wanted.size() == 2 ? onChannels(step, wanted) : step;
        Bound bound;
        Result after;
        try {
            bound = Binding.of(asked, before);
            after = bound.result(Progress.NONE);
        } catch (PixeronException problem) {
            assertThat(before.faces()).as("some channel alone has no result either: " + problem.getMessage())
                    .anyMatch(face -> alone(step, face.image()).isEmpty());
            return;
        }
        // What can change the size works on all channels alike, also where it does not.
        boolean isSameSize = after.frame().equals(before.frame()) && step.has(Common.CHANNELS);
        for (Result.Face face : before.faces()) {
            boolean isWorkedOn = !isSameSize || (asked == step ? !face.name().equals("alpha") : wanted.contains(face.name()));
            int place = List.of("red", "green", "blue", "alpha").indexOf(face.name());
            Image right = isWorkedOn ? alone(step.type().onChannel(step, place), face.image()).orElseThrow() : face.image();
            assertThat(after.face(face.name())).as(asked.line() + ", " + face.name()).contains(right);
            Pixel pixel = right.pixel(random.nextInt(right.count()));
            assertThat(bound.face(face.name()).orElseThrow().explain(pixel).result().asDouble()).isEqualTo(right.value(pixel).asDouble());
        }
        assertThat(bound.faces()).isEqualTo(after.faces().stream().map(Result.Face::name).toList());
    }

    private static String last(PseudoCode code, String variable) {
        List<Moment.Variable> held = code.variables(code.moments().size());
        return held.stream().filter(found -> found.name().equals(variable)).findFirst().orElseThrow().value();
    }

    /** The loop ends with what the result has, whether packed pixels are taken apart or the channels are named. */
    @Property(tries = 200)
    void theLoopOfAPixelEndsWithTheResult(@ForAll long seed) {
        Random random = new Random(seed);
        Image red = Image.ofLevels(3, 4, 255, n -> random.nextInt(256));
        ColorImage before = color(red, random);
        List<String> lines = List.of("add amount=40", "invert channels=\"red green\"", "box size=3 border=replicate", "reorder order=\"green blue red\"",
                "gray rule=mean area=\"0 0 2 2\"", "median size=3 border=keep", "merge red=7 green=M blue=0", "threshold at=100 area=\"1 1 1 2\"");
        String line = lines.get(random.nextInt(lines.size()));
        Bound bound = Binding.of(StepLine.parse(line), line.startsWith("merge") ? red : before);
        Result after = bound.result(Progress.NONE);
        Pixel pixel = red.pixel(random.nextInt(red.count()));
        Result read = line.startsWith("merge") ? red : before;
        WholePixel packed = new WholePixel(bound, read, after, true);
        WholePixel named = new WholePixel(bound, read, after, false);
        String right = PackedPixel.find(after, pixel).orElseThrow().hexadecimal();
        Visits visits = Visits.of(ScanOrder.ROWS, 3, 4);
        if (read == before) {
            assertThat(last(PseudoCode.of(packed, visits, pixel), "after[i][j]")).as(line).isEqualTo(right);
        }
        PseudoCode names = PseudoCode.of(named, visits, pixel);
        for (Result.Face face : after.faces()) {
            assertThat(last(names, "after[i][j]." + face.name())).as(line + ", " + face.name()).isEqualTo(face.image().value(pixel).toString());
        }
        assertThat(packed.value(pixel)).isEqualTo(Rational.of(Long.parseLong(right.substring(2), 16)));
        assertThat(packed.explain(pixel).result()).isEqualTo(packed.value(pixel));
        assertThat(packed.explain(pixel).lines().get(packed.explain(pixel).lines().size() - 2).text()).startsWith(right);
    }

    @Property(tries = 500)
    void packingAndTakingApartAreInverse(@ForAll @IntRange(max = 255) int alpha, @ForAll @IntRange(max = 255) int red,
            @ForAll @IntRange(max = 255) int green, @ForAll @IntRange(max = 255) int blue) {
        PackedPixel packed = PackedPixel.of(alpha, red, green, blue);
        assertThat(List.of(packed.level("alpha"), packed.level("red"), packed.level("green"), packed.level("blue")))
                .containsExactly(alpha, red, green, blue);
        assertThat(Integer.toUnsignedLong(packed.packed())).isEqualTo(alpha * 16777216L + red * 65536L + green * 256L + blue);
        assertThat(PackedPixel.parse(List.of("" + red, "" + green, "" + blue, "" + alpha))).contains(packed);
    }

    /** 16-bit channels and fractions have no packed value, and their working tells the channels alone. */
    @org.junit.jupiter.api.Test
    void whereThereIsNoPackedValueTheChannelsAreTold() {
        Image deep = Image.of(65535, new int[][] {{300}});
        ColorImage before = new ColorImage(deep, deep, deep, Optional.empty());
        Bound bound = Binding.of(StepLine.parse("add amount=1"), before);
        WholePixel whole = new WholePixel(bound, before, bound.result(Progress.NONE), true);
        Pixel pixel = new Pixel(0, 0);
        assertThatThrownBy(() -> whole.value(pixel)).hasMessageContaining("no packed value");
        assertThat(whole.lines(pixel)).extracting(pixeron.working.Line::label).startsWith("red", "green", "blue").doesNotContain("packed");
        PseudoCode code = PseudoCode.of(whole, Visits.of(ScanOrder.ROWS, 1, 1), pixel);
        assertThat(last(code, "after[i][j].blue")).isEqualTo("301");
        assertThat(PackedPixel.parse(List.of("256", "0", "0"))).isEmpty();
    }
}
