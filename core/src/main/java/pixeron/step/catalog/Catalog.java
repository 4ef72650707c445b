package pixeron.step.catalog;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;
import pixeron.step.StepType;
import pixeron.step.bits.BitPlane;
import pixeron.step.bits.Bits;
import pixeron.step.bits.Shift;
import pixeron.step.colour.Compose;
import pixeron.step.colour.GrayStep;
import pixeron.step.colour.Swap;
import pixeron.step.cut.Clamp;
import pixeron.step.cut.Posterize;
import pixeron.step.cut.Quantize;
import pixeron.step.cut.Slice;
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

    private static final List<StepType> ALL = List.of(
            new Add(), new Subtract(), new Multiply(), new Divide(), new Linear(), new Invert(), new Log(),
            new Exponential(), new Power(), new Stretch(), new Piecewise(), new Clamp(), new Slice(), new Quantize(),
            new Posterize(), new BitPlane(), Bits.and(), Bits.or(), Bits.xor(), new Shift(), new Depth(), new Lookup(),
            new OwnFormula(), new Equalize(), new Match(), new Threshold(), new Band(), new Otsu(), new TwoMeans(), new ThresholdShare(),
            new LocalThreshold(), new Kernel(), ReadyKernel.box(), ReadyKernel.binomial(),
            ReadyKernel.gaussian(), ReadyKernel.sharpen(), ReadyKernel.laplacian(), new Unsharp(), Gradient.sobel(),
            Gradient.prewitt(), Gradient.scharr(), Gradient.roberts(), Rank.median(), Rank.minimum(), Rank.maximum(),
            Rank.placed(), Morphology.erode(), Morphology.dilate(), Morphology.open(), Morphology.close(), new Crop(), new Pad(), new Move(),
            new Flip(), new Transpose(), new Tile(), new Turn(), new Resize(), new Combine(), new Paste(), new Join(),
            new SaltAndPepper(), new UniformNoise(), new GaussianNoise(), new SineNoise(), new Fourier(), new Notch(), new Pass(),
            new FourierInverse(), new RankKeep(), new GrayStep(), new Compose(), new Swap());

    /** So many names are offered for one that is unknown. */
    private static final int NEAREST = 3;
    /** A name that is off by so many letters at most is likely meant. */
    private static final int LIKELY = 2;

    private Catalog() {
    }

    public static List<StepType> all() {
        return ALL;
    }

    /** @return the kind with this name, if there is one */
    public static Optional<StepType> find(String name) {
        return ALL.stream().filter(type -> type.name().equals(name)).findFirst();
    }

    /**
     * @param typed a few letters
     * @return kinds whose name begins with them, then those with them in the name, then those with them in the sentence
     */
    public static List<StepType> search(String typed) {
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        return ALL.stream().filter(type -> rank(type, wanted) < 3)
                .sorted(Comparator.comparingInt(type -> rank(type, wanted))).toList();
    }

    private static int rank(StepType type, String wanted) {
        if (type.name().startsWith(wanted)) {
            return 0;
        } else if (type.name().contains(wanted)) {
            return 1;
        }
        return type.sentence().toLowerCase(Locale.ROOT).contains(wanted) ? 2 : 3;
    }

    /** @return what would be right instead of an unknown name, in words */
    static String suggestion(String unknown) {
        LevenshteinDistance distance = LevenshteinDistance.getDefaultInstance();
        List<String> nearest = ALL.stream().map(StepType::name).sorted(Comparator.comparingInt((String name) ->
                distance.apply(name, unknown))).limit(NEAREST).toList();
        return distance.apply(nearest.get(0), unknown) <= LIKELY ? "did you mean \"" + nearest.get(0) + "\"?"
                : "the nearest are " + String.join(", ", nearest) + "; the command \"pixeron steps\" lists all.";
    }
}
