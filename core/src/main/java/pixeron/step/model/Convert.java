package pixeron.step.model;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.ColorModel;
import pixeron.image.ColorModel.Scale;
import pixeron.image.Components;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.number.Rounding;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.WholeType;
import pixeron.step.color.AsItIs;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.Parameter;

/**
 * {@code convert to=hsv scale=usual}: a color image as the components of a color model, and {@code convert to=rgb} back to red, green and blue.
 *
 * <p>Domain: a color image with values 0–M; back, a model image. Exact; doubles where an image keeps doubles. Alpha stays. Cost: a few
 * operations for each pixel. Source: see {@link ColorModel}, docs/definitions/color-models.md.
 */
public final class Convert extends NamedStep implements WholeType {

    private static final String RGB = "rgb";
    private static final ChoiceParameter TO = ChoiceParameter.required("to", "Color model", Stream.concat(Stream.of(ColorModel.values())
            .map(model -> new ChoiceParameter.Choice(model.word(), model.sentence())), Stream.of(new ChoiceParameter.Choice(RGB, "red, green and blue")))
            .toArray(ChoiceParameter.Choice[]::new));
    private static final ChoiceParameter SCALE = ChoiceParameter.of("scale", "Scale", Stream.of(Scale.values())
            .map(scale -> new ChoiceParameter.Choice(scale.word(), scale.sentence())).toArray(ChoiceParameter.Choice[]::new));

    public Convert() {
        super("convert", "Convert color model", "Converts a color image to hue, saturation and value or another color model, or back to red, green and blue.");
    }

    static boolean isToRgb(Arguments arguments) {
        return arguments.get(TO).word().equals(RGB);
    }

    /** Returns the model that a step converts to. */
    static ColorModel model(Arguments arguments) {
        return ColorModel.named(arguments.get(TO).word()).orElseThrow();
    }

    static Scale scale(Arguments arguments) {
        return Stream.of(Scale.values()).filter(scale -> scale.word().equals(arguments.get(SCALE).word())).findFirst().orElseThrow();
    }

    /** Returns the same step in another scale. */
    static Step in(Scale scale, Step step) {
        return step.with(SCALE, SCALE.parse(scale.word()));
    }

    @Override
    public String formula(Arguments arguments) {
        return isToRgb(arguments) ? "components → red, green, blue" : "R, G, B = red, green, blue ÷ M → " + String.join(", ", model(arguments).components());
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.ROUNDING, Common.OVERFLOW);
    }

    /** Components from 0 to 1 would be lost by rounding. */
    @Override
    public Rounding rounding(Arguments arguments) {
        return !arguments.isGiven(ROUNDING) && !isToRgb(arguments) && scale(arguments) == Scale.UNIT ? Rounding.NONE : WholeType.super.rounding(arguments);
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(TO, SCALE);
    }

    @Override
    public void validate(Arguments arguments) {
        if (isToRgb(arguments) && arguments.isGiven(SCALE)) {
            throw PixeronException.of("scale applies to a color model. Leave it out with to=rgb; the components have the scale that they were made in.");
        } else if (!isToRgb(arguments) && !model(arguments).has(scale(arguments))) {
            throw PixeronException.of("scale=half is for models with a hue, hsv and hsl. Use usual, levels or unit.");
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(TO, TO.parse(ColorModel.HSV.word())));
    }

    /** A model image is first of all converted back. */
    @Override
    public Step fitted(Step starter, Result before, String looked) {
        return before instanceof ModelImage ? new Step(this, Arguments.NONE.with(TO, TO.parse(RGB))) : starter;
    }

    @Override
    public boolean takes(Result before) {
        return before instanceof Components;
    }

    @Override
    public List<Slip> slips() {
        return ConvertSlips.all();
    }

    @Override
    public Bound whole(Step step, Inputs inputs) {
        if (isToRgb(step.arguments())) {
            if (inputs.before() instanceof ModelImage before) {
                return toRgb(step, inputs, before);
            }
            throw PixeronException.of("convert to=rgb needs the components of a color model, but its input is %s.", inputs.before().kind());
        } else if (inputs.before() instanceof ModelImage before) {
            throw PixeronException.of("The image is in %s. Convert it back (convert to=rgb) before you convert it to %s.", before.model().word(), step.arguments().get(TO).word());
        }
        return toModel(step, inputs, inputs.color(this));
    }

    private static Bound toModel(Step step, Inputs inputs, ColorImage before) {
        ColorModel model = model(step.arguments());
        Scale scale = scale(step.arguments());
        Map<String, Operation> faces = new LinkedHashMap<>();
        model.components().forEach(name -> faces.put(name, new ToComponent(step, inputs.asking(name), before, name)));
        before.alpha().ifPresent(alpha -> faces.put(Components.ALPHA, AsItIs.of(alpha, Components.ALPHA)));
        return new Converted(step, before.frame(), faces, images -> new ModelImage(model, scale, before.maximumLevel(),
                images.subList(0, model.components().size()), images.stream().skip(model.components().size()).findFirst()));
    }

    private static Bound toRgb(Step step, Inputs inputs, ModelImage before) {
        Map<String, Operation> faces = new LinkedHashMap<>();
        for (String name : List.of("red", "green", "blue")) {
            faces.put(name, new ToChannel(step, inputs.asking(name), before, name));
        }
        before.alpha().ifPresent(alpha -> faces.put(Components.ALPHA, AsItIs.of(alpha, Components.ALPHA)));
        return new Converted(step, before.frame(), faces, ColorImage::of);
    }
}
