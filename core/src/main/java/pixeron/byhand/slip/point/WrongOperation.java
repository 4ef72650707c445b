package pixeron.byhand.slip.point;

import java.util.List;
import java.util.Map;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** The opposite was done: added where the step subtracts, divided where it multiplies, the least where the largest is meant. */
public final class WrongOperation implements Slip {

    private record Other(String name, String words) {
    }

    private static final Map<String, Other> OTHERS = Map.of(
            "add", new Other("subtract", "it is subtracted instead of added"),
            "subtract", new Other("add", "it is added instead of subtracted"),
            "multiply", new Other("divide", "it is divided instead of multiplied"),
            "divide", new Other("multiply", "it is multiplied instead of divided"),
            "bits-and", new Other("bits-or", "the bits are joined by or instead of and"),
            "bits-or", new Other("bits-and", "the bits are joined by and instead of or"),
            "minimum", new Other("maximum", "the largest is taken instead of the smallest"),
            "maximum", new Other("minimum", "the smallest is taken instead of the largest"),
            "erode", new Other("dilate", "the largest is taken instead of the least"),
            "dilate", new Other("erode", "the least is taken instead of the largest"));

    @Override
    public String id() {
        return "wrong-operation";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        Other other = OTHERS.get(step.type().name());
        return other == null ? List.of() : Way.tried(other.words(), () -> other(step, other.name()), before);
    }

    /** The same line with another name; the number of multiply and divide is called differently. */
    private static Step other(Step step, String name) {
        String line = step.line().substring(step.type().name().length());
        return StepLine.parse(name + line.replace(" factor=", " number=").replace(" divisor=", " number=")
                .replace(" number=", Varied.is(step, "multiply") ? " divisor=" : " factor="));
    }
}
