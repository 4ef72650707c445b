package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import pixeron.number.Rational;
import pixeron.step.Early;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Way;

/** Rounding on the way to a place between pixels: the place itself, or the weights of the cells around it. */
final class EarlyPlaces {

    private EarlyPlaces() {
    }

    static Slip slip() {
        return Early.slip(EarlyPlaces::ways);
    }

    /** Returns what comes of rounded places and of rounded weights; none for a step that reads whole pixels only. */
    static List<Way> ways(Operation right, int decimals) {
        List<Way> ways = new ArrayList<>();
        if (right instanceof SampledOperation sampled) {
            String to = " are rounded " + Early.to(decimals) + " too early";
            if (sampled.cells() instanceof PointCells points) {
                ways.add(Way.of("y and x" + to, sampled.with(points.rounded(decimals))));
            }
            if (sampled.isWeighted()) {
                ways.add(Way.of("weights" + to, sampled.with(new RoundedWeights(sampled.cells(), Rational.ONE, decimals))));
            }
            if (sampled.cells() instanceof MeanCells mean) {
                ways.add(Way.of("the parts inside" + to, sampled.with(new RoundedWeights(mean, mean.area(), decimals))));
            }
        }
        return ways;
    }
}
