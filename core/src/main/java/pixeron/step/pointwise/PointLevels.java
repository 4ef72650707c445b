package pixeron.step.pointwise;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.ToIntFunction;
import pixeron.PixeronException;
import pixeron.formula.Compiled;
import pixeron.formula.Expression;
import pixeron.formula.InDoubles;
import pixeron.formula.InLongs;
import pixeron.image.Image;
import pixeron.image.LevelPairs;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * What a point step makes of one level after the other, for one thread. Where the formula is one for all samples its names are looked up once; its
 * values are calculated in longs where they fit, and as exact values where they do not.
 */
final class PointLevels {

    /** There is no level. */
    static final int NONE = LevelPairs.NONE;

    private final PointOperation operation;
    private final PointRule rule;
    /** The names of the formula in the order of the numbers below; empty where there is none for all samples. */
    private final List<String> names;
    private final Optional<Compiled> compiled;
    private final Optional<InLongs> inLongs;
    private final Optional<InDoubles> inDoubles;
    private final Value[] constants;
    private final long[] numerators;
    private final long[] denominators;
    private final double[] doubles;
    private final InLongs.Slot slot = new InLongs.Slot();
    private final InDoubles.Slot near = new InDoubles.Slot();

    private PointLevels(PointOperation operation, PointRule rule, List<String> names, Optional<Compiled> compiled, Optional<InLongs> inLongs,
            Optional<InDoubles> inDoubles) {
        this.operation = operation;
        this.rule = rule;
        this.names = names;
        this.compiled = compiled;
        this.inLongs = inLongs;
        this.inDoubles = inDoubles;
        this.constants = new Value[names.size()];
        this.numerators = new long[constants.length];
        this.denominators = new long[constants.length];
        this.doubles = new double[constants.length];
        for (int n = 0; n < constants.length; n++) {
            // What depends on the sample is no constant; it is asked for with each.
            constants[n] = isSample(rule, names.get(n)) ? null : operation.constant(names.get(n));
            doubles[n] = constants[n] == null ? Double.NaN : constants[n].asDouble();
            if (constants[n] != null && InLongs.fits(constants[n])) {
                set(n, constants[n]);
            }
        }
    }

    /** Returns makes one for a thread. */
    static Supplier<PointLevels> of(PointOperation operation, PointRule rule) {
        Optional<Expression> same = rule.formula();
        if (same.isEmpty()) {
            return () -> new PointLevels(operation, rule, List.of(), Optional.empty(), Optional.empty(), Optional.empty());
        }
        List<String> names = new ArrayList<>();
        ToIntFunction<String> place = name -> {
            if (!names.contains(name)) {
                names.add(name);
            }
            return names.indexOf(name);
        };
        Compiled compiled = Compiled.of(same.get(), place);
        boolean isToLevels = operation.finish().isToLevels();
        boolean isShort = isToLevels && names.stream().filter(name -> !isSample(rule, name)).map(operation::constant)
                .allMatch(constant -> constant == null || InLongs.fits(constant));
        return () -> new PointLevels(operation, rule, names, Optional.of(compiled), isShort ? InLongs.of(same.get(), names::indexOf) : Optional.empty(),
                isToLevels ? InDoubles.of(same.get(), names::indexOf) : Optional.empty());
    }

    /** The name of the other image's sample is another number where there is no other image, such as a limit. */
    private static boolean isOther(PointRule rule, String name) {
        return rule.other().isPresent() && name.equals(PointOperation.OTHER);
    }

    private static boolean isSample(PointRule rule, String name) {
        return name.equals("r") || isOther(rule, name);
    }

    private void set(int n, Value value) {
        numerators[n] = ((Rational) value).numerator().longValue();
        denominators[n] = ((Rational) value).denominator().longValue();
    }

    /**
     * Returns the level that is written; {@link #NONE} where there is none.
     *
     * @param sample r
     * @param other t; {@link #NONE} where there is no other image
     */
    int level(int sample, int other) {
        if (inLongs.isPresent() && fill(sample, other) && inLongs.get().at(numerators, denominators, slot)) {
            return operation.finish().level(slot.numerator(), slot.denominator());
        } else if (inDoubles.isPresent() && inDoubles.get().at(filled(sample, other), near)) {
            int level = operation.finish().level(near.value(), near.error(), NONE);
            return level == NONE ? exactLevel(sample, other) : level;
        }
        return exactLevel(sample, other);
    }

    private double[] filled(int sample, int other) {
        for (int n = 0; n < doubles.length; n++) {
            String name = names.get(n);
            if (name.equals("r")) {
                doubles[n] = sample;
            } else if (constants[n] == null) {
                Value value = isOther(rule, name) ? Rational.of(other) : rule.ofSample(name, Rational.of(sample));
                doubles[n] = value == null ? Double.NaN : value.asDouble();
            }
        }
        return doubles;
    }

    /** Returns false where a number that depends on the sample is too long. */
    private boolean fill(int sample, int other) {
        for (int n = 0; n < constants.length; n++) {
            if (constants[n] == null) {
                String name = names.get(n);
                if (isSample(rule, name)) {
                    numerators[n] = name.equals("r") ? sample : other;
                    denominators[n] = 1;
                } else {
                    Value value = rule.ofSample(name, Rational.of(sample));
                    if (value == null || !InLongs.fits(value)) {
                        return false;
                    }
                    set(n, value);
                }
            }
        }
        return true;
    }

    private int exactLevel(int sample, int other) {
        try {
            Value value = operation.finish().apply(exact(Rational.of(sample), other == NONE ? null : Rational.of(other)));
            return Image.isLevel(value, rule.maximumLevel()) ? ((Rational) value).toInt() : NONE;
        } catch (PixeronException withoutValue) {
            return NONE;
        }
    }

    private Value exact(Value sample, Value other) {
        if (compiled.isEmpty()) {
            return operation.exact(sample, other, PointOperation.NO_PLACE);
        }
        Value[] numbers = new Value[constants.length];
        for (int n = 0; n < numbers.length; n++) {
            String name = names.get(n);
            numbers[n] = constants[n] != null ? constants[n] : name.equals("r") ? sample : isOther(rule, name) ? other : rule.ofSample(name, sample);
        }
        return compiled.get().at(numbers);
    }
}
