package pixeron.step.lowrank;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import pixeron.image.Image;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * The first singular values found by hand's way: a row vector is stretched by AᵀA again and again and comes to lie along the first
 * pattern; that is removed, and the same is done with what is left.
 *
 * <p>Cost: two products of the matrix with a vector a round.
 */
final class PowerIteration {

    private static final int MOST_VALUES = 3;
    private static final int MOST_ROUNDS = 100;
    private static final double STILL = 1e-6;
    /**
     * Where two values are close to each other, rounds that stop at {@link #STILL} or are the last allowed have not come nearer than
     * a few parts in 10,000, on images of noise up to 200 × 200. Farther away than this is another value.
     */
    private static final double AGREES = 1e-2;

    private final List<Round> rounds = new ArrayList<>();
    private final List<Integer> astray = new ArrayList<>();

    /**
     * One round.
     *
     * @param value which singular value, from 1
     * @param number which round, from 1
     * @param change how far sigma is from that of the round before; NaN in the first
     * @param vectors those that the round goes through
     */
    record Round(int value, int number, double sigma, double change, Vectors vectors) {
    }

    /**
     * The vectors of a round, the first entries of each.
     *
     * @param before v as the round begins
     * @param stretched AᵀA·v
     * @param length of AᵀA·v
     * @param after v made length 1 again
     * @param product A·v
     */
    record Vectors(List<Double> before, List<Double> stretched, double length, List<Double> after, List<Double> product) {

        private static final int MOST_SHOWN = 12;

        static List<Double> first(double... vector) {
            return Arrays.stream(vector).limit(MOST_SHOWN + 1L).boxed().toList();
        }

        private static String text(List<Double> vector) {
            return "(" + vector.stream().limit(MOST_SHOWN).map(entry -> Decimals.approximate(Approximate.from(entry))).collect(Collectors.joining(", "))
                    + (vector.size() > MOST_SHOWN ? ", …)" : ")");
        }

        /** Returns the round as lines, to σ. */
        List<Line> lines(double sigma) {
            return List.of(Line.of("v", Run.plain("v = " + text(before)), Run.note("   of length 1")), Line.of("product", Run.plain("AᵀA·v = " + text(stretched))),
                    Line.of("length", Run.plain("|AᵀA·v| = " + Decimals.approximate(Approximate.from(length)))), Line.of("made 1", Run.plain("v = " + text(after))),
                    Line.of("A·v", Run.plain("A·v = " + text(product))), Line.of("sigma", Run.plain("σ = |A·v| = " + Decimals.significant(Approximate.from(sigma)))));
        }
    }

    private PowerIteration() {
    }

    static PowerIteration of(Image image, SingularValues values) {
        PowerIteration made = new PowerIteration();
        double[][] left = new double[image.rows()][image.columns()];
        for (int n = 0; n < image.count(); n++) {
            left[n / image.columns()][n % image.columns()] = image.asDouble(n);
        }
        double nothing = SingularValues.NOTHING * values.sigma(0);
        for (int value = 1; value <= Math.min(MOST_VALUES, values.count()); value++) {
            double[] v = start(left, nothing);
            if (v == null) {
                break;
            }
            double sigma = made.rounds(left, v, value);
            if (sigma <= nothing) {
                made.rounds.removeIf(round -> round.value == made.rounds.get(made.rounds.size() - 1).value);
                break;
            }
            if (Math.abs(sigma - values.sigma(value - 1)) > AGREES * sigma) {
                made.astray.add(value);
            }
            takeAway(left, v, sigma);
        }
        return made;
    }

    /** (1, 2, …, W) made length 1; where the matrix makes nothing of that, the first unit vector of which it makes something. */
    private static double[] start(double[][] matrix, double nothing) {
        int width = matrix[0].length;
        double[] v = new double[width];
        Arrays.setAll(v, n -> n + 1);
        unit(v);
        for (int n = 0; length(times(matrix, v)) <= nothing; n++) {
            if (n == width) {
                return null;
            }
            Arrays.fill(v, 0);
            v[n] = 1;
        }
        return v;
    }

    private double rounds(double[][] matrix, double[] v, int value) {
        double sigma = 0;
        double change = Double.NaN;
        for (int round = 1; round <= MOST_ROUNDS && !(change <= STILL * sigma); round++) {
            double[] stretched = back(matrix, times(matrix, v));
            List<Double> before = Vectors.first(v);
            List<Double> made = Vectors.first(stretched);
            double length = length(stretched);
            System.arraycopy(stretched, 0, v, 0, v.length);
            unit(v);
            double[] product = times(matrix, v);
            double next = length(product);
            change = round == 1 ? Double.NaN : Math.abs(next - sigma);
            sigma = next;
            rounds.add(new Round(value, round, sigma, change, new Vectors(before, made, length, Vectors.first(v), Vectors.first(product))));
        }
        return sigma;
    }

    private static void takeAway(double[][] matrix, double[] v, double sigma) {
        double[] column = times(matrix, v);
        for (int i = 0; i < matrix.length; i++) {
            double u = column[i] / sigma;
            for (int j = 0; j < v.length; j++) {
                matrix[i][j] -= sigma * u * v[j];
            }
        }
    }

    /** Returns A·v. */
    private static double[] times(double[][] matrix, double... v) {
        double[] product = new double[matrix.length];
        for (int i = 0; i < product.length; i++) {
            for (int j = 0; j < v.length; j++) {
                product[i] += matrix[i][j] * v[j];
            }
        }
        return product;
    }

    /** Returns Aᵀ·w. */
    private static double[] back(double[][] matrix, double... w) {
        double[] product = new double[matrix[0].length];
        for (int i = 0; i < w.length; i++) {
            for (int j = 0; j < product.length; j++) {
                product[j] += matrix[i][j] * w[i];
            }
        }
        return product;
    }

    private static double length(double... v) {
        double sum = 0;
        for (double entry : v) {
            sum += entry * entry;
        }
        return Math.sqrt(sum);
    }

    private static void unit(double... v) {
        double length = length(v);
        for (int n = 0; n < v.length; n++) {
            v[n] /= length;
        }
    }

    List<Round> rounds() {
        return rounds;
    }

    /** Returns the values that are not those of the decomposition: the rounds have led to another one, or have not come to rest. */
    List<Integer> astray() {
        return astray;
    }
}
