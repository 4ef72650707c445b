package pixeron.step.color;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Slip;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.step.Way;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.Transparency;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * Gray of a color image; outside an area the samples of one of its channels.
 *
 * <p>Cost: one pass; for levels, rounded to nearest, a few sums for each pixel, else exact fractions.
 */
final class GrayOperation extends StepOperation {

    private final ColorImage picture;
    private final Optional<GrayRule> rule;
    private final Transparency transparency;

    /**
     * @param inputs with the color image, and the channel of the result in question where it stays in color
     * @param channel what stays outside the area
     * @param rule empty: alpha itself
     */
    GrayOperation(Step step, Inputs inputs, Image channel, Optional<GrayRule> rule, Transparency transparency) {
        super(step, channel, inputs.before().frame(), inputs);
        this.picture = (ColorImage) inputs.before();
        this.rule = rule;
        this.transparency = transparency;
    }

    /** Returns the findings about it as slips: gray in other ways. */
    static List<Slip> slips() {
        return List.of(Slip.of("channels-swapped", right -> right instanceof GrayOperation gray ? gray.swapped() : List.of()),
                Slip.of("integer-division", right -> right instanceof GrayOperation gray ? gray.dividedApart() : List.of()),
                Slip.of("byte-overflow", right -> right instanceof GrayOperation gray ? gray.inBytes() : List.of()),
                Slip.of("other-gray-rule", right -> right instanceof GrayOperation gray ? gray.otherRules() : List.of()),
                Slip.of("transparency-ignored", right -> right instanceof GrayOperation gray ? gray.opaque() : List.of()));
    }

    private List<Way> otherRules() {
        return rule.map(mine -> GrayRule.ready().stream().filter(other -> !other.equals(mine)).map(other -> Way.of("gray is calculated by "
                + other.word() + " (" + other.formula() + ") instead of " + mine.word(), new GrayOperation(step(), inputs(), before(),
                        Optional.of(other), transparency))).toList()).orElse(List.of());
    }

    /** Two channels are taken for each other before gray is made; red, green and blue of a mean are alike, so nothing shows there. */
    private List<Way> swapped() {
        List<Way> ways = new ArrayList<>();
        List<Image> channels = List.of(picture.red(), picture.green(), picture.blue());
        for (int a = 0; a < channels.size(); a++) {
            for (int b = a + 1; b < channels.size(); b++) {
                List<Image> swapped = new ArrayList<>(channels);
                Collections.swap(swapped, a, b);
                ColorImage other = new ColorImage(swapped.get(0), swapped.get(1), swapped.get(2), picture.alpha());
                ways.add(Way.of(ComponentsOperation.COLOURS.get(a) + " and " + ComponentsOperation.COLOURS.get(b) + " are swapped before gray is calculated",
                        new GrayOperation(step(), inputs().on(other), before(), rule, transparency)));
            }
        }
        return rule.isEmpty() ? List.of() : ways;
    }

    private List<Way> dividedApart() {
        return isLaid() ? List.of() : rule.flatMap(GrayRule::dividedApart).map(apart -> Way.of("each channel is divided first, and the remainder is dropped",
                new GrayOperation(step(), inputs(), before(), Optional.of(apart), transparency))).stream().toList();
    }

    private List<Way> inBytes() {
        return isLaid() || picture.maximumLevel() != Image.BYTE_MAXIMUM ? List.of() : rule.flatMap(GrayRule::inBytes).map(bytes ->
                Way.of("the sum of the channels overflows a byte (modulo 256)", new GrayOperation(step(), inputs(), before(), Optional.of(bytes), transparency)))
                .stream().toList();
    }

    private boolean isLaid() {
        return GrayRule.isLaid(picture, transparency);
    }

    private List<Way> opaque() {
        return picture.alpha().isEmpty() || rule.isEmpty() || transparency == Transparency.IGNORED ? List.of()
                : List.of(Way.of("transparent pixels are treated as opaque", new GrayOperation(step(), inputs(), before(), rule,
                        Transparency.IGNORED)));
    }

    private Image alpha() {
        return picture.alpha().orElseThrow();
    }

    @Override
    public List<String> notes() {
        // The rule is in the step's line; what became of transparent pixels need not.
        int transparent = picture.transparentPixels();
        return rule.isEmpty() || transparent == 0 ? List.of() : List.of("Gray is calculated by " + rule.get().word() + "; " + transparent
                + " pixels are transparent and were treated " + transparency.sentence() + ".");
    }

    /** Each channel is read from a file of its own. */
    @Override
    public Optional<LoopProgram> program() {
        boolean isLaid = GrayRule.isLaid(picture, transparency);
        String own = picture.faces().stream().filter(face -> face.image() == before()).findFirst().map(Result.Face::name).orElse("red");
        List<Statement> body = new ArrayList<>(rule.map(found -> found.statements(isLaid, transparency)).orElseGet(() ->
                List.of(Statement.set("exact", new Code.Cell("alpha", Code.name("i"), Code.name("j"))))));
        body.addAll(Ending.of(step().rounding(), step().overflow(), Code.name("M")));
        List<LoopProgram.Input> inputs = (rule.isEmpty() || isLaid ? Stream.of("red", "green", "blue", "alpha") : Stream.of("red", "green", "blue"))
                .map(name -> new LoopProgram.Input(name, false)).toList();
        return !picture.isLevelImage() ? Optional.empty() : Optional.of(new LoopProgram(step().type().name(), step().line(), inputs,
                List.of(Statement.set("M", Code.of(picture.maximumLevel()))), Code.name("H"), Code.name("W"), Ending.within(ownArea(), own, body)));
    }

    @Override
    public Image result(Progress progress) {
        boolean isUsual = finish().rounding() == Rounding.NEAREST && finish().overflow() == Overflow.CLIP;
        if (rule.isPresent() && isUsual && ownArea().isEmpty() && picture.isLevelImage()) {
            return rule.get().apply(picture, transparency);
        }
        return oneByOne(progress);
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        return rule.map(found -> found.exact(picture, transparency, result)).orElseGet(() -> alpha().value(result));
    }

    @Override
    protected List<Line> work(Pixel result, Sight sight) {
        return rule.map(found -> found.lines(picture, transparency, result)).orElseGet(() -> new ArrayList<>(List.of(
                Line.of("this pixel", Run.plain("s = alpha = "), Run.before(Decimals.working(alpha().value(result)))))));
    }

    @Override
    protected void loop(Pixel result, Sight sight, LoopWriter out) {
        Value exact = calculate(result, sight);
        if (rule.isPresent()) {
            rule.get().follow(picture, transparency, result, out);
        } else {
            out.set("s", exact).line(0, "s ← alpha at [i][j]");
        }
    }

    @Override
    public List<Source> sources(Pixel pixel) {
        return List.of(Source.of(pixel, before().value(pixel)));
    }
}
