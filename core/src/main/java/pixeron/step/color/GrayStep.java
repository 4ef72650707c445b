package pixeron.step.color;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.Worded;
import pixeron.image.ColorImage;
import pixeron.image.ColorModel;
import pixeron.image.Components;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.number.Rational;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.WholeType;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.Transparency;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.ListParameter;
import pixeron.step.key.Parameter;

/**
 * {@code gray rule=mean transparent=over-white}: the color image becomes an image; with {@code area} it stays a color image,
 * and inside all three channels get the gray value. With {@code rule=weights weights="a b c"}: a·R + b·G + c·B.
 *
 * <p>Domain: a color image; {@code rule=alpha} one with alpha. Transparent pixels are laid on white or black before, or taken
 * as if they were opaque. Source: docs/definitions/gray.md.
 */
public final class GrayStep extends NamedStep implements WholeType {

    static final String ALPHA = "alpha";
    private static final String WEIGHTS = "weights";
    private static final ChoiceParameter RULE = ChoiceParameter.of("rule", "Rule", Stream.concat(
            GrayRule.ready().stream().map(rule -> new ChoiceParameter.Choice(rule.word(), rule.sentence())),
            Stream.concat(Stream.of(new ChoiceParameter.Choice(ALPHA, "the opacity of the pixel"), new ChoiceParameter.Choice(WEIGHTS, "custom weights")),
                    components().stream().map(name -> new ChoiceParameter.Choice(name, "this component of a color model")))).toArray(ChoiceParameter.Choice[]::new));
    private static final ListParameter OWN = new ListParameter("weights", "Weights", "three numbers, for red, green and blue")
            .leftOutAtWill();
    private static final ChoiceParameter TRANSPARENT = ChoiceParameter.of("transparent", "Transparent pixels",
            Stream.of(Transparency.values()).map(way -> new ChoiceParameter.Choice(way.word(), way.sentence()))
                    .toArray(ChoiceParameter.Choice[]::new));

    public GrayStep() {
        super("gray", "Gray", "Calculates one gray value from the three channels of each pixel.");
    }

    /** Returns a step with the rule of a command line: {@code mean}, {@code weights 1 2 1}. */
    public static Step of(String rule, Transparency transparency) {
        GrayStep type = new GrayStep();
        String[] words = rule.strip().split("[ ,]+", 2);
        Arguments arguments = Arguments.NONE.with(TRANSPARENT, TRANSPARENT.parse(transparency.word()));
        if (words[0].equals(WEIGHTS)) {
            GrayRule.parse(rule);
            return new Step(type, arguments.with(RULE, RULE.parse(WEIGHTS)).with(OWN, OWN.parse(words[1].replace(',', ' '))));
        }
        if (!rule.strip().equals(ALPHA)) {
            // Says which rules there are.
            GrayRule.parse(rule);
        }
        return new Step(type, arguments.with(RULE, RULE.parse(rule.strip())));
    }

    /** Components of color models that are no rule of a color image too. */
    private static List<String> components() {
        return Stream.of(ColorModel.values()).flatMap(model -> model.components().stream()).distinct()
                .filter(name -> GrayRule.ready().stream().noneMatch(rule -> rule.word().equals(name))).toList();
    }

    private static boolean isComponent(Arguments arguments) {
        return components().contains(arguments.get(RULE).word());
    }

    private static boolean isAlpha(Arguments arguments) {
        return arguments.get(RULE).word().equals(ALPHA);
    }

    private static Optional<GrayRule> rule(Arguments arguments) {
        String word = arguments.get(RULE).word();
        return isAlpha(arguments) || isComponent(arguments) ? Optional.empty() : Optional.of(GrayRule.parse(!word.equals(WEIGHTS) ? word : WEIGHTS + " "
                + String.join(" ", arguments.get(OWN).stream().map(Rational::toString).toList())));
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = " + rule(arguments).map(rule -> rule.formula().substring("gray = ".length())).orElseGet(() -> arguments.get(RULE).word());
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.ROUNDING, Common.OVERFLOW, Common.AREA);
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(RULE, OWN, TRANSPARENT);
    }

    @Override
    public void validate(Arguments arguments) {
        boolean isOwn = arguments.get(RULE).word().equals(WEIGHTS);
        if (isOwn != arguments.isGiven(OWN)) {
            throw PixeronException.of(isOwn ? "rule=weights needs weights=\"a b c\"." : "weights applies to rule=weights only. Leave it out.");
        } else if (isOwn && arguments.get(OWN).size() != 3) {
            throw PixeronException.of("weights needs three numbers, for red, green and blue, but has %d.", arguments.get(OWN).size());
        }
        rule(arguments);
    }

    @Override
    public List<Slip> slips() {
        return GrayOperation.slips();
    }

    /** Of a model image the component that is looked at becomes gray. */
    @Override
    public Step fitted(Step starter, Result before, String looked) {
        return before instanceof ModelImage ? new Step(this, Arguments.NONE.with(RULE, RULE.parse(looked))) : starter;
    }

    @Override
    public boolean takes(Result before) {
        return before instanceof Components;
    }

    /** A component of a model image becomes an image as it is. */
    private static Operation component(Step step, ModelImage before) {
        String name = step.arguments().get(RULE).word();
        if (Stream.of(OWN, TRANSPARENT, AREA, ROUNDING, OVERFLOW).anyMatch(step.arguments()::isGiven)) {
            throw PixeronException.of("On %s, gray takes only rule, the name of a component.", before.kind());
        }
        return AsItIs.of(step, before.face(name).orElseThrow(() -> PixeronException.of("gray on %s needs the name of a component: rule=%s.", before.kind(),
                String.join(", ", before.names()).replaceFirst(", (?=[^,]*$)", " or "))).withinLevels(), name);
    }

    @Override
    public Bound whole(Step step, Inputs inputs) {
        if (inputs.before() instanceof ModelImage model) {
            return component(step, model);
        }
        ColorImage before = inputs.color(this);
        Arguments arguments = step.arguments();
        if (isComponent(arguments)) {
            throw PixeronException.of("rule=%s needs a model image with this component. Add convert before it.", arguments.get(RULE).word());
        }
        if (isAlpha(arguments) && before.alpha().isEmpty()) {
            throw PixeronException.of("rule=alpha needs a color image with alpha, but this one has no alpha channel.");
        }
        Transparency transparency = Worded.find(Transparency.values(), arguments.get(TRANSPARENT).word()).orElseThrow();
        Optional<GrayRule> rule = rule(arguments);
        if (!arguments.isGiven(AREA)) {
            return new GrayOperation(step, inputs, before.red(), rule, transparency);
        }
        Map<String, Operation> channels = new LinkedHashMap<>();
        ComponentsOperation.COLOURS.forEach(name -> channels.put(name, new GrayOperation(step, inputs.asking(name),
                before.face(name).orElseThrow(), rule, transparency)));
        // What became of transparent pixels is the same for all three.
        return new ComponentsOperation(step, before, channels, () -> channels.get("red").notes());
    }
}
