package pixeron.step.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.ColorImage;
import pixeron.image.ColorModel;
import pixeron.image.ColorModel.Scale;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Pixel;
import pixeron.loop.LoopProgram;
import pixeron.number.Decimals;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** One component of a color model, made of red, green and blue. A hue is rounded and then goes around its circle. */
final class ToComponent extends ModelOperation {

    private static final List<String> LETTERS = List.of("R", "G", "B");
    private static final List<String> NAMES = List.of("red", "green", "blue");
    private static final List<String> TURNS = List.of("G − B", "B − R", "R − G");

    private final ColorImage color;
    private final String name;
    private final ColorModel model;
    private final Scale scale;

    ToComponent(Step step, Inputs inputs, ColorImage color, String name) {
        super(step, color::red, ModelImage.frame(color.frame(), name, Convert.scale(step.arguments())), inputs,
                finish -> name.equals(ColorModel.HUE) ? finish.with(Overflow.WRAP) : finish);
        this.color = color;
        this.name = name;
        this.model = Convert.model(step.arguments());
        this.scale = Convert.scale(step.arguments());
    }

    ColorImage color() {
        return color;
    }

    String name() {
        return name;
    }

    ColorModel model() {
        return model;
    }

    Scale scale() {
        return scale;
    }

    /** Returns a component that counts 0–1 in the numbers of the scale. */
    Value scaled(Value share) {
        return share.times(factor()).plus(ColorModel.offset(name, scale, color.maximumLevel()));
    }

    private Rational factor() {
        return ColorModel.factor(name, scale, color.maximumLevel());
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        return scaled(Shares.of(color, result).component(name, model == ColorModel.HSL));
    }

    @Override
    public Optional<LoopProgram> program() {
        return color.isLevelImage() ? Optional.of(ModelPrograms.of(this)) : Optional.empty();
    }

    @Override
    Optional<Image> quickly(Progress progress) {
        return LevelConversion.of(this, progress);
    }

    @Override
    protected List<Line> work(Pixel result, Sight sight) {
        Shares shares = Shares.of(color, result);
        List<Line> lines = new ArrayList<>();
        for (int n = 0; n < LETTERS.size(); n++) {
            Value sample = color.faces().get(n).image().value(result);
            lines.add(Line.of(NAMES.get(n), Run.plain(LETTERS.get(n) + " = "), Run.before(text(sample)), Run.plain(" ÷ " + color.maximumLevel() + Decimals.arriving(shares.all().get(n)))));
        }
        if (model != ColorModel.YCBCR) {
            lines.add(Line.of("largest", Run.plain("X = " + text(shares.largest())), Run.note("   " + NAMES.get(shares.sector()))));
        }
        switch (name) {
            case "hue" -> hue(shares, lines);
            case "saturation" -> saturation(shares, lines);
            case "value" -> lines.add(Line.of("value", Run.plain("V = X = " + text(shares.largest()))));
            case "lightness" -> {
                lines.add(smallest(shares));
                lines.add(lightness(shares));
            }
            case "key" -> lines.add(Line.of("key", Run.plain("K = 1 − X = 1 − " + part(shares.largest()) + Decimals.arriving(shares.component(name, false)))));
            case "cyan" -> ink(shares, 0, lines);
            case "magenta" -> ink(shares, 1, lines);
            case "yellow" -> ink(shares, 2, lines);
            default -> luma(shares, lines);
        }
        Value share = shares.component(name, model == ColorModel.HSL);
        Rational offset = ColorModel.offset(name, scale, color.maximumLevel());
        if (!(name.equals(ColorModel.HUE) && scale == Scale.USUAL) && scale != Scale.UNIT) {
            String what = name.equals(ColorModel.HUE) ? "H ÷ 360 × " : symbol() + " × ";
            lines.add(Line.of("scale", Run.plain(what + text(factor()) + (offset.signum() == 0 ? "" : " + " + text(offset)) + Decimals.arriving(scaled(share)))));
        } else if (name.equals(ColorModel.HUE) && scale == Scale.UNIT) {
            lines.add(Line.of("scale", Run.plain("H ÷ 360" + Decimals.arriving(share))));
        }
        return lines;
    }

    private String symbol() {
        return switch (name) {
            case "saturation" -> "S";
            case "value" -> "V";
            case "lightness" -> "L";
            case "luma" -> "Y";
            case "cb" -> "Cb";
            case "cr" -> "Cr";
            case "key" -> "K";
            default -> name;
        };
    }

    private static Line smallest(Shares shares) {
        return Line.of("smallest", Run.plain("N = " + text(shares.smallest())));
    }

    private static Line difference(Shares shares) {
        return Line.of("difference", Run.plain("C = X − N = " + part(shares.largest()) + " − " + part(shares.smallest()) + Decimals.arriving(shares.difference())));
    }

    private static Line lightness(Shares shares) {
        return Line.of("lightness", Run.plain("L = (X + N) ÷ 2 = (" + part(shares.largest()) + " + " + part(shares.smallest()) + ") ÷ 2" + Decimals.arriving(shares.lightness())));
    }

    private static void hue(Shares shares, List<Line> lines) {
        lines.add(smallest(shares));
        lines.add(difference(shares));
        if (shares.difference().signum() == 0) {
            lines.add(Line.of("case", Run.plain("C = 0: H = 0"), Run.note("   a gray has no hue")));
            return;
        }
        int sector = shares.sector();
        Value turn = shares.turn(sector);
        String quotient = "(" + TURNS.get(sector) + ") ÷ C";
        String numbers = "(" + top(shares, sector) + ") ÷ " + part(shares.difference());
        lines.add(Line.of("case", Run.plain("X = " + LETTERS.get(sector) + ": H = 60 × (" + quotient + (sector == 0 ? " mod 6)" : " + " + 2 * sector + ")")),
                Run.note("   " + NAMES.get(sector) + (isTie(shares) ? " is the first of the largest channels" : " is the largest channel"))));
        lines.add(Line.of("quotient", Run.plain(quotient + " = " + numbers + Decimals.arriving(turn))));
        Value sixths = turn.plus(Rational.of(2L * sector));
        if (sixths.signum() < 0) {
            lines.add(Line.of("mod 6", Run.plain(text(sixths) + " + 6" + Decimals.arriving(Shares.modSix(sixths))), Run.note("   one full circle is added")));
        }
        String inner = sector == 0 ? part(Shares.modSix(sixths)) : "(" + part(turn) + " + " + 2 * sector + ")";
        lines.add(Line.of("hue", Run.plain("H = 60 × " + inner + Decimals.arriving(shares.hue().times(Rational.of(360))))));
    }

    private static boolean isTie(Shares shares) {
        return shares.all().stream().filter(share -> share.compareValue(shares.largest()) == 0).count() > 1;
    }

    private static String top(Shares shares, int sector) {
        List<Value> all = shares.all();
        return part(all.get((sector + 1) % 3)) + " − " + part(all.get((sector + 2) % 3));
    }

    private void saturation(Shares shares, List<Line> lines) {
        lines.add(smallest(shares));
        lines.add(difference(shares));
        if (model == ColorModel.HSV) {
            lines.add(shares.largest().signum() == 0 ? Line.of("case", Run.plain("X = 0: S = 0"), Run.note("   black has no saturation"))
                    : Line.of("saturation", Run.plain("S = C ÷ X = " + part(shares.difference()) + " ÷ " + part(shares.largest()) + Decimals.arriving(shares.saturationOfValue()))));
            return;
        }
        lines.add(lightness(shares));
        if (shares.difference().signum() == 0) {
            lines.add(Line.of("case", Run.plain("C = 0: S = 0"), Run.note("   a gray has no saturation")));
            return;
        }
        lines.add(Line.of("room", Run.plain("1 − |2 × L − 1| = 1 − |2 × " + part(shares.lightness()) + " − 1|" + Decimals.arriving(shares.room()))));
        lines.add(Line.of("saturation", Run.plain("S = C ÷ (1 − |2 × L − 1|) = " + part(shares.difference()) + " ÷ " + part(shares.room()) + Decimals.arriving(shares.saturationOfLightness()))));
    }

    private void ink(Shares shares, int channel, List<Line> lines) {
        Value share = shares.all().get(channel);
        lines.add(shares.largest().signum() == 0 ? Line.of("case", Run.plain("X = 0: " + name + " = 0"), Run.note("   black has no color ink"))
                : Line.of(name, Run.plain(name + " = (X − " + LETTERS.get(channel) + ") ÷ X = (" + part(shares.largest()) + " − " + part(share) + ") ÷ " + part(shares.largest())
                + Decimals.arriving(shares.ink(share)))));
    }

    private void luma(Shares shares, List<Line> lines) {
        lines.add(Line.of("luma", Run.plain("Y = 0.299 × " + part(shares.red()) + " + 0.587 × " + part(shares.green()) + " + 0.114 × " + part(shares.blue()) + Decimals.arriving(shares.luma()))));
        if (name.equals("cb")) {
            lines.add(Line.of("cb", Run.plain("Cb = (B − Y) ÷ 1.772 = (" + part(shares.blue()) + " − " + part(shares.luma()) + ") ÷ 1.772" + Decimals.arriving(shares.component(name, false)))));
        } else if (name.equals("cr")) {
            lines.add(Line.of("cr", Run.plain("Cr = (R − Y) ÷ 1.402 = (" + part(shares.red()) + " − " + part(shares.luma()) + ") ÷ 1.402" + Decimals.arriving(shares.component(name, false)))));
        }
    }

    @Override
    protected void loop(Pixel result, Sight sight, LoopWriter out) {
        Shares shares = Shares.of(color, result);
        out.set("R", shares.red()).set("G", shares.green()).set("B", shares.blue()).line(0, "R, G, B ← red, green, blue of before[i][j], each ÷ M");
        if (model != ColorModel.YCBCR) {
            out.set("X", shares.largest()).set("N", shares.smallest()).set("C", shares.difference()).line(0, "X ← max(R, G, B), N ← min(R, G, B), C ← X − N");
        } else if (!name.equals("luma")) {
            out.set("Y", shares.luma()).line(0, "Y ← 0.299 × R + 0.587 × G + 0.114 × B");
        }
        Value share = shares.component(name, model == ColorModel.HSL);
        boolean isGray = shares.difference().signum() == 0;
        boolean isBlack = shares.largest().signum() == 0;
        switch (name) {
            case "hue" -> {
                int taken = isGray ? 0 : shares.sector() + 1;
                List<String> cases = List.of("if C = 0: s ← 0", "else if X = R: s ← (G − B) ÷ C mod 6", "else if X = G: s ← (B − R) ÷ C + 2", "else: s ← (R − G) ÷ C + 4");
                choose(cases, taken, isGray ? Rational.ZERO : share.times(Rational.of(6)), out);
                out.set("s", scaled(share)).line(0, "s ← s ÷ 6 × " + text(factor()));
                return;
            }
            case "saturation" -> {
                if (model == ColorModel.HSL) {
                    out.set("L", shares.lightness()).line(0, "L ← (X + N) ÷ 2");
                    choose(List.of("if C = 0: s ← 0", "else: s ← C ÷ (1 − |2 × L − 1|)"), isGray ? 0 : 1, share, out);
                } else {
                    choose(List.of("if X = 0: s ← 0", "else: s ← C ÷ X"), isBlack ? 0 : 1, share, out);
                }
            }
            case "value" -> out.set("s", share).line(0, "s ← X");
            case "lightness" -> out.set("s", share).line(0, "s ← (X + N) ÷ 2");
            case "key" -> out.set("s", share).line(0, "s ← 1 − X");
            case "cyan", "magenta", "yellow" -> choose(List.of("if X = 0: s ← 0", "else: s ← (X − " + LETTERS.get(model.components().indexOf(name)) + ") ÷ X"), isBlack ? 0 : 1, share, out);
            case "luma" -> out.set("s", share).line(0, "s ← 0.299 × R + 0.587 × G + 0.114 × B");
            case "cb" -> out.set("s", share).line(0, "s ← (B − Y) ÷ 1.772");
            default -> out.set("s", share).line(0, "s ← (R − Y) ÷ 1.402");
        }
        if (scale != Scale.UNIT) {
            Rational offset = ColorModel.offset(name, scale, color.maximumLevel());
            out.set("s", scaled(share)).line(0, "s ← s × " + text(factor()) + (offset.signum() == 0 ? "" : " + " + text(offset)));
        }
    }

    private static void choose(List<String> cases, int taken, Value value, LoopWriter out) {
        for (int n = 0; n < cases.size(); n++) {
            if (n == taken) {
                out.set("s", value).line(0, cases.get(n));
            } else {
                out.mention(0, cases.get(n));
            }
        }
    }
}
