package pixeron.exercise.library;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import pixeron.exercise.Exercise;
import pixeron.image.Pixel;

/** All topics, from counting levels to notching a disturbance. A new one is an entry here. */
public final class Library {

    private static final int BYTE = 255;

    private static final List<Topic> ALL = Stream.of(counting(), points(), thresholds(), windows(), places(), patterns()).flatMap(List::stream).toList();

    private Library() {
    }

    public static List<Topic> topics() {
        return ALL;
    }

    /** Returns the topic of this id. */
    public static Optional<Topic> topic(String id) {
        return ALL.stream().filter(topic -> topic.id().equals(id)).findFirst();
    }

    private static Topic topic(String id, String title, String task, Function<Size, Topic.Builder> start, UnaryOperator<Topic.Builder> rest) {
        return new Topic(id, title, size -> exercise(title, task, rest.apply(start.apply(size))));
    }

    private static Exercise exercise(String title, String task, Topic.Builder builder) {
        return builder.titled(title, task);
    }

    /** A sort of the type case with all its levels. */
    private static Topic.Builder sort(Size size) {
        return new Topic.Builder(size, 0, size.maximum(), size.maximum());
    }

    /** A proof that came out faint: its levels lie close together. */
    private static Topic.Builder faint(Size size) {
        return new Topic.Builder(size, 2, size.maximum() - 2, size.maximum());
    }

    /** A proof in 256 levels. */
    private static Topic.Builder proof(Size size) {
        return new Topic.Builder(size, 0, BYTE, BYTE);
    }

    /** A proof in 256 levels, with none near the ends. */
    private static Topic.Builder gray(Size size) {
        return new Topic.Builder(size, 60, 200, BYTE);
    }

    private static List<Topic> counting() {
        return List.of(
                topic("count-levels", "Count the levels of a sort", "How often does each level occur in this sort from the type case?", Library::sort,
                        b -> b.step("equalize").column("levels", "n", 8)),
                topic("running-count", "Cumulative counts", "Count the levels of the sort, then write for each level how many pixels are at or below it.", Library::sort,
                        b -> b.step("equalize").column("levels", "n", 4).column("levels", "running", 4)),
                topic("equalize-levels", "Equalization: new levels", "The proof is faint. Find the new level for each level.", Library::faint,
                        b -> b.step("equalize").column("levels", "running", 4).column("levels", "s", 8).withoutTies()),
                topic("equalize-proof", "Equalize a proof", "The proof is faint. Equalize it: write the new levels, then the new proof.", Library::faint,
                        b -> b.step("equalize").column("levels", "s", 8).all(8).withoutTies()),
                topic("equalize-from-first", "Equalization from the first level", "Equalize the proof so that its darkest level becomes 0.", Library::faint,
                        b -> b.step("equalize method=share-from-first").constants(2).column("levels", "s", 8).withoutTies()),
                topic("stretch-proof", "Stretch a faint proof", "Stretch the levels of the faint proof to the full range. First write the constants, then the new proof.", Library::faint,
                        b -> b.step("stretch").constants(4).all(8).withoutTies()));
    }

    private static List<Topic> points() {
        return List.of(
                topic("lighter", "Print lighter", "The ink was too heavy. Add {a} to every level. Values above white are clipped.", Library::proof,
                        b -> b.choice("a", "40", "55", "75", "90").step("add amount={a}").all(8).clipped(2)),
                topic("darker", "Print darker", "The print was too light. Subtract {a} from every level. Values below black are clipped.", Library::proof,
                        b -> b.choice("a", "35", "60", "80", "95").step("subtract amount={a}").all(8).clipped(2)),
                topic("contrast", "More contrast", "Multiply the levels by {g} and add {b}.", Library::proof,
                        b -> b.choice("g", "1.5", "1.2", "2", "0.75").choice("b", "-60", "-25", "-90", "-110").step("linear gain={g} bias={b}").onTheWay(0, 0, 2).all(8)
                                .withoutTies().decimals(2).clipped(1)),
                topic("negative", "The negative of a sort", "Write the negative of the sort.", Library::sort, b -> b.step("invert").all(6)),
                topic("gamma", "Darker middle levels", "Raise the levels to the power {g}. Black and white stay unchanged.", Library::sort,
                        b -> b.choice("g", "2", "3").step("power gamma={g}").column("levels", "s", 8).withoutTies()),
                topic("few-levels", "Fewer levels", "The press can print only {n} evenly spaced levels. Write the proof that it prints.", Library::gray,
                        b -> b.choice("n", "2", "3", "4", "6").step("quantize levels={n}").all(8).withoutTies()),
                topic("bit-plane", "One bit plane", "Write bit {k} of every level, with 1 as white. Bits are counted from 0 at the right.", Library::sort,
                        b -> b.choice("k", "0", "1", "2").step("bit-plane bit={k}").all(6)));
    }

    private static List<Topic> thresholds() {
        return List.of(
                topic("threshold", "Black and white", "Make levels above {t} white and all others black.", Library::sort,
                        b -> b.choice("t", "2", "3", "4", "5").step("threshold at={t}").all(6)),
                topic("equalize-threshold", "Equalize, then threshold", "Equalize the faint proof, then make levels above {t} white and all others black.", Library::faint,
                        b -> b.choice("t", "3", "4", "5").step("equalize").all(8).step("threshold at={t}").all(6).withoutTies()),
                topic("otsu", "The best threshold for two classes", "For each threshold t: how many pixels are at or below it, and what is the between-class variance?", Library::faint,
                        b -> b.step("threshold-otsu").column("otsu", "n0", 4).column("otsu", "between", 8).constants(2)),
                topic("two-means", "A threshold between two means", "Begin with the mean of all levels. Repeat until the threshold changes by at most 0.5.", Library::sort,
                        b -> b.step("threshold-iterative").constants(4).all(4)));
    }

    private static List<Topic> windows() {
        return List.of(
                topic("box", "The mean of the window", "Write the means of the 3 × 3 windows. The edge is replicated outside the image.", Library::gray,
                        b -> b.step("box size=3 border=replicate").onTheWay(1, 1, 2).corner(9)),
                topic("kernel", "A kernel with weights", "Apply the kernel to the proof. Values outside the image are 0.", Library::gray,
                        b -> b.choice("w", "0 1 0 | 1 4 1 | 0 1 0", "1 2 1 | 2 4 2 | 1 2 1", "1 1 1 | 1 8 1 | 1 1 1").step("kernel weights=\"{w}\"").onTheWay(1, 1, 3).corner(9).withoutTies()),
                topic("sharpen", "Sharper edges", "Sharpen the proof. The edge is replicated outside the image.", Library::gray,
                        b -> b.step("sharpen border=replicate").corner(9).clipped(1)),
                topic("median", "Dust off a proof", "Take the median of each 3 × 3 window. The edge is replicated outside the image.", Library::proof,
                        b -> b.step("median size=3 border=replicate").corner(9)),
                topic("edges", "Edges of an ornament", "Write |g_x| + |g_y| with the weights 1, 2, 1 along the edge. The edge is replicated outside the image.", Library::sort,
                        b -> b.step("sobel part=sum border=replicate").corner(9)),
                topic("shrink", "Bright areas shrink", "Erode the proof with the cross: take the smallest value under it.", Library::sort,
                        b -> b.step("erode shape=\"0 1 0 | 1 1 1 | 0 1 0\"").corner(9)),
                topic("local-threshold", "A proof lit from one side", "Make levels above the mean of their 3 × 3 window minus {c} white. The edge is replicated outside the image.", Library::gray,
                        b -> b.choice("c", "5", "10", "20").step("threshold-local size=3 offset={c} border=replicate").corner(9)));
    }

    private static List<Topic> places() {
        return List.of(
                topic("crop", "Cut out a piece", "Crop {h} rows and {w} columns, beginning at row {r}, column {c}.", Library::proof,
                        b -> b.choice("r", "0", "1", "2").choice("c", "0", "1", "2").choice("h", "2").choice("w", "1", "2").step("crop row={r} column={c} height={h} width={w}").all(4)),
                topic("quarter-turn", "Rotate a sort", "Rotate the sort by {d} degrees counterclockwise.", Library::sort,
                        b -> b.choice("d", "90", "-90").step("rotate degrees={d}").all(6)),
                topic("half-size", "Half the size", "Halve the size of the proof: take the mean of each block of four pixels.", Library::gray,
                        b -> b.step("resize scale=1/2 by=mean").all(6)),
                topic("two-pulls", "Two pulls of one forme", "The second pull is one column further right, and its first column is repeated. Write the absolute difference of the two pulls.", Library::gray,
                        b -> b.step("translate down=0 right=1 border=replicate").step("combine with=step:0 by=absolute-difference").all(6)));
    }

    private static List<Topic> patterns() {
        return List.of(
                new Topic("wave", "Magnitude of a wave", size -> wave(size).step("fourier").face("magnitude", 4, new Pixel(size.side() / 2, size.side() / 2),
                        new Pixel(size.side() / 2, size.side() / 2 - 1)).face("real", 4, new Pixel(size.side() / 2, 0)).titled("Magnitude of a wave",
                                "The halftone screen repeats. What are the magnitudes of its mean (row and column 0) and of the wave one column to the left?")),
                new Topic("notch", "Remove a periodic disturbance", size -> wave(size).step("fourier").step("notch u=0 v=" + size.side() / 2).step("fourier-inverse").all(8)
                        .titled("Remove a periodic disturbance", "The columns alternate between {l} and {h}. Remove that wave and transform back.")),
                new Topic("strongest-pattern", "A border strip and its pattern", size -> new Topic.Builder(size, "formula rows=" + size.side() + " columns=" + size.side()
                        + " maximum=255 expression=\"{p}*(i+1)*mod(j,2)+{q}*(i+1)\"").choice("p", "2", "3", "4", "5").choice("q", "1", "2", "3", "6", "7")
                        .step("low-rank keep=1").column("singular", "sigma", 2).corner(4).titled("A border strip and its pattern",
                                "The strip is one column times one row. Write its singular values and the rank-1 approximation.")));
    }

    private static Topic.Builder wave(Size size) {
        return new Topic.Builder(size, "stripes rows=" + size.side() + " columns=" + size.side() + " maximum=255 low={l} high={h}")
                .choice("l", IntsAsText.range(20, 90, 7)).choice("h", IntsAsText.range(120, 240, 11));
    }
}
