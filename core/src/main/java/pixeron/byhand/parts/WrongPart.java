package pixeron.byhand.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.byhand.HandValue;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Source;
import pixeron.step.table.PixelTable;
import pixeron.working.Line;
import pixeron.working.Role;
import pixeron.working.Run;
import pixeron.working.Table;

/**
 * Says which part of an expression differs from the right one, where that is one or two: a term missing, a term twice, another
 * number, a wrong divisor. The right expression is the window's sum, or the line of the working with the numbers put in.
 */
public final class WrongPart {

    /** Where more parts differ, no single one is the reason. */
    private static final int MOST_PARTS = 2;

    private WrongPart() {
    }

    /**
     * Returns one sentence; empty if the text is not an expression, or no part of it explains the difference.
     *
     * @param written what a user wrote for a pixel
     * @param operation it, bound to its input
     */
    public static Optional<String> of(HandValue written, Operation operation, Pixel pixel) {
        if (written.decimals() >= 0 || written.value().isEmpty()) {
            return Optional.empty();
        }
        try {
            Optional<Terms> theirs = Terms.of(written.expression());
            Optional<Terms> right = window(operation, pixel).or(() -> line(operation, pixel));
            return theirs.flatMap(mine -> right.flatMap(ours -> difference(mine, ours)));
        } catch (PixeronException withoutWorking) {
            return Optional.empty();
        }
    }

    /** The sum over a window, weighted where there are weights, with what it is divided by. */
    private static Optional<Terms> window(Operation operation, Pixel pixel) {
        List<Source> cells = operation.sources(pixel);
        Table numbers = PixelTable.of(operation, pixel);
        Optional<Value> sum = cells.isEmpty() || !numbers.columns().contains("sum") ? Optional.empty() : numbers.value(0, "sum");
        if (sum.isEmpty()) {
            return Optional.empty();
        }
        List<Value> terms = cells.stream().flatMap(cell -> cell.value().map(value -> cell.weight().map(value::times)
                .orElse(value)).stream()).toList();
        String quotient = numbers.columns().contains("quotient") ? "quotient" : "mean";
        Value part = numbers.columns().contains(quotient) ? numbers.value(0, quotient).orElseThrow() : sum.get();
        Value all = Value.sum(terms);
        // Turned weights and offsets have terms of another kind: then there is no explanation.
        return all.compareValue(sum.get()) != 0 || part.signum() == 0 || part.compareValue(operation.exact(pixel)) != 0
                ? Optional.empty() : Optional.of(Terms.sum(terms, sum.get().dividedBy(part)));
    }

    /** The first line of the working that is an expression of numbers worth the exact value. */
    private static Optional<Terms> line(Operation operation, Pixel pixel) {
        Value exact = operation.exact(pixel);
        for (Line line : operation.explain(pixel).lines()) {
            String text = line.runs().stream().filter(run -> run.role() != Role.NOTE).map(Run::text).collect(Collectors.joining());
            HandValue worth = HandValue.parse(text.substring(text.indexOf('=') + 1));
            if (worth.decimals() < 0 && worth.agreesWith(exact)) {
                return Terms.of(worth.expression());
            }
        }
        return Optional.empty();
    }

    private static Optional<String> difference(Terms mine, Terms right) {
        boolean isProduct = mine.terms().size() == 1 && right.terms().size() == 1 && !right.factors().isEmpty();
        if (isProduct) {
            return sentence(parts("factor", mine.factors(), right.factors()), parts("divisor", mine.divisors(), right.divisors()));
        }
        List<String> divisor = mine.divisor().compareValue(right.divisor()) == 0 ? List.of() : List.of("the divisor is "
                + text(mine.divisor()) + "; it should be " + text(right.divisor()));
        Optional<String> found = sentence(parts("term", withoutZeros(mine.terms()), withoutZeros(right.terms())), divisor);
        // Each term may be divided for itself.
        return found.isPresent() || mine.divisor().compareValue(Rational.ONE) != 0 ? found
                : sentence(parts("term", withoutZeros(mine.terms()), withoutZeros(right.divided().terms())), List.of());
    }

    private static Optional<String> sentence(List<String> parts, List<String> others) {
        List<String> all = new ArrayList<>(parts);
        all.addAll(others);
        String text = String.join(", and ", all);
        return all.isEmpty() || all.size() > MOST_PARTS ? Optional.empty()
                : Optional.of(Character.toUpperCase(text.charAt(0)) + text.substring(1) + ".");
    }

    private static List<Value> withoutZeros(List<Value> terms) {
        return terms.stream().filter(term -> term.signum() != 0).toList();
    }

    private static List<String> parts(String kind, List<Value> mine, List<Value> right) {
        List<Value> missing = without(right, mine);
        List<Value> extra = without(mine, right);
        List<String> parts = new ArrayList<>();
        for (int n = 0; n < Math.max(missing.size(), extra.size()); n++) {
            if (n >= missing.size()) {
                boolean isTwice = right.stream().anyMatch(extra.get(n)::equals);
                parts.add("the " + kind + " " + text(extra.get(n)) + (isTwice ? " appears once too often" : " does not belong here"));
            } else if (n >= extra.size()) {
                parts.add("the " + kind + " " + text(missing.get(n)) + " is missing");
            } else {
                parts.add(text(extra.get(n)) + " is written instead of the " + kind + " " + text(missing.get(n)));
            }
        }
        return parts;
    }

    /** Returns what is in the first list and not in the second, each as often as it is there more often. */
    private static List<Value> without(List<Value> from, List<Value> taken) {
        List<Value> left = new ArrayList<>(from);
        for (Value value : taken) {
            left.stream().filter(other -> other.compareValue(value) == 0).findFirst().ifPresent(left::remove);
        }
        return left;
    }

    private static String text(Value value) {
        return Decimals.working(value);
    }
}
