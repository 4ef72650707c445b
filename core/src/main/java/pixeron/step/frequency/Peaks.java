package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Wave;
import pixeron.step.table.TableRule;
import pixeron.working.Table;

/** The strongest waves of a spectrum, each with its conjugate once. Cost: two passes over the coefficients. */
final class Peaks {

    private static final int MOST = 20;
    /** Magnitudes that are as large as this part of the first of their group are taken as equal. */
    private static final double AS_LARGE = 1 - 1e-9;
    private static final List<String> COLUMNS = List.of("rank", "u", "v", "magnitude", "period-rows", "period-columns", "angle");

    private Peaks() {
    }

    /** Returns the places of the strongest waves but that of frequency zero, falling; of those that are equally strong in reading order. */
    static List<Pixel> of(Spectrum spectrum) {
        Frame frame = spectrum.frame();
        PriorityQueue<Double> largest = new PriorityQueue<>();
        for (int n = 0; n < frame.count(); n++) {
            Pixel pixel = frame.pixel(n);
            if (stands(frame, pixel)) {
                double magnitude = spectrum.magnitude(pixel);
                if (!spectrum.isNothing(magnitude) && (largest.size() < MOST || magnitude > largest.peek())) {
                    largest.add(magnitude);
                    if (largest.size() > MOST) {
                        largest.poll();
                    }
                }
            }
        }
        List<Double> firsts = firsts(largest.stream().sorted((a, b) -> Double.compare(b, a)).toList());
        return grouped(spectrum, firsts);
    }

    /** Returns the first magnitude of each group. */
    private static List<Double> firsts(List<Double> falling) {
        List<Double> firsts = new ArrayList<>();
        for (double magnitude : falling) {
            if (firsts.isEmpty() || magnitude < AS_LARGE * firsts.get(firsts.size() - 1)) {
                firsts.add(magnitude);
            }
        }
        return firsts;
    }

    private static List<Pixel> grouped(Spectrum spectrum, List<Double> firsts) {
        Frame frame = spectrum.frame();
        List<List<Pixel>> groups = firsts.stream().map(first -> (List<Pixel>) new ArrayList<Pixel>()).toList();
        for (int n = 0; n < frame.count() && !firsts.isEmpty(); n++) {
            Pixel pixel = frame.pixel(n);
            if (!stands(frame, pixel)) {
                continue;
            }
            double magnitude = spectrum.magnitude(pixel);
            int group = 0;
            while (group < firsts.size() && magnitude < AS_LARGE * firsts.get(group)) {
                group++;
            }
            if (group < firsts.size() && groups.get(group).size() < MOST) {
                groups.get(group).add(pixel);
            }
        }
        return groups.stream().flatMap(List::stream).limit(MOST).toList();
    }

    /** Returns whether it is this coefficient that represents itself and its conjugate. */
    static boolean stands(Frame frame, Pixel pixel) {
        Frequency at = Spectrum.frequency(frame, pixel);
        if (at.u() > 0 || at.u() == 0 && at.v() >= 0) {
            // Frequency zero is no wave.
            return at.u() != 0 || at.v() != 0;
        }
        Frequency mate = Spectrum.frequency(frame, Spectrum.mate(frame, pixel));
        boolean isMate = mate.u() > 0 || mate.u() == 0 && mate.v() > 0;
        return !isMate && (at.v() > mate.v() || at.v() == mate.v() && at.u() >= mate.u());
    }

    /** Returns what a coefficient represents. */
    static Wave wave(Spectrum spectrum, Pixel pixel) {
        Frequency at = spectrum.frequency(pixel);
        return new Wave(spectrum.frame(), at, spectrum.value(SpectrumFace.MAGNITUDE, pixel), spectrum.value(SpectrumFace.PHASE, pixel), new Notch().at(at));
    }

    static Table table(Spectrum spectrum) {
        Frame frame = spectrum.frame();
        List<List<Value>> rows = new ArrayList<>();
        for (Pixel pixel : of(spectrum)) {
            Frequency at = spectrum.frequency(pixel);
            Wave wave = wave(spectrum, pixel);
            rows.add(Arrays.asList(Rational.of(rows.size() + 1L), Rational.of(at.u()), Rational.of(at.v()), wave.magnitude(),
                    wave.periodRows().orElse(null), wave.periodColumns().orElse(null), wave.angle()));
        }
        return new Table(Fourier.PEAKS, COLUMNS, rows).withRules(Map.of("period-rows", TableRule.of("H / abs(u)", Map.of("H", Rational.of(frame.rows())), "u"),
                "period-columns", TableRule.of("W / abs(v)", Map.of("W", Rational.of(frame.columns())), "v")));
    }
}
