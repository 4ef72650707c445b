package pixeron.step.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pixeron.formula.Parser;
import pixeron.image.ColorModel;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Conversions as programs that read each channel or component from a file of its own. Numerators and denominators are levels, so that each value
 * is one division and ties are rounded as by hand.
 */
final class ModelPrograms {

    private static final List<String> CHANNELS = List.of("red", "green", "blue");
    private static final String LUMA = "(299 * r + 587 * g + 114 * b)";

    private ModelPrograms() {
    }

    private static Statement set(String name, String formula) {
        return Statement.set(name, code(formula));
    }

    private static Code code(String formula) {
        return Code.of(Parser.parse(formula, Set.of("r", "g", "b", "x", "n", "c", "M", "exact", "h", "k", "chroma", "middle", "base", "sixths")), Code::name);
    }

    private static Statement read(String name, String grid) {
        return Statement.set(name, new Code.Cell(grid, Code.name("i"), Code.name("j")));
    }

    /** Returns the program of a component of a color model. */
    static LoopProgram of(ToComponent component) {
        List<Statement> body = new ArrayList<>(List.of(read("r", "red"), read("g", "green"), read("b", "blue")));
        if (component.model() != ColorModel.YCBCR) {
            body.addAll(List.of(set("x", "max(r, max(g, b))"), set("n", "min(r, min(g, b))"), set("c", "x - n")));
        }
        body.addAll(exact(component));
        body.addAll(Ending.of(component.finish().rounding(), component.finish().overflow(), component.frame().range()));
        return program(component.step().type().name(), component.step().line(), CHANNELS.stream().map(name -> new LoopProgram.Input(name, false)).toList(),
                component.color().maximumLevel(), body);
    }

    private static LoopProgram program(String name, String line, List<LoopProgram.Input> inputs, int maximum, List<Statement> body) {
        return new LoopProgram(name, line, inputs, List.of(Statement.set("M", Code.of(maximum))), Code.name("H"), Code.name("W"), body);
    }

    private static List<Statement> exact(ToComponent component) {
        int maximum = component.color().maximumLevel();
        String factor = ColorModel.factor(component.name(), component.scale(), maximum).toString();
        Rational offset = ColorModel.offset(component.name(), component.scale(), maximum);
        boolean isLightness = component.model() == ColorModel.HSL;
        return switch (component.name()) {
            case "hue" -> List.of(new Statement.When(code("c <= 0"), List.of(set("exact", "0")), List.of(new Statement.When(code("x <= r"), List.of(set("h", "g - b")),
                    List.of(new Statement.When(code("x <= g"), List.of(set("h", "b - r + 2 * c")), List.of(set("h", "r - g + 4 * c"))))),
                    set("h", "if(h < 0, h + 6 * c, h)"), set("exact", factor + " * h / (6 * c)"))));
            case "saturation" -> List.of(zeroOr(isLightness ? "c <= 0" : "x <= 0", isLightness ? factor + " * c / (M - abs(x + n - M))" : factor + " * c / x"));
            case "value" -> List.of(set("exact", factor + " * x / M"));
            case "lightness" -> List.of(set("exact", factor + " * (x + n) / (2 * M)"));
            case "key" -> List.of(set("exact", factor + " * (M - x) / M"));
            case "cyan", "magenta", "yellow" -> List.of(zeroOr("x <= 0", factor + " * (x - " + List.of("r", "g", "b").get(component.model().components().indexOf(component.name())) + ") / x"));
            case "luma" -> List.of(set("exact", factor + " * " + LUMA + " / (1000 * M)"));
            case "cb" -> List.of(set("exact", factor + " * (1000 * b - " + LUMA + ") / (1772 * M) + " + offset));
            default -> List.of(set("exact", factor + " * (1000 * r - " + LUMA + ") / (1402 * M) + " + offset));
        };
    }

    private static Statement zeroOr(String condition, String formula) {
        return new Statement.When(code(condition), List.of(set("exact", "0")), List.of(set("exact", formula)));
    }

    /** Returns the program of a channel that the components stand for. */
    static LoopProgram of(ToChannel channel) {
        ModelImage model = channel.model();
        List<LoopProgram.Input> inputs = new ArrayList<>();
        List<Statement> body = new ArrayList<>();
        for (int n = 0; n < model.components().size(); n++) {
            String name = model.model().components().get(n);
            Image image = model.components().get(n);
            inputs.add(new LoopProgram.Input(name, !LoopProgram.isWhole(image)));
            Value factor = ColorModel.factor(name, model.scale(), model.maximumLevel());
            Rational offset = ColorModel.offset(name, model.scale(), model.maximumLevel());
            Code part = new Code.Cell(name, Code.name("i"), Code.name("j")).minus(Code.of(offset));
            body.add(Statement.set(names(model.model()).get(n), name.equals(ColorModel.HUE) ? Code.of(6).times(part).over(Code.of(factor)).mod(Code.of(6)) : part.over(Code.of(factor))));
        }
        body.addAll(switch (model.model()) {
            case HSV, HSL -> cone(channel);
            case CMYK -> List.of(set("exact", "(1 - " + names(ColorModel.CMYK).get(channel.channel()) + ") * (1 - k) * M"));
            case YCBCR -> List.of(set("r", "x + 1.402 * c"), set("b", "x + 1.772 * n"), set("exact", List.of("r", "(x - 0.299 * r - 0.114 * b) / 0.587", "b").get(channel.channel()) + " * M"));
        });
        body.addAll(Ending.of(channel.step().rounding(), channel.step().overflow(), Code.name("M")));
        return program(channel.step().type().name(), channel.step().line(), inputs, model.maximumLevel(), body);
    }

    /** What the components are called from 0 to 1. */
    private static List<String> names(ColorModel model) {
        return switch (model) {
            case HSV, HSL -> List.of("h", "c", "x");
            case CMYK -> List.of("r", "g", "b", "k");
            case YCBCR -> List.of("x", "n", "c");
        };
    }

    private static List<Statement> cone(ToChannel channel) {
        boolean isValue = channel.model().model() == ColorModel.HSV;
        List<Statement> all = new ArrayList<>(List.of(set("chroma", isValue ? "x * c" : "(1 - abs(2 * x - 1)) * c"), set("middle", "chroma * (1 - abs(mod(h, 2) - 1))"),
                set("base", isValue ? "x - chroma" : "x - chroma / 2")));
        String choice = part(channel, 5);
        for (int sector = 4; sector >= 0; sector--) {
            choice = "if(h < " + (sector + 1) + ", " + part(channel, sector) + ", " + choice + ")";
        }
        all.add(set("exact", "(" + choice + " + base) * M"));
        return all;
    }

    private static String part(ToChannel channel, int sector) {
        String part = channel.part(sector);
        return part.equals("C") ? "chroma" : part.equals("x") ? "middle" : "0";
    }
}
