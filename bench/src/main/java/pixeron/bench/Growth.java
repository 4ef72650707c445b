package pixeron.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import pixeron.chain.Chain;
import pixeron.image.Image;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;

/**
 * How the cost of a step grows with the image: nanoseconds a pixel for sides from 64 on, each twice the one before, and the exponent of the
 * time over the number of pixels between 512² and the largest. Usage: {@code Growth [largest side [pattern of step lines]]}; needs 6 GB for 8192.
 */
public final class Growth {

    private static final int SMALLEST = 64;
    private static final int EXPONENT_FROM = 512;
    private static final long ENOUGH = 1_500_000_000L;
    private static final int MOST_ROUNDS = 40;
    /** What takes longer than this for one image is not asked for the next larger one. */
    private static final long TOO_LONG = 8_000_000_000L;

    private enum Kind { LEVELS, DEEP, OPEN }

    private record Family(Kind kind, String line) {
    }

    private static final List<Family> FAMILIES = List.of(new Family(Kind.LEVELS, "linear gain=1.15 bias=-15"), new Family(Kind.LEVELS, "equalize"),
            new Family(Kind.DEEP, "linear gain=1.15 bias=-15"), new Family(Kind.DEEP, "equalize"), new Family(Kind.LEVELS, "threshold-otsu"),
            new Family(Kind.DEEP, "threshold-otsu"), new Family(Kind.DEEP, "threshold-iterative"), new Family(Kind.LEVELS, "kernel weights=\"1 2 3 | 2 9 2 | 1 2 1\""),
            new Family(Kind.LEVELS, "box size=15"), new Family(Kind.LEVELS, "sobel part=root"), new Family(Kind.LEVELS, "median size=3"),
            new Family(Kind.LEVELS, "median size=9"), new Family(Kind.LEVELS, "median size=31"), new Family(Kind.LEVELS, "maximum size=15"),
            new Family(Kind.LEVELS, "threshold-local size=15"), new Family(Kind.OPEN, "threshold-local size=15"), new Family(Kind.OPEN, "threshold-local size=31"),
            new Family(Kind.LEVELS, "flip direction=left-right"), new Family(Kind.LEVELS, "transpose"), new Family(Kind.LEVELS, "rotate degrees=30 by=linear size=keep"),
            new Family(Kind.LEVELS, "resize scale=1/2 by=mean"), new Family(Kind.LEVELS, "combine with=other by=absolute-difference"),
            new Family(Kind.LEVELS, "salt-pepper count=1000"), new Family(Kind.LEVELS, "fourier"));

    private Growth() {
    }

    public static void main(String... words) {
        int largest = words.length > 0 ? Integer.parseInt(words[0]) : 8192;
        List<String> title = new ArrayList<>(List.of("step"));
        for (int side = SMALLEST; side <= largest; side *= 2) {
            title.add(side + "²");
        }
        System.out.println("| " + String.join(" | ", title) + " | exponent |");
        for (Family family : FAMILIES) {
            if (words.length < 2 || family.line().matches(words[1])) {
                System.out.println(row(family, largest));
            }
        }
    }

    private static String row(Family family, int largest) {
        Step step = StepLine.parse(family.line());
        StringBuilder row = new StringBuilder("| `" + family.line() + "`" + (family.kind() == Kind.LEVELS ? "" : family.kind() == Kind.DEEP ? ", 16 bits" : ", thirds") + " |");
        double early = 0;
        int earlySide = 0;
        double last = 0;
        int lastSide = 0;
        for (int side = SMALLEST; side <= largest && last * lastSide * lastSide < TOO_LONG; side *= 2) {
            last = nanosOfPixel(step, image(family.kind(), side), side);
            lastSide = side;
            if (side == EXPONENT_FROM) {
                early = last;
                earlySide = side;
            }
            row.append(String.format(Locale.ROOT, " %.2f |", last));
        }
        double exponent = 1 + Math.log(last / early) / (2 * Math.log((double) lastSide / earlySide));
        return row + String.format(Locale.ROOT, " %.2f |", exponent);
    }

    private static Image image(Kind kind, int side) {
        Random random = new Random(side);
        int maximum = kind == Kind.DEEP ? 65535 : 255;
        Image levels = Image.ofLevels(side, side, maximum, n -> random.nextInt(maximum + 1));
        return kind == Kind.OPEN ? StepLine.parse("divide divisor=3 rounding=none").bind(levels).result(Progress.NONE) : levels;
    }

    /** The best of some rounds, after as many to warm up for small images. */
    private static double nanosOfPixel(Step step, Image image, int side) {
        Inputs inputs = new Inputs(image, name -> image);
        long best = Long.MAX_VALUE;
        long begin = System.nanoTime();
        for (int n = 0; n < MOST_ROUNDS && (n < 2 || System.nanoTime() - begin < ENOUGH); n++) {
            long start = System.nanoTime();
            Binding.of(step, inputs).result(Progress.NONE);
            best = Math.min(best, System.nanoTime() - start);
        }
        return (double) best / ((long) side * side);
    }
}
