package pixeron.step.kernel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import pixeron.PixeronException;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Early;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.neighborhood.WindowStep;

/** Slips with the weights of a kernel; a ready kernel is the kernel that it is underneath. */
final class WeightSlips {

    /** With more weights than this a single one is not looked for. */
    private static final int MOST_WEIGHTS = 49;

    private WeightSlips() {
    }

    /** What a slip makes of a kernel. */
    private interface Found {
        List<Way> ways(Step kernel, Weights weights, Operation right);
    }

    /** @param kernel the step as a kernel; empty where it is none */
    static List<Slip> of(Function<Step, Optional<Step>> kernel) {
        return List.of(slip("kernel-turned", kernel, (step, weights, right) -> turnedWays(step, right)),
                slip("kernel-transposed", kernel, (step, weights, right) -> Way.tried("the weights are used with rows swapped for "
                        + "columns", () -> Kernel.with(step, weights.transposed()), right)),
                slip("divisor-missing", kernel, (step, weights, right) -> weights.divisorOrSum().equals(Rational.ONE)
                        ? List.of() : noDivisorWays(step, right)),
                slip("offset-missing", kernel, (step, weights, right) -> weights.offset().signum() == 0 ? List.of()
                        : Way.tried("the offset " + Decimals.print(weights.offset()) + " is not added",
                                () -> Kernel.withOffset(step, Rational.ZERO), right)),
                slip("neighbor-missed", kernel, (step, weights, right) -> neighborWays(step, weights, right, true)),
                slip("neighbor-twice", kernel, (step, weights, right) -> neighborWays(step, weights, right, false)),
                slip("sign-slip", kernel, WeightSlips::signWays),
                slip("integer-division", kernel, WeightSlips::wholeQuotients),
                slip("wrapped", kernel, WeightSlips::wrappedSum),
                Early.slip((right, decimals) -> kernel.apply(right.step()).map(step -> earlyWays(step, right, decimals))
                        .orElse(List.of())));
    }

    private static List<Way> wholeQuotients(Step step, Weights weights, Operation right) {
        Value divisor = weights.divisorOrSum();
        return divisor.equals(Rational.ONE) ? List.of() : List.of(Way.of("each weight × level is divided separately, and the remainder is dropped",
                pixel -> finished(weights, right, pixel, cell -> Rounding.TRUNCATE.apply(cell.dividedBy(divisor)), UnaryOperator.identity())));
    }

    private static List<Way> wrappedSum(Step step, Weights weights, Operation right) {
        Value divisor = weights.divisorOrSum();
        int maximum = right.frame().maximumLevel();
        return List.of(Way.of("the sum wraps around (mod " + (maximum + 1) + ") before it is divided", pixel -> finished(weights, right, pixel,
                UnaryOperator.identity(), sum -> Overflow.WRAP.apply(sum, maximum).dividedBy(divisor))));
    }

    /** A sum over the cells, done in another way than it should be: something with each product, and something with all. */
    private static Value finished(Weights weights, Operation right, Pixel pixel, UnaryOperator<Value> product, UnaryOperator<Value> all) {
        Value sum = Rational.ZERO;
        for (Source cell : right.sources(pixel)) {
            if (cell.weight().isEmpty()) {
                throw PixeronException.of("Nothing is summed here.");
            }
            sum = cell.value().isPresent() ? sum.plus(product.apply(cell.value().get().times(cell.weight().get()))) : sum;
        }
        return right.finish().apply(all.apply(sum).plus(weights.offset()));
    }

    private static Slip slip(String id, Function<Step, Optional<Step>> kernel, Found found) {
        return Slip.of(id, right -> kernel.apply(right.step()).map(step -> found.ways(step, Kernel.weights(step), right))
                .orElse(List.of()));
    }

    /** 1 ÷ divisor, or each weight ÷ divisor, is rounded. */
    private static List<Way> earlyWays(Step kernel, Operation right, int decimals) {
        Weights weights = Kernel.weights(kernel);
        Rational divisor = (Rational) weights.divisorOrSum();
        Rational inverse = Early.rounded(Rational.ONE.dividedBy(divisor), decimals);
        List<Way> ways = new ArrayList<>();
        if (inverse.signum() != 0) {
            ways.addAll(Way.tried("1 ÷ divisor is rounded " + Early.to(decimals),
                    () -> Kernel.withDivisor(kernel, Rational.ONE.dividedBy(inverse)), right));
        }
        Weights early = each(weights, (i, j) -> Early.rounded(((Rational) weights.at(i, j)).dividedBy(divisor), decimals));
        ways.addAll(Way.tried("each weight ÷ divisor is rounded " + Early.to(decimals),
                () -> Kernel.withDivisor(Kernel.with(kernel, early), Rational.ONE), right));
        return ways;
    }

    private static List<Way> turnedWays(Step kernel, Operation right) {
        boolean isConvolution = Kernel.isTurned(kernel);
        return Way.tried(isConvolution ? "the weights are not rotated (correlation)" : "the weights are rotated by 180° (convolution)",
                () -> Kernel.turned(kernel), right);
    }

    private static List<Way> noDivisorWays(Step kernel, Operation right) {
        List<Way> ways = new ArrayList<>();
        String words = "the sum is not divided";
        ways.addAll(Way.tried(words, () -> Kernel.withDivisor(kernel, Rational.ONE), right));
        if (kernel.overflow() == Overflow.CLIP) {
            ways.addAll(Way.tried(words + ", nor clipped", () -> Kernel.withDivisor(kernel, Rational.ONE).with(Overflow.KEEP), right));
        }
        return ways;
    }

    private static List<Way> neighborWays(Step kernel, Weights weights, Operation right, boolean isMissed) {
        List<Way> ways = new ArrayList<>();
        for (int i = 0; i < weights.height() && weights.height() * weights.width() <= MOST_WEIGHTS; i++) {
            for (int j = 0; j < weights.width(); j++) {
                Value weight = weights.at(i, j);
                if (weight.signum() != 0) {
                    String words = "the cell " + WindowStep.place(i - weights.anchorRow(), j - weights.anchorColumn()) + " of the window "
                            + (isMissed ? "is omitted" : "is counted twice");
                    addBoth(ways, kernel, weights, new Changed(i, j, isMissed ? Rational.ZERO : weight.plus(weight), words), right);
                }
            }
        }
        return ways;
    }

    /** A cell with another weight than it should have, and what that is in words. */
    private record Changed(int row, int column, Value weight, String words) {
    }

    /** With the divisor as it was, and adapted to the changed weights. */
    private static void addBoth(List<Way> ways, Step kernel, Weights weights, Changed cell, Operation right) {
        Value changed = cell.weight;
        int row = cell.row;
        int column = cell.column;
        String words = cell.words;
        Rational divisor = (Rational) weights.divisorOrSum();
        Rational other = divisor.plus((Rational) changed.minus(weights.at(row, column)));
        Step with = Kernel.with(kernel, replaced(weights, row, column, changed));
        ways.addAll(Way.tried(words, () -> Kernel.withDivisor(with, divisor), right));
        if (other.signum() != 0) {
            ways.addAll(Way.tried(words + ", with an adapted divisor", () -> weights.divisor().isEmpty()
                    ? Kernel.withoutDivisor(with) : Kernel.withDivisor(with, other), right));
        }
    }

    private static Weights replaced(Weights weights, int row, int column, Value changed) {
        return each(weights, (i, j) -> i == row && j == column ? changed : weights.at(i, j));
    }

    @FunctionalInterface
    private interface Cell {
        Value at(int row, int column);
    }

    private static Weights each(Weights weights, Cell cell) {
        List<List<Value>> rows = new ArrayList<>();
        for (int i = 0; i < weights.height(); i++) {
            List<Value> row = new ArrayList<>();
            for (int j = 0; j < weights.width(); j++) {
                row.add(cell.at(i, j));
            }
            rows.add(row);
        }
        return new Weights(rows, weights.anchorRow(), weights.anchorColumn(), weights.divisor(), weights.offset());
    }

    private static List<Way> signWays(Step kernel, Weights weights, Operation right) {
        List<Way> ways = new ArrayList<>();
        UnaryOperator<Step> sameDivisor = step -> Kernel.withDivisor(step, (Rational) weights.divisorOrSum());
        Weights positive = each(weights, (i, j) -> weights.at(i, j).absolute());
        if (!positive.equals(weights)) {
            ways.addAll(Way.tried("all weights are used as positive", () -> sameDivisor.apply(Kernel.with(kernel, positive)),
                    right));
            ways.addAll(Way.tried("all weights are used as positive, with an adapted divisor",
                    () -> Kernel.with(kernel, positive), right));
        }
        for (int i = 0; i < weights.height() && weights.height() * weights.width() <= MOST_WEIGHTS; i++) {
            for (int j = 0; j < weights.width(); j++) {
                if (weights.at(i, j).signum() != 0) {
                    addBoth(ways, kernel, weights, new Changed(i, j, weights.at(i, j).negated(), "the sign of the weight "
                            + WindowStep.place(i - weights.anchorRow(), j - weights.anchorColumn()) + " is wrong"), right);
                }
            }
        }
        return ways;
    }
}
