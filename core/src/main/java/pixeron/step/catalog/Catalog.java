package pixeron.step.catalog;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.LevenshteinDistance;
import pixeron.help.Searched;
import pixeron.step.StepType;
import pixeron.step.bits.BitPlane;
import pixeron.step.bits.Bits;
import pixeron.step.bits.Shift;
import pixeron.step.color.Compose;
import pixeron.step.color.GrayStep;
import pixeron.step.color.Swap;
import pixeron.step.cut.Clamp;
import pixeron.step.cut.Posterize;
import pixeron.step.cut.Quantize;
import pixeron.step.cut.Slice;
import pixeron.step.drawn.DrawnLine;
import pixeron.step.drawn.DrawnRectangle;
import pixeron.step.drawn.SetPixels;
import pixeron.step.frequency.Fourier;
import pixeron.step.frequency.FourierInverse;
import pixeron.step.frequency.Notch;
import pixeron.step.frequency.Pass;
import pixeron.step.geometry.Crop;
import pixeron.step.geometry.Flip;
import pixeron.step.geometry.Move;
import pixeron.step.geometry.Pad;
import pixeron.step.geometry.Resize;
import pixeron.step.geometry.Tile;
import pixeron.step.geometry.Transpose;
import pixeron.step.geometry.Turn;
import pixeron.step.histogram.Equalize;
import pixeron.step.histogram.Match;
import pixeron.step.kernel.Gradient;
import pixeron.step.kernel.Kernel;
import pixeron.step.kernel.ReadyKernel;
import pixeron.step.kernel.Unsharp;
import pixeron.step.lowrank.RankKeep;
import pixeron.step.model.Convert;
import pixeron.step.noise.GaussianNoise;
import pixeron.step.noise.SaltAndPepper;
import pixeron.step.noise.SineNoise;
import pixeron.step.noise.UniformNoise;
import pixeron.step.pair.Combine;
import pixeron.step.pair.Join;
import pixeron.step.pair.Paste;
import pixeron.step.point.Add;
import pixeron.step.point.Depth;
import pixeron.step.point.Divide;
import pixeron.step.point.Exponential;
import pixeron.step.point.Invert;
import pixeron.step.point.Linear;
import pixeron.step.point.Log;
import pixeron.step.point.Lookup;
import pixeron.step.point.Multiply;
import pixeron.step.point.OwnFormula;
import pixeron.step.point.Piecewise;
import pixeron.step.point.Power;
import pixeron.step.point.Stretch;
import pixeron.step.point.Subtract;
import pixeron.step.rank.Morphology;
import pixeron.step.rank.Rank;
import pixeron.step.threshold.Band;
import pixeron.step.threshold.LocalThreshold;
import pixeron.step.threshold.Otsu;
import pixeron.step.threshold.Threshold;
import pixeron.step.threshold.ThresholdShare;
import pixeron.step.threshold.TwoMeans;

/** All kinds of steps, in the order in which they are listed. A new step is one line here. */
public final class Catalog {

    private static final Map<String, StepType> MADE = new ConcurrentHashMap<>();

    /** Names that earlier versions wrote, with those of today. They are read and never written. */
    private static final Map<String, String> EARLIER = Map.of("turn", "rotate", "move", "translate", "shift", "bit-shift", "pass", "frequency-filter",
            "rank-keep", "low-rank", "threshold-two-means", "threshold-iterative", "threshold-share", "threshold-percentile", "colour", "merge",
            "swap", "reorder", "sine-noise", "periodic-noise");
    /** The number of names that are suggested for an unknown one. */
    private static final int NEAREST = 3;
    /** A name that is off by so many letters at most is likely meant. */
    private static final int LIKELY = 2;

    private Catalog() {
    }

    /**
     * The list. A kind is made, and its class read, only where it is asked for: a command needs one or two of them, and all would take a tenth of its time.
     *
     * @param isAsked asked for each name, in this order, until it says yes
     * @return the kind with that name; null where no name is asked for
     */
    private static StepType first(Predicate<String> isAsked) {
        return isAsked.test("add") ? new Add()
                : isAsked.test("subtract") ? new Subtract()
                : isAsked.test("multiply") ? new Multiply()
                : isAsked.test("divide") ? new Divide()
                : isAsked.test("linear") ? new Linear()
                : isAsked.test("invert") ? new Invert()
                : isAsked.test("log") ? new Log()
                : isAsked.test("exponential") ? new Exponential()
                : isAsked.test("power") ? new Power()
                : isAsked.test("stretch") ? new Stretch()
                : isAsked.test("piecewise") ? new Piecewise()
                : isAsked.test("clamp") ? new Clamp()
                : isAsked.test("slice") ? new Slice()
                : isAsked.test("quantize") ? new Quantize()
                : isAsked.test("posterize") ? new Posterize()
                : isAsked.test("bit-plane") ? new BitPlane()
                : isAsked.test("bits-and") ? Bits.and()
                : isAsked.test("bits-or") ? Bits.or()
                : isAsked.test("bits-xor") ? Bits.xor()
                : isAsked.test("bit-shift") ? new Shift()
                : isAsked.test("depth") ? new Depth()
                : isAsked.test("lookup") ? new Lookup()
                : isAsked.test("formula") ? new OwnFormula()
                : isAsked.test("equalize") ? new Equalize()
                : isAsked.test("match") ? new Match()
                : isAsked.test("threshold") ? new Threshold()
                : isAsked.test("band") ? new Band()
                : isAsked.test("threshold-otsu") ? new Otsu()
                : isAsked.test("threshold-iterative") ? new TwoMeans()
                : isAsked.test("threshold-percentile") ? new ThresholdShare()
                : isAsked.test("threshold-local") ? new LocalThreshold()
                : isAsked.test("kernel") ? new Kernel()
                : isAsked.test("box") ? ReadyKernel.box()
                : isAsked.test("binomial") ? ReadyKernel.binomial()
                : isAsked.test("gaussian") ? ReadyKernel.gaussian()
                : isAsked.test("sharpen") ? ReadyKernel.sharpen()
                : isAsked.test("laplacian") ? ReadyKernel.laplacian()
                : isAsked.test("unsharp") ? new Unsharp()
                : isAsked.test("sobel") ? Gradient.sobel()
                : isAsked.test("prewitt") ? Gradient.prewitt()
                : isAsked.test("scharr") ? Gradient.scharr()
                : isAsked.test("roberts") ? Gradient.roberts()
                : isAsked.test("median") ? Rank.median()
                : isAsked.test("minimum") ? Rank.minimum()
                : isAsked.test("maximum") ? Rank.maximum()
                : isAsked.test("rank") ? Rank.placed()
                : isAsked.test("erode") ? Morphology.erode()
                : isAsked.test("dilate") ? Morphology.dilate()
                : isAsked.test("open") ? Morphology.open()
                : isAsked.test("close") ? Morphology.close()
                : isAsked.test("crop") ? new Crop()
                : isAsked.test("pad") ? new Pad()
                : isAsked.test("translate") ? new Move()
                : isAsked.test("flip") ? new Flip()
                : isAsked.test("transpose") ? new Transpose()
                : isAsked.test("tile") ? new Tile()
                : isAsked.test("rotate") ? new Turn()
                : isAsked.test("resize") ? new Resize()
                : isAsked.test("combine") ? new Combine()
                : isAsked.test("paste") ? new Paste()
                : isAsked.test("join") ? new Join()
                : isAsked.test("set-pixels") ? new SetPixels()
                : isAsked.test("line") ? new DrawnLine()
                : isAsked.test("rectangle") ? new DrawnRectangle()
                : isAsked.test("salt-pepper") ? new SaltAndPepper()
                : isAsked.test("uniform-noise") ? new UniformNoise()
                : isAsked.test("gaussian-noise") ? new GaussianNoise()
                : isAsked.test("periodic-noise") ? new SineNoise()
                : isAsked.test("fourier") ? new Fourier()
                : isAsked.test("notch") ? new Notch()
                : isAsked.test("frequency-filter") ? new Pass()
                : isAsked.test("fourier-inverse") ? new FourierInverse()
                : isAsked.test("low-rank") ? new RankKeep()
                : isAsked.test("gray") ? new GrayStep()
                : isAsked.test("merge") ? new Compose()
                : isAsked.test("reorder") ? new Swap()
                : isAsked.test("convert") ? new Convert()
                : null;
    }

    private static List<String> names() {
        List<String> names = new ArrayList<>();
        first(name -> !names.add(name));
        return names;
    }

    /** Returns all kinds; each is the same object every time. */
    public static List<StepType> all() {
        return names().stream().map(Catalog::find).map(Optional::orElseThrow).toList();
    }

    /** Returns the kind with this name, or with this name in an earlier version; empty if there is none. */
    public static Optional<StepType> find(String written) {
        String name = EARLIER.getOrDefault(written, written);
        StepType made = MADE.get(name);
        if (made == null) {
            made = first(name::equals);
            if (made != null) {
                StepType before = MADE.putIfAbsent(name, made);
                made = before == null ? made : before;
            }
        }
        return Optional.ofNullable(made);
    }

    /**
     * Returns the steps that match what was typed, the best first: by title, then by search word, then by sentence.
     *
     * @param typed a few letters
     */
    public static List<StepType> search(String typed) {
        return all().stream().filter(type -> searched(type).rank(typed) != Searched.NONE)
                .sorted(Comparator.comparingInt(type -> searched(type).rank(typed))).toList();
    }

    /**
     * Returns the texts by which a step is found: its title and names, the earlier ones too, its search words, its sentence and the labels of its parameters.
     */
    public static Searched searched(StepType type) {
        List<String> names = Stream.concat(Stream.of(type.name()), EARLIER.entrySet().stream().filter(name -> name.getValue().equals(type.name())).map(Map.Entry::getKey)).toList();
        List<String> texts = Stream.concat(Stream.of(type.sentence()), type.parameters().stream().map(key -> key.title() + " " + key.key())).toList();
        return new Searched(type.title(), names, SearchWords.of(type.name()), texts);
    }

    /** Returns what would be right instead of an unknown name, in words. */
    static String suggestion(String unknown) {
        LevenshteinDistance distance = LevenshteinDistance.getDefaultInstance();
        List<String> nearest = names().stream().sorted(Comparator.comparingInt((String name) ->
                distance.apply(name, unknown))).limit(NEAREST).toList();
        return distance.apply(nearest.get(0), unknown) <= LIKELY ? "did you mean \"" + nearest.get(0) + "\"?"
                : "the nearest are " + String.join(", ", nearest) + "; the command \"pixeron steps\" lists all steps.";
    }
}
