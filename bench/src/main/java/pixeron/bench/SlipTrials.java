package pixeron.bench;

import java.io.PrintStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.KnownSlips;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.catalog.StepLine;

/**
 * How well slips are found: seeded random images and steps, values by hand made with a slip that changes at least three of
 * them, clean sheets, and sheets with numbers that have nothing to do with the step.
 */
public final class SlipTrials {

    private static final int TRIALS = 2000;
    private static final int[] MAXIMA = {7, 15, 255};
    private static final List<String> LINES = List.of("add amount=%d", "subtract amount=%d", "multiply factor=1.%d",
            "divide divisor=%d", "linear gain=1.%d bias=-3", "invert", "stretch", "quantize levels=4", "clamp low=%d",
            "slice low=%d high=M", "threshold at=%d", "band low=%d high=M", "threshold-otsu", "threshold-percentile percent=50",
            "equalize", "equalize method=share-from-first", "depth maximum=15", "threshold-local size=3",
            "kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"", "kernel weights=\"1 2 0 | 3 4 1 | 0 1 2\" border=replicate",
            "kernel weights=\"1 2 3\" sum=convolution border=inside offset=%d", "box size=3", "binomial size=3 border=periodic",
            "sharpen", "laplacian neighbors=4 overflow=keep", "sobel part=x", "sobel part=sum", "median size=3",
            "maximum size=3", "erode shape=\"0 1 0 | 1 1 1 | 0 1 0\"",
            "posterize cuts=\"2 5\" values=\"0 3 7\"", "add amount=%d overflow=wrap", "stretch cut=5", "threshold-iterative",
            "match counts=\"1 2 3 4 5 6 7 8\" rule=first-at-least", "formula expression=\"if(r < %d, M, r)\"",
            "formula expression=\"r + 2*i\" overflow=keep", "invert area=\"1 1 2 3\"", "crop row=1 column=1 height=3 width=2",
            "translate down=1 right=-1 border=replicate");

    private SlipTrials() {
    }

    private record Case(Image before, Step step, Operation operation) {

        static Case random(Random random) {
            while (true) {
                int maximum = MAXIMA[random.nextInt(MAXIMA.length)];
                int rows = 4 + random.nextInt(5);
                int columns = 4 + random.nextInt(5);
                Image before = Image.ofLevels(rows, columns, maximum, n -> random.nextInt(maximum + 1));
                try {
                    Step step = StepLine.parse(String.format(LINES.get(random.nextInt(LINES.size())),
                            1 + random.nextInt(maximum)));
                    return new Case(before, step, step.bind(before));
                } catch (PixeronException notAllowed) {
                    // Such as more levels than there are: another one.
                }
            }
        }

        List<Explanation> find(HandSheet sheet) {
            return SlipFinder.find(Check.of(sheet, operation), operation).slips();
        }

        /** Returns 40 to 100 % of all cells. */
        List<Pixel> filled(Random random) {
            double share = 0.4 + 0.6 * random.nextDouble();
            List<Pixel> pixels = new ArrayList<>();
            for (int n = 0; n < operation.frame().count(); n++) {
                if (random.nextDouble() < share) {
                    pixels.add(operation.frame().pixel(n));
                }
            }
            return pixels;
        }
    }

    /** @param words nothing */
    public static void main(String... words) {
        PrintStream out = System.out;
        Map<String, int[]> byId = new TreeMap<>();
        int first = 0;
        Random random = new Random(1);
        for (int trial = 0; trial < TRIALS; ) {
            Case one = Case.random(random);
            List<Slip> known = KnownSlips.of(one.step().type());
            Slip slip = known.get(random.nextInt(known.size()));
            List<Way> ways = slip.ways(one.operation());
            if (ways.isEmpty()) {
                continue;
            }
            HandSheet sheet = sheet(one, ways.get(random.nextInt(ways.size())), random);
            int differing = Check.of(sheet, one.operation()).differing().size();
            if (differing < 3) {
                continue;
            }
            List<Explanation> found = one.find(sheet);
            // What explains all of the differing cells and none of the others gives the very same values.
            boolean isFirst = !found.isEmpty() && (found.get(0).id().equals(slip.id()) || found.get(0).explains() == differing);
            first += isFirst ? 1 : 0;
            int[] counts = byId.computeIfAbsent(slip.id(), id -> new int[2]);
            counts[0]++;
            counts[1] += isFirst ? 1 : 0;
            trial++;
        }
        out.printf("the true slip, or one with the same values, first: %d of %d, %.1f %%%n", first, TRIALS, 100.0 * first / TRIALS);
        byId.forEach((id, counts) -> out.printf("    %-24s %4d of %4d%n", id, counts[1], counts[0]));
        out.printf("two slips at once: both named in %d of %d%n", two(), TRIALS);
        time(out);
        out.printf("clean sheets with a slip claimed: %d of %d%n", clean(), TRIALS);
        out.printf("unrelated numbers with a slip claimed: %d of %d%n", unrelated(), TRIALS);
    }

    /**
     * Returns in how many cases of two slips at once both are named, or as many cells are explained by less. Counted are
     * cases in which each of the two changes what the other gives alone, in at least four filled cells.
     */
    private static int two() {
        Random random = new Random(5);
        int named = 0;
        for (int trial = 0; trial < TRIALS; ) {
            Case one = Case.random(random);
            List<Slip> known = KnownSlips.of(one.step().type());
            Slip first = known.get(random.nextInt(known.size()));
            Slip second = known.get(random.nextInt(known.size()));
            List<Way> ways = known.indexOf(first) < known.indexOf(second) ? first.ways(one.operation()) : List.of();
            if (ways.isEmpty() || ways.get(0).step().isEmpty()) {
                continue;
            }
            // A slip of the step's own kind is that of the kind which the first slip has made of it.
            Operation done = ways.get(0).step().get().bind(one.before());
            List<Way> both = KnownSlips.of(done.step().type()).stream().filter(slip -> slip.id().equals(second.id())).findFirst()
                    .map(slip -> slip.ways(done)).orElse(List.of());
            List<Way> alone = second.ways(one.operation());
            if (both.isEmpty() || alone.size() != both.size()) {
                continue;
            }
            int at = random.nextInt(both.size());
            HandSheet sheet = sheet(one, both.get(at), random);
            if (Math.min(apart(sheet, ways.get(0)), apart(sheet, alone.get(at))) < 4) {
                continue;
            }
            int differing = Check.of(sheet, one.operation()).differing().size();
            List<Explanation> found = one.find(sheet);
            boolean isNamed = !found.isEmpty() && (found.get(0).explains() == differing
                    || found.stream().flatMap(slip -> slip.ids().stream()).toList().containsAll(List.of(first.id(), second.id())));
            named += isNamed ? 1 : 0;
            trial++;
        }
        return named;
    }

    /** Returns how many filled cells have another value than a way gives. */
    private static int apart(HandSheet sheet, Way way) {
        return (int) sheet.cells().entrySet().stream().filter(cell -> {
            try {
                return !cell.getValue().agreesWith(way.value().apply(cell.getKey()));
            } catch (PixeronException withoutValue) {
                return true;
            }
        }).count();
    }

    /** One large sheet with every slip to be tried, and many small ones of the same step one after the other. */
    private static void time(PrintStream out) {
        Random random = new Random(4);
        Image large = Image.ofLevels(64, 64, 255, n -> random.nextInt(256));
        Step step = StepLine.parse("kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\" border=replicate");
        Step rounded = StepLine.parse("kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\" border=inside");
        long best = Long.MAX_VALUE;
        long next = Long.MAX_VALUE;
        for (int round = 0; round < 5; round++) {
            HandSheet sheet = HandSheet.EMPTY;
            for (int n = 0; n < large.count(); n++) {
                // Half of the cells have the slip, half are random: nothing ends the search early.
                sheet = sheet.with(large.pixel(n), n % 2 == 0 ? String.valueOf(random.nextInt(256))
                        : Decimals.table(rounded.bind(large).value(large.pixel(n))));
            }
            Check check = Check.of(sheet, step.bind(large));
            SlipFinder finder = new SlipFinder(step.bind(large));
            long start = System.nanoTime();
            finder.find(check, Progress.NONE);
            best = Math.min(best, System.nanoTime() - start);
            // Another key: one value more that is wrong.
            Check changed = Check.of(sheet.with(large.pixel(round), "1"), step.bind(large));
            start = System.nanoTime();
            finder.find(changed, Progress.NONE);
            next = Math.min(next, System.nanoTime() - start);
        }
        out.printf("64 × 64, half of it random, slips and pairs: %.0f ms the first time, %.0f ms after the next key%n", best / 1e6,
                next / 1e6);
        Image small = Image.ofLevels(8, 8, 255, n -> random.nextInt(256));
        List<Way> all = KnownSlips.of(step.type()).stream().flatMap(slip -> slip.ways(step.bind(small)).stream()).toList();
        SlipFinder finder = new SlipFinder(step.bind(small));
        Operation operation = step.bind(small);
        long start = System.nanoTime();
        int sheets = 1000;
        for (int n = 0; n < sheets; n++) {
            Way way = all.get(random.nextInt(all.size()));
            finder.find(Check.of(sheet(new Case(small, step, operation), way, random), operation), Progress.NONE);
        }
        out.printf("sheets of 8 × 8 of one step: %.0f in a second, making and checking them included%n",
                sheets * 1e9 / (System.nanoTime() - start));
    }

    private static HandSheet sheet(Case one, Way way, Random random) {
        HandSheet sheet = HandSheet.EMPTY;
        for (Pixel pixel : one.filled(random)) {
            try {
                Value value = way.value().apply(pixel);
                sheet = sheet.with(pixel, Decimals.table(value));
            } catch (PixeronException withoutValue) {
                // Nobody can write what the slip does not give.
            }
        }
        return sheet;
    }

    private static int clean() {
        Random random = new Random(2);
        int claimed = 0;
        for (int trial = 0; trial < TRIALS; trial++) {
            Case one = Case.random(random);
            HandSheet sheet = sheet(one, Way.of("right", one.operation()), random);
            claimed += one.find(sheet).isEmpty() ? 0 : 1;
        }
        return claimed;
    }

    private static int unrelated() {
        Random random = new Random(3);
        int claimed = 0;
        for (int trial = 0; trial < TRIALS; trial++) {
            Case one = Case.random(random);
            HandSheet sheet = HandSheet.EMPTY;
            for (Pixel pixel : one.filled(random)) {
                boolean isWrong = random.nextInt(3) == 0;
                sheet = sheet.with(pixel, isWrong ? String.valueOf(random.nextInt(one.before().maximumLevel() + 1))
                        : Decimals.table(one.operation().value(pixel)));
            }
            claimed += one.find(sheet).isEmpty() ? 0 : 1;
        }
        return claimed;
    }
}
