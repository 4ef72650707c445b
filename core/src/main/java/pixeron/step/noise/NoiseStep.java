package pixeron.step.noise;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pixeron.image.Image;
import pixeron.number.Draws;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;

/** A step that draws numbers with a seed. */
abstract class NoiseStep extends NamedStep {

    private static final NumberParameter SEED = NumberParameter.optional("seed", "Seed", 1).only(n -> n.isWhole()
            && n.numerator().bitLength() < Long.SIZE, "a whole number from −2^63 to 2^63 − 1");

    private final List<Parameter<?>> own;

    NoiseStep(String name, String title, String sentence, Parameter<?>... own) {
        super(name, title, sentence);
        List<Parameter<?>> all = new ArrayList<>(List.of(own));
        all.add(SEED);
        this.own = List.copyOf(all);
    }

    static Draws draws(Arguments arguments) {
        return new Draws(arguments.get(SEED).number().numerator().longValue());
    }

    @Override
    public final List<Parameter<?>> ownParameters() {
        return own;
    }

    @Override
    public final Set<Common> common() {
        return Common.ALL;
    }

    /** Channels draw numbers of their own: each counts its seed on by its place. */
    @Override
    public Step onChannel(Step step, int place) {
        long seed = draws(step.arguments()).seed() + place;
        return place == 0 ? step : step.with(SEED, Amount.of(seed));
    }

    @Override
    public final Operation bind(Step step, Inputs inputs) {
        return operation(step, inputs.image(this), draws(step.arguments()));
    }

    abstract Operation operation(Step step, Image before, Draws draws);
}
