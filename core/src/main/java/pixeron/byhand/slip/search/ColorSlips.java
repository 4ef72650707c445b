package pixeron.byhand.slip.search;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.byhand.color.Abreast;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Common;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.Way;
import pixeron.step.color.AsItIs;

/**
 * Slips in values of all faces of a color image: channels exchanged, a channel taken with another's mask or shift, a number
 * added to the packed value so that it runs into the next channel; and those that each channel's own step has, made in all.
 */
final class ColorSlips {

    private static final String MASK = "mask-slip";
    private static final String CARRIED = "carried-over";
    private static final String ALPHA = "alpha";

    private final Abreast right;
    private final Progress progress;
    private final Result before;
    private final List<String> faces;
    private final List<Candidate> all = new ArrayList<>();

    private ColorSlips(Abreast right, Progress progress) {
        this.right = right;
        this.progress = progress;
        this.before = right.before();
        this.faces = right.after().inCells().stream().map(Result.Face::name).toList();
    }

    static List<Candidate> of(Abreast right, Progress progress) {
        ColorSlips slips = new ColorSlips(right, progress);
        slips.addOfChannels();
        slips.addSwapped();
        slips.addAlpha();
        if (right.before() instanceof ColorImage && right.before().frame().equals(right.after().frame())) {
            slips.addMasks();
            slips.addCarried();
        }
        return List.copyOf(slips.all);
    }

    /** Returns whether it is a slip with packed values, which is rarer than the same values by a plain one. */
    static boolean isOfPacked(Candidate candidate) {
        return candidate.ids().stream().anyMatch(id -> id.equals(MASK) || id.equals(CARRIED));
    }

    private void add(String id, String words, Function<Pixel, Value> value) {
        all.add(new Candidate(List.of(id), Way.of(words, value), right.frame()));
    }

    private Operation operation(String face) {
        return right.bound().face(face).orElseThrow();
    }

    /** Channels that stay have no slips of their own beside some that are worked on. */
    private List<String> workedOn() {
        List<String> some = faces.stream().filter(face -> !(operation(face).step().type() instanceof AsItIs)).toList();
        return some.isEmpty() ? faces : some;
    }

    /** The same slip, in the same words, in every channel that the step works on. */
    private void addOfChannels() {
        Map<Same, Map<String, Way>> found = new LinkedHashMap<>();
        for (String face : workedOn()) {
            Operation operation = operation(face);
            for (Slip slip : KnownSlips.of(operation.step().type())) {
                progress.report(0);
                slip.ways(operation).forEach(way -> found.computeIfAbsent(new Same(slip.id(), way.words()),
                        key -> new LinkedHashMap<>()).putIfAbsent(face, way));
            }
        }
        found.forEach((same, ways) -> {
            boolean isUnrounded = ways.values().iterator().next().isUnrounded();
            all.add(new Candidate(List.of(same.id), new Way(same.words, place -> Optional.ofNullable(ways.get(right.face(place)))
                    .map(way -> way.value().apply(right.pixel(place))).orElseGet(() -> right.value(place)), isUnrounded,
                    Optional.empty(), Optional.empty()), right.frame()));
        });
    }

    /** A slip in one of its ways, whatever the channel. */
    private record Same(String id, String words) {
    }

    private void addSwapped() {
        for (int a = 0; a < faces.size(); a++) {
            for (int b = a + 1; b < faces.size(); b++) {
                String first = faces.get(a);
                String second = faces.get(b);
                add("channels-swapped", first + " and " + second + " are swapped", place -> {
                    String face = right.face(place);
                    String other = face.equals(first) ? second : face.equals(second) ? first : face;
                    return right.after().face(other).orElseThrow().value(right.pixel(place));
                });
            }
        }
    }

    /** The step was done to alpha as well, which stays. */
    private void addAlpha() {
        boolean stays = faces.contains(ALPHA) && operation(ALPHA).step().type() instanceof AsItIs && right.bound().step().has(Common.CHANNELS)
                && right.before().face(ALPHA).isPresent();
        if (!stays) {
            return;
        }
        try {
            Step plain = right.bound().step().without(StepType.CHANNELS);
            Operation alpha = plain.bind(operation(workedOn().get(0)).inputs().on(right.before().face(ALPHA).orElseThrow()));
            Image made = alpha.result(progress);
            add("alpha-too", "alpha is changed as well", place -> right.face(place).equals(ALPHA) ? made.value(right.pixel(place)) : right.value(place));
        } catch (PixeronException notForAlpha) {
            // Such as an equalization of values that are no levels.
        }
    }

    /** What the step gives for one channel when it reads another image there; others stay right. */
    private void addReading(String id, String words, String channel, Image read) {
        try {
            Operation operation = operation(channel);
            Image other = operation.step().bind(operation.inputs().on(read)).result(progress);
            add(id, words, place -> right.face(place).equals(channel) ? other.value(right.pixel(place)) : right.value(place));
        } catch (PixeronException notForThese) {
            // Such as counts of values that are no levels.
        }
    }

    private void addMasks() {
        for (String channel : faces) {
            for (String other : faces) {
                if (!channel.equals(other)) {
                    addReading(MASK, channel + " is read with the mask and shift of " + other, channel, before.face(other).orElseThrow());
                    addShifted(channel, other);
                }
            }
        }
    }

    /** The right mask with another's shift: too many bits to the right leave nothing, too few a number far above 255. */
    private void addShifted(String channel, String other) {
        Image image = before.face(channel).orElseThrow();
        if (image.maximumLevel() != Image.BYTE_MAXIMUM || !image.isLevelImage()) {
            return;
        }
        int by = PackedPixel.shift(channel) - PackedPixel.shift(other);
        Value[] values = new Value[image.count()];
        for (int n = 0; n < values.length; n++) {
            long level = image.level(n);
            values[n] = Rational.of(by > 0 ? level << by : level >> -by);
        }
        addReading(MASK, channel + " has the correct mask, but is shifted as " + other, channel,
                Image.from(image.rows(), image.columns(), image.maximumLevel(), values));
    }

    /** Each channel's change is added to the packed value: what does not fit runs into the channel above. */
    private void addCarried() {
        add(CARRIED, "the change is added to the packed value without clipping and carries into the next channel", place -> {
            Pixel pixel = right.pixel(place);
            long packed = Integer.toUnsignedLong(PackedPixel.find(before, pixel).orElseThrow(() ->
                    PixeronException.of("%s has no packed value.", pixel)).packed());
            for (String face : faces) {
                Operation operation = operation(face);
                Value change = operation.exact(pixel).minus(operation.before().value(pixel));
                if (!(change instanceof Rational whole) || !whole.isInt()) {
                    throw PixeronException.of("%s does not change by a whole number.", pixel);
                }
                packed += (long) whole.toInt() << PackedPixel.shift(face);
            }
            return Rational.of(new PackedPixel((int) packed).level(right.face(place)));
        });
    }
}
