package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Value;
import pixeron.step.catalog.StepLine;

/** All pixels of a gradient, a local threshold or an extreme at once, in whatever way: each is what it is alone. */
class WindowBulkTest {

    @Provide
    Arbitrary<String> lines() {
        return Combinators.combine(Arbitraries.of("sobel", "prewitt", "scharr", "roberts"), Arbitraries.of("x", "y", "sum", "root", "angle"),
                Arbitraries.of("", " border=replicate", " border=keep", " border=inside", " border=crop", " area=\"1 1 3 2\""), Arbitraries.of("", " rounding=floor", " rounding=nearest-even", " rounding=none"),
                Arbitraries.of("", " overflow=clip", " overflow=wrap", " overflow=keep")).as((name, part, border, rounding, overflow) -> name + " part=" + part + border + rounding + overflow);
    }

    @Provide
    Arbitrary<String> limits() {
        return Combinators.combine(Arbitraries.of(1, 2, 3, 5, 9), Arbitraries.of("", " offset=3", " offset=-1/3", " offset=0.5", " offset=70000"), Arbitraries.of("", " border=inside",
                " border=replicate", " border=keep", " border=crop", " border=constant outside=M", " border=inside area=\"1 1 3 2\""), Arbitraries.of("", " low=3 high=300", " low=-4 high=2.5 overflow=wrap"))
                .as((size, offset, border, levels) -> "threshold-local size=" + size + offset + border + levels);
    }

    /** Wider and higher than the image as well, and so that blocks of a window's size begin and end everywhere. */
    @Provide
    Arbitrary<String> extremes() {
        return Combinators.combine(Arbitraries.of("minimum", "maximum"), Arbitraries.integers().between(1, 31), Arbitraries.of("", " border=replicate", " border=periodic", " border=mirror-whole",
                " border=zero", " border=constant outside=99", " border=keep", " border=crop")).as((name, size, border) -> name + " size=" + size + border);
    }

    @Property(tries = 300)
    void extremesAreWhatTheyAreAlone(@ForAll("extremes") String line, @ForAll long seed) {
        isWhatItIsAlone(line, seed, 30);
    }

    @Property(tries = 400)
    void gradientsAreWhatTheyAreAlone(@ForAll("lines") String line, @ForAll long seed) {
        isWhatItIsAlone(line, seed, 4);
    }

    @Property(tries = 400)
    void localThresholdsAreWhatTheyAreAlone(@ForAll("limits") String line, @ForAll long seed) {
        isWhatItIsAlone(line, seed, 4);
    }

    private static void isWhatItIsAlone(String line, long seed, int sides) {
        Random random = new Random(seed);
        int maximum = new int[] {7, 255, 65535}[random.nextInt(3)];
        Image image = Image.ofLevels(4 + random.nextInt(sides), 4 + random.nextInt(sides), maximum, n -> random.nextInt(3) == 0 ? 0 : random.nextInt(maximum + 1));
        Operation operation;
        try {
            operation = StepLine.parse(line).bind(image);
        } catch (PixeronException notPossible) {
            // Such as a window that is larger than the image.
            return;
        }
        Image all = operation.result(Progress.NONE);
        for (int n = 0; n < all.count(); n++) {
            Value alone = operation.value(all.pixel(n));
            assertThat(all.value(n).compareValue(alone)).as("%s at %s: %s, alone %s", line, all.pixel(n), all.value(n), alone).isZero();
        }
    }
}
