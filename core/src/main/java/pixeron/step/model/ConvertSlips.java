package pixeron.step.model;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.IntUnaryOperator;
import java.util.stream.Stream;
import pixeron.image.ColorModel;
import pixeron.image.ColorModel.Scale;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Slip;
import pixeron.step.Way;

/** Mistakes in working out a component of a color model. Source: docs/slips.md. */
final class ConvertSlips {

    private static final List<String> NAMES = List.of("red", "green", "blue");
    private static final Rational SIX = Rational.of(6);
    private static final Rational HUNDRED = Rational.of(100);

    private ConvertSlips() {
    }

    static List<Slip> all() {
        return List.of(of("hue-not-wrapped", ConvertSlips::notWrapped), of("wrong-case", ConvertSlips::wrongCase), of("sector-forgotten", ConvertSlips::sectorForgotten),
                of("unit-for-percent", ConvertSlips::unitForPercent), of("degrees-for-levels", ConvertSlips::otherScale), of("smallest-for-largest", ConvertSlips::smallestForLargest),
                of("model-swapped", ConvertSlips::modelSwapped), of("key-not-removed", ConvertSlips::keyNotRemoved));
    }

    private static Slip of(String id, Function<ToComponent, List<Way>> ways) {
        return Slip.of(id, right -> right instanceof ToComponent component ? ways.apply(component) : List.of());
    }

    /** What a person writes who calculates the part of 1 in another way, and then goes on correctly. */
    private static Way way(String words, ToComponent right, Function<Shares, Value> share) {
        return way(words, right, right.finish(), share);
    }

    private static Way way(String words, ToComponent right, Finish finish, Function<Shares, Value> share) {
        return Way.of(words, pixel -> finish.apply(right.scaled(share.apply(Shares.of(right.color(), pixel)))));
    }

    private static boolean isHue(ToComponent right) {
        return right.name().equals(ColorModel.HUE);
    }

    /** Sixths of the circle, without one circle more. */
    private static Value sixths(Shares shares, int sector, int added) {
        return shares.turn(sector).plus(Rational.of(added));
    }

    private static List<Way> notWrapped(ToComponent right) {
        return !isHue(right) ? List.of() : List.of(way("a negative hue stays, and 360 is not 0", right, right.finish().with(Overflow.KEEP),
                shares -> sixths(shares, shares.sector(), 2 * shares.sector()).dividedBy(SIX)));
    }

    private static List<Way> wrongCase(ToComponent right) {
        List<Way> ways = new ArrayList<>();
        for (int n = 0; isHue(right) && n < NAMES.size(); n++) {
            int one = n;
            int other = (n + 1) % NAMES.size();
            ways.add(way("the case of " + NAMES.get(one) + " is used for all pixels", right, inSector(sector -> one)));
            ways.add(way("the cases of " + NAMES.get(one) + " and " + NAMES.get(other) + " are swapped", right,
                    inSector(sector -> sector == one ? other : sector == other ? one : sector)));
        }
        return ways;
    }

    private static Function<Shares, Value> inSector(IntUnaryOperator chosen) {
        return shares -> {
            int sector = chosen.applyAsInt(shares.sector());
            return shares.difference().signum() == 0 ? Rational.ZERO : sixths(shares, sector, 2 * sector).dividedBy(SIX);
        };
    }

    private static List<Way> sectorForgotten(ToComponent right) {
        List<Way> ways = new ArrayList<>();
        if (isHue(right)) {
            forgotten(ways, right, "+ 2 and + 4 are omitted", sector -> 0);
            forgotten(ways, right, "+ 2 is omitted", sector -> sector == 1 ? 0 : 2 * sector);
            forgotten(ways, right, "+ 4 is omitted", sector -> sector == 2 ? 0 : 2 * sector);
        }
        return ways;
    }

    private static void forgotten(List<Way> ways, ToComponent right, String words, IntUnaryOperator added) {
        Function<Shares, Value> share = shares -> sixths(shares, shares.sector(), added.applyAsInt(shares.sector())).dividedBy(SIX);
        ways.add(way(words, right, share));
        ways.add(way(words + ", and a negative hue stays", right, right.finish().with(Overflow.KEEP), share));
    }

    private static List<Way> unitForPercent(ToComponent right) {
        boolean isPercent = right.scale() == Scale.USUAL && !isHue(right);
        boolean isUnit = right.scale() == Scale.UNIT && !isHue(right);
        Finish kept = right.finish().with(Overflow.KEEP);
        if (isUnit) {
            return List.of(Way.of("the value is in percent instead of from 0 to 1", pixel -> kept.apply(right.exact(pixel).times(HUNDRED))));
        }
        Finish unrounded = new Finish(Rounding.NONE, Overflow.KEEP, right.frame().maximumLevel(), right.frame().range());
        return !isPercent ? List.of() : List.of(Way.of("the value is from 0 to 1 instead of in percent", pixel -> unrounded.apply(right.exact(pixel).dividedBy(HUNDRED))),
                Way.of("the value is from 0 to 1 instead of in percent, and rounded", pixel -> kept.apply(right.exact(pixel).dividedBy(HUNDRED))),
                Way.of("the rounded percentage is divided by 100", pixel -> right.value(pixel).dividedBy(HUNDRED)));
    }

    private static List<Way> otherScale(ToComponent right) {
        return !isHue(right) ? List.of() : Stream.of(Scale.values()).filter(scale -> scale != right.scale() && right.model().has(scale))
                .flatMap(scale -> Way.tried("the hue is in the scale " + scale.word() + " (" + scale.sentence() + ")", () -> Convert.in(scale, right.step()), right).stream()).toList();
    }

    private static List<Way> smallestForLargest(ToComponent right) {
        return switch (right.name()) {
            case "value" -> List.of(way("the smallest channel is used instead of the largest", right, Shares::smallest));
            case "key" -> List.of(way("the smallest channel is used instead of the largest", right, shares -> Rational.ONE.minus(shares.smallest())));
            case "saturation" -> right.model() != ColorModel.HSV ? List.of() : List.of(way("C is divided by the smallest channel instead of the largest", right,
                    shares -> shares.smallest().signum() == 0 ? Rational.ZERO : shares.difference().dividedBy(shares.smallest())));
            default -> List.of();
        };
    }

    private static List<Way> modelSwapped(ToComponent right) {
        boolean isValue = right.model() == ColorModel.HSV;
        BiFunction<String, Function<Shares, Value>, List<Way>> swapped = (what, share) -> List.of(way("the " + what + " of " + (isValue ? "hsl" : "hsv") + " is used", right, share));
        return switch (right.name()) {
            case "saturation" -> swapped.apply("saturation", isValue ? Shares::saturationOfLightness : Shares::saturationOfValue);
            case "value" -> swapped.apply("lightness", Shares::lightness);
            case "lightness" -> swapped.apply("value", Shares::largest);
            default -> List.of();
        };
    }

    private static List<Way> keyNotRemoved(ToComponent right) {
        int channel = List.of("cyan", "magenta", "yellow").indexOf(right.name());
        return channel < 0 ? List.of() : List.of(way("the key is not removed: 1 − " + NAMES.get(channel), right, shares -> Rational.ONE.minus(shares.all().get(channel))));
    }
}
