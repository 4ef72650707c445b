package pixeron.step.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import pixeron.image.ColorModel;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Pixel;
import pixeron.loop.LoopProgram;
import pixeron.number.Decimals;
import pixeron.number.Range;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** One channel of the color image that the components of a model stand for. */
final class ToChannel extends ModelOperation {

    private static final Rational TWO = Rational.of(2);
    private static final Rational SIX = Rational.of(6);
    /** Which of C, x and 0 red, green and blue are in each sixth of the circle. */
    private static final List<List<String>> SECTORS = List.of(List.of("C", "x", "0"), List.of("x", "C", "0"), List.of("0", "C", "x"), List.of("0", "x", "C"),
            List.of("x", "0", "C"), List.of("C", "0", "x"));

    private final ModelImage model;
    private final int channel;
    private final String name;

    ToChannel(Step step, Inputs inputs, ModelImage model, String name) {
        super(step, () -> model.components().get(0).withinLevels(), model.frame(), inputs, UnaryOperator.identity());
        this.model = model;
        this.name = name;
        this.channel = List.of("red", "green", "blue").indexOf(name);
    }

    /** Returns a component as it counts without a scale: 0–1, a hue in sixths of the circle 0–6, a color difference −½–½. */
    private Value share(int place, Pixel pixel) {
        String component = model.model().components().get(place);
        Value value = model.components().get(place).value(pixel);
        Value share = value.minus(ColorModel.offset(component, model.scale(), model.maximumLevel()))
                .dividedBy(ColorModel.factor(component, model.scale(), model.maximumLevel()));
        return component.equals(ColorModel.HUE) ? around(share.times(SIX)) : share;
    }

    private static Value around(Value sixths) {
        return Range.circle(SIX).wrapped(sixths);
    }

    /** C, x and m of a pixel in hsv or hsl: the channels are C, x and 0 in the order of the sector, each + m. */
    private record Cone(Value chroma, Value middle, Value base, int sector) {

        Value of(int channel) {
            String part = SECTORS.get(sector).get(channel);
            return (part.equals("C") ? chroma : part.equals("x") ? middle : Rational.ZERO).plus(base);
        }
    }

    private Cone cone(Pixel pixel) {
        Value hue = share(0, pixel);
        Value saturation = share(1, pixel);
        Value third = share(2, pixel);
        boolean isValue = model.model() == ColorModel.HSV;
        Value chroma = isValue ? third.times(saturation) : room(third).times(saturation);
        Value even = hue.minus(TWO.times(Rational.of((long) Math.floor(hue.asDouble() / 2))));
        Value middle = chroma.times(Rational.ONE.minus(even.minus(Rational.ONE).absolute()));
        Value base = third.minus(isValue ? chroma : chroma.dividedBy(TWO));
        return new Cone(chroma, middle, base, Math.min(5, (int) Math.floor(hue.asDouble())));
    }

    private static Value room(Value lightness) {
        return Rational.ONE.minus(lightness.times(TWO).minus(Rational.ONE).absolute());
    }

    private Value exactShare(Pixel pixel) {
        return switch (model.model()) {
            case HSV, HSL -> cone(pixel).of(channel);
            case CMYK -> Rational.ONE.minus(share(channel, pixel)).times(Rational.ONE.minus(share(3, pixel)));
            case YCBCR -> ofLuma(channel, pixel);
        };
    }

    private Value ofLuma(int which, Pixel pixel) {
        Value luma = share(0, pixel);
        return switch (which) {
            case 0 -> luma.plus(Shares.Luma.CR.times(share(2, pixel)));
            case 2 -> luma.plus(Shares.Luma.CB.times(share(1, pixel)));
            default -> luma.minus(Shares.Luma.RED.times(ofLuma(0, pixel))).minus(Shares.Luma.BLUE.times(ofLuma(2, pixel))).dividedBy(Shares.Luma.GREEN);
        };
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        return exactShare(result).times(Rational.of(model.maximumLevel()));
    }

    ModelImage model() {
        return model;
    }

    /** Returns which it is: red 0, green 1, blue 2. */
    int channel() {
        return channel;
    }

    /** Returns which of C, x and 0 it is in a sixth of the circle. */
    String part(int sector) {
        return SECTORS.get(sector).get(channel);
    }

    @Override
    public Optional<LoopProgram> program() {
        return Optional.of(ModelPrograms.of(this));
    }

    @Override
    Optional<Image> quickly(Progress progress) {
        return LevelConversion.of(this, progress);
    }

    private String letter() {
        return List.of("R", "G", "B").get(channel);
    }

    @Override
    protected List<Line> work(Pixel result, Sight sight) {
        List<Line> lines = new ArrayList<>();
        for (int n = 0; n < model.components().size(); n++) {
            String component = model.model().components().get(n);
            lines.add(Line.of(component, Run.before(text(model.components().get(n).value(result))), Run.plain(component.equals(ColorModel.HUE) ? "   h = H ÷ 60 = " + text(share(n, result))
                    : "   " + text(share(n, result)) + " of 1")));
        }
        switch (model.model()) {
            case HSV, HSL -> cone(result, lines);
            case CMYK -> lines.add(Line.of(name, Run.plain(letter() + " = (1 − " + model.model().components().get(channel) + ") × (1 − key) = (1 − " + part(share(channel, result)) + ") × (1 − "
                    + part(share(3, result)) + ")" + Decimals.arriving(exactShare(result)))));
            case YCBCR -> luma(result, lines);
        }
        lines.add(Line.of("scale", Run.plain(letter() + " × " + model.maximumLevel() + Decimals.arriving(calculate(result, sight)))));
        return lines;
    }

    private void cone(Pixel result, List<Line> lines) {
        Cone cone = cone(result);
        Value third = share(2, result);
        String saturation = part(share(1, result));
        boolean isValue = model.model() == ColorModel.HSV;
        lines.add(Line.of("chroma", Run.plain((isValue ? "C = V × S = " + part(third) + " × " + saturation : "C = (1 − |2 × L − 1|) × S = " + part(room(third)) + " × " + saturation)
                + Decimals.arriving(cone.chroma()))));
        lines.add(Line.of("middle", Run.plain("x = C × (1 − |h mod 2 − 1|)" + Decimals.arriving(cone.middle()))));
        lines.add(Line.of("base", Run.plain((isValue ? "m = V − C = " + part(third) + " − " + part(cone.chroma()) : "m = L − C ÷ 2 = " + part(third) + " − " + part(cone.chroma()) + " ÷ 2")
                + Decimals.arriving(cone.base()))));
        String part = SECTORS.get(cone.sector()).get(channel);
        lines.add(Line.of("case", Run.plain("⌊h⌋ = " + cone.sector() + ": (R, G, B) = (" + String.join(", ", SECTORS.get(cone.sector())) + "), each + m")));
        lines.add(Line.of(name, Run.plain(letter() + " = " + part + " + m" + Decimals.arriving(cone.of(channel)))));
    }

    private void luma(Pixel result, List<Line> lines) {
        String luma = part(share(0, result));
        switch (channel) {
            case 0 -> lines.add(Line.of(name, Run.plain("R = Y + 1.402 × Cr = " + luma + " + 1.402 × " + part(share(2, result)) + Decimals.arriving(exactShare(result)))));
            case 2 -> lines.add(Line.of(name, Run.plain("B = Y + 1.772 × Cb = " + luma + " + 1.772 × " + part(share(1, result)) + Decimals.arriving(exactShare(result)))));
            default -> {
                lines.add(Line.of("red", Run.plain("R = Y + 1.402 × Cr" + Decimals.arriving(ofLuma(0, result))), Run.note("   not rounded")));
                lines.add(Line.of("blue", Run.plain("B = Y + 1.772 × Cb" + Decimals.arriving(ofLuma(2, result))), Run.note("   not rounded")));
                lines.add(Line.of(name, Run.plain("G = (Y − 0.299 × R − 0.114 × B) ÷ 0.587" + Decimals.arriving(exactShare(result)))));
            }
        }
    }

    @Override
    protected void loop(Pixel result, Sight sight, LoopWriter out) {
        Value share = exactShare(result);
        switch (model.model()) {
            case HSV, HSL -> {
                Cone cone = cone(result);
                boolean isValue = model.model() == ColorModel.HSV;
                out.set("h", share(0, result)).set("S", share(1, result)).set(isValue ? "V" : "L", share(2, result))
                        .line(0, "h ← hue in sixths of the circle, S ← saturation, " + (isValue ? "V ← value" : "L ← lightness") + ", from 0 to 1");
                out.set("C", cone.chroma()).line(0, isValue ? "C ← V × S" : "C ← (1 − |2 × L − 1|) × S");
                out.set("x", cone.middle()).line(0, "x ← C × (1 − |h mod 2 − 1|)");
                out.set("m", cone.base()).line(0, isValue ? "m ← V − C" : "m ← L − C ÷ 2");
                for (int sector = 0; sector < SECTORS.size(); sector++) {
                    String line = "if ⌊h⌋ = " + sector + ": s ← " + SECTORS.get(sector).get(channel) + " + m";
                    if (sector == cone.sector()) {
                        out.set("s", share).line(0, line);
                    } else {
                        out.mention(0, line);
                    }
                }
            }
            case CMYK -> out.set("s", share).line(0, "s ← (1 − " + model.model().components().get(channel) + ") × (1 − key), both from 0 to 1");
            case YCBCR -> {
                out.set("Y", share(0, result)).set("Cb", share(1, result)).set("Cr", share(2, result)).line(0, "Y ← luma from 0 to 1, Cb, Cr ← color differences from −½ to ½");
                out.set("R", ofLuma(0, result)).line(0, "R ← Y + 1.402 × Cr");
                out.set("B", ofLuma(2, result)).line(0, "B ← Y + 1.772 × Cb");
                out.set("s", share).line(0, channel == 1 ? "s ← (Y − 0.299 × R − 0.114 × B) ÷ 0.587" : "s ← " + letter());
            }
        }
        out.set("s", calculate(result, sight)).line(0, "s ← s × " + model.maximumLevel());
    }
}
