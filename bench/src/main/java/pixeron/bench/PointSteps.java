package pixeron.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import pixeron.image.Image;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/**
 * Steps that map level by level on 4096 × 4096 random levels, in turns with a copy of the image's memory in the same virtual machine, so that all
 * meet the memory in the same state; of each the second of two runs, whose image is as near to the processor as it gets. Printed are the best and the
 * median as multiples of the copy's. Usage: {@code PointSteps [rounds]}, with {@code -Xms3g -Xmx3g}.
 */
public final class PointSteps {

    private static final int SIDE = 4096;
    private static final List<String> LINES = List.of("linear gain=1.15 bias=-15", "invert", "clamp low=10", "threshold at=99", "threshold-otsu", "threshold-iterative",
            "power gamma=0.5", "power gamma=2", "log", "equalize", "stretch cut=2", "quantize levels=4", "posterize cuts=\"50 100\" values=\"0 3 7\"",
            "piecewise points=\"0 0 | 100 40 | 200 255\"", "bits-and mask=15", "formula expression=\"r * r / M\"");

    private PointSteps() {
    }

    public static void main(String... words) {
        int rounds = words.length > 0 ? Integer.parseInt(words[0]) : 60;
        Random random = new Random(SIDE);
        for (int maximum : new int[] {255, 65535}) {
            Image image = Image.ofLevels(SIDE, SIDE, maximum, n -> random.nextInt(maximum + 1));
            byte[] memory = new byte[SIDE * SIDE * (maximum > 255 ? 2 : 1)];
            random.nextBytes(memory);
            List<Operation> steps = LINES.stream().map(line -> StepLine.parse(line).bind(new Inputs(image, n -> image))).toList();
            List<Runnable> all = Stream.concat(Stream.of(memory::clone), steps.stream().<Runnable>map(step -> () -> step.result(Progress.NONE))).toList();
            print(maximum, measured(all, rounds));
        }
    }

    /** Returns for each its times in milliseconds from the shortest on. */
    private static double[][] measured(List<Runnable> all, int rounds) {
        double[][] times = new double[all.size()][rounds];
        for (int round = 0; round < rounds; round++) {
            for (int n = 0; n < all.size(); n++) {
                all.get(n).run();
                long start = System.nanoTime();
                all.get(n).run();
                times[n][round] = (System.nanoTime() - start) / 1e6;
            }
        }
        Arrays.stream(times).forEach(Arrays::sort);
        return times;
    }

    private static void print(int maximum, double[][] times) {
        int middle = times[0].length / 2;
        System.out.printf(Locale.ROOT, "M = %d, a copy: best %.1f ms, median %.1f ms%n", maximum, times[0][0], times[0][middle]);
        for (int n = 0; n < LINES.size(); n++) {
            System.out.printf(Locale.ROOT, "| `%s` | %.2f | %.2f |%n", LINES.get(n), times[n + 1][0] / times[0][0], times[n + 1][middle] / times[0][middle]);
        }
    }
}
