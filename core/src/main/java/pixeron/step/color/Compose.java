package pixeron.step.color;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Reference;
import pixeron.step.Step;
import pixeron.step.WholeType;
import pixeron.step.key.Arguments;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;

/**
 * {@code merge red=REF green=REF blue=REF}: three images of one frame become a color image.
 *
 * <p>Domain: {@code self} is the image before, {@code step:k} the result of step k of the same chain before this one (0 the
 * image itself), a number or M the same level everywhere. Samples are taken over as they are. Source:
 * docs/definitions/color.md.
 */
public final class Compose extends NamedStep implements WholeType {

    private static final String RANGE = "self, step:k, the name of another image, or a number for a constant channel";
    private static final List<ReferenceParameter> CHANNELS_OF = List.of(channel("red", "Red"),
            channel("green", "Green"), channel("blue", "Blue"));
    private static ReferenceParameter channel(String key, String title) {
        return new ReferenceParameter(key, title, RANGE, true, true);
    }

    public Compose() {
        super("merge", "Merge channels", "Merges three images into a color image, one for each channel.");
    }

    @Override
    public String formula(Arguments arguments) {
        return String.join(", ", CHANNELS_OF.stream().map(key -> key.key() + " = " + arguments.get(key)).toList());
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.copyOf(CHANNELS_OF);
    }

    @Override
    public List<ReferenceParameter> references() {
        return CHANNELS_OF;
    }

    private static boolean isNumber(String reference) {
        return reference.equals(Reference.MAXIMUM) || Decimals.isNumber(reference);
    }

    @Override
    public Step starter(int maximumLevel) {
        Arguments arguments = Arguments.NONE;
        for (ReferenceParameter key : CHANNELS_OF) {
            arguments = arguments.with(key, Reference.SELF);
        }
        return new Step(this, arguments);
    }

    @Override
    public Bound whole(Step step, Inputs inputs) {
        if (inputs.before() instanceof ModelImage model) {
            throw PixeronException.of("%s makes a color image, but its input is %s. Convert it back (convert to=rgb) first.", name(), model.kind());
        }
        List<Result> results = new ArrayList<>();
        Frame frame = null;
        for (ReferenceParameter key : CHANNELS_OF) {
            String reference = step.arguments().get(key);
            Result found = isNumber(reference) ? null : reference.equals(Reference.SELF) ? inputs.before() : inputs.others().apply(reference);
            if (found != null && !(found instanceof Image)) {
                throw PixeronException.of("%s=%s is %s. A channel must be a gray image.", key.key(), reference, found.kind());
            } else if (found != null && frame != null && !found.frame().equals(frame)) {
                throw PixeronException.of("%s=%s has %s and maximum level %d; the channel before it has %s and %d. All three must have the same size and maximum level.",
                        key.key(), reference, found.frame().size(), found.frame().maximumLevel(), frame.size(), frame.maximumLevel());
            }
            frame = found == null ? frame : found.frame();
            results.add(found);
        }
        Frame all = frame == null ? inputs.before().frame() : frame;
        List<Image> faces = new ArrayList<>();
        for (int n = 0; n < results.size(); n++) {
            faces.add(results.get(n) == null ? same(step.arguments().get(CHANNELS_OF.get(n)), all) : (Image) results.get(n));
        }
        return new Rearranged(step, ColorImage.of(faces), CHANNELS_OF.stream().map(step.arguments()::get).toList());
    }

    private static Image same(String number, Frame frame) {
        return Image.flat(frame, number.equals(Reference.MAXIMUM) ? Rational.of(frame.maximumLevel()) : Decimals.parse(number));
    }
}
