package pixeron.step.color;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Step;
import pixeron.step.WholeType;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChannelsParameter;
import pixeron.step.key.Parameter;

/**
 * {@code reorder order="blue green red"}: the channels in another order. What is named first becomes red, then green, then blue,
 * and with four names alpha.
 *
 * <p>Domain: three or four channels that the image has, each once; with three, alpha stays. Values are taken over as they
 * are, without rounding. Source: docs/definitions/color.md.
 */
public final class Swap extends NamedStep implements WholeType {

    private static final int COLOURS = 3;
    private static final ChannelsParameter ORDER = new ChannelsParameter("order", "Order", true);

    public Swap() {
        super("reorder", "Reorder channels", "Puts the channels of a color image in another order.");
    }

    @Override
    public String formula(Arguments arguments) {
        List<String> order = arguments.get(ORDER);
        return "red = " + order.get(0) + ", green = " + order.get(1) + ", blue = " + order.get(2)
                + (order.size() > COLOURS ? ", alpha = " + order.get(COLOURS) : "");
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(ORDER);
    }

    @Override
    public void validate(Arguments arguments) {
        List<String> order = arguments.get(ORDER);
        if (order.size() < COLOURS) {
            throw PixeronException.of("order=\"%s\" names %d channels. Give three, or four with alpha.",
                    String.join(" ", order), order.size());
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(ORDER, List.of("blue", "green", "red")));
    }

    @Override
    public boolean takes(Result before) {
        return before instanceof ColorImage;
    }

    @Override
    public Bound whole(Step step, Inputs inputs) {
        ColorImage before = inputs.color(this);
        List<String> order = step.arguments().get(ORDER);
        Map<String, Image> faces = new LinkedHashMap<>();
        before.faces().forEach(face -> faces.put(face.name(), face.image()));
        order.stream().filter(name -> !faces.containsKey(name)).findFirst().ifPresent(name -> {
            throw PixeronException.of("order contains %s, but this color image has only %s.", name, String.join(", ", faces.keySet()));
        });
        Optional<Image> alpha = order.size() > COLOURS ? Optional.of(faces.get(order.get(COLOURS))) : before.alpha();
        ColorImage swapped = new ColorImage(faces.get(order.get(0)), faces.get(order.get(1)), faces.get(order.get(2)), alpha);
        List<String> from = new ArrayList<>(order);
        if (order.size() == COLOURS && alpha.isPresent()) {
            from.add("alpha");
        }
        return new Rearranged(step, swapped, from);
    }
}
