package pixeron.step.color;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.PackedPixel;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.working.LoopWriter;
import pixeron.working.Moment;

/**
 * What is done for one pixel with color, as a loop over its channels: each channel's own loop is its body. With packed values
 * each channel is taken out of a number and put into another by masks and shifts; else the channels are named.
 */
final class PixelLoop {

    private static final Pattern READ = Pattern.compile("before(\\[[^\\]]*\\]\\[[^\\]]*\\])");
    private static final Pattern WRITTEN = Pattern.compile("after\\[i\\]\\[j\\] ← (.*)");
    private static final String AFTER = "after[i][j]";
    private static final int MASK = 0xFF;

    private final Bound bound;
    private final Pixel pixel;
    private final LoopWriter out;
    private int made;

    PixelLoop(Bound bound, Pixel pixel, LoopWriter out) {
        this.bound = bound;
        this.pixel = pixel;
        this.out = out;
    }

    /**
     * @param read what is in the image before; empty: the channels are named
     * @param written what is in the result; empty where it has no packed value
     */
    void follow(Optional<PackedPixel> read, Optional<PackedPixel> written) {
        if (bound.faces().equals(List.of(Image.VALUE))) {
            read.ifPresent(this::takeApart);
            operation(Image.VALUE).follow(pixel, out);
        } else if (read.isPresent() && written.isPresent()) {
            followPacked(read.get(), written.get());
        } else {
            followNamed();
        }
    }

    private Operation operation(String name) {
        return bound.face(name).orElseThrow();
    }

    private boolean stays(String name) {
        return operation(name).step().type() instanceof AsItIs;
    }

    private List<String> workedOn() {
        return bound.faces().stream().filter(name -> !stays(name)).toList();
    }

    private LoopWriter body(String name) {
        LoopWriter body = new LoopWriter();
        operation(name).follow(pixel, body);
        return body;
    }

    private void takeApart(PackedPixel packed) {
        out.set("p", packed.hexadecimal()).line(0, "p ← before[i][j], packed");
        for (String name : List.of("red", "green", "blue", "alpha")) {
            out.set(name, Integer.toString(packed.level(name))).line(0, name + " ← (p shifted right by " + PackedPixel.shift(name) + ") and 0xFF");
        }
    }

    private void followNamed() {
        List<String> channels = workedOn();
        UnaryOperator<String> words = text -> READ.matcher(text).replaceAll("before$1.c").replace(AFTER, AFTER + ".c");
        for (String name : channels) {
            out.set("c", name).line(0, "for c in " + String.join(", ", channels) + ":");
            out.take(body(name), 1, words, variable -> new Moment.Variable(variable.name().equals(AFTER) ? AFTER + "." + name
                    : variable.name(), variable.value()));
        }
        bound.faces().stream().filter(this::stays).forEach(name -> {
            String from = source(name);
            out.set(AFTER + "." + name, operation(name).value(pixel)).line(0, AFTER + "." + name + " ← "
                    + (bound.faces().contains(from) ? "before[i][j]." + from : from));
        });
    }

    private void followPacked(PackedPixel read, PackedPixel written) {
        out.set("p", read.hexadecimal()).line(0, "p ← before[i][j], packed");
        out.set("q", hexadecimal()).line(0, "q ← 0");
        List<String> channels = workedOn();
        String head = "for c in " + channels.stream().map(name -> name + " (shift " + PackedPixel.shift(name) + ")").collect(Collectors.joining(", ")) + ":";
        for (String name : channels) {
            out.set("c", name).set("shift", Integer.toString(PackedPixel.shift(name))).line(0, head);
            int after = made | written.level(name) << PackedPixel.shift(name);
            out.take(body(name), 1, PixelLoop::packedWords, variable -> variable.name().equals(AFTER)
                    ? new Moment.Variable("q", new PackedPixel(after).hexadecimal()) : variable);
            made = after;
        }
        bound.faces().stream().filter(this::stays).forEach(name -> put(name, source(name), written));
        if (!bound.faces().contains("alpha")) {
            put("alpha", "alpha", written);
        }
        out.set(AFTER, hexadecimal()).line(0, AFTER + " ← q");
    }

    /** Returns what a channel that stays is taken from. */
    private String source(String name) {
        return operation(name).explain(pixel).lines().get(0).label();
    }

    private void put(String name, String from, PackedPixel written) {
        made |= written.level(name) << PackedPixel.shift(name);
        boolean isMasked = name.equals(from);
        boolean isFromPacked = bound.faces().contains(from) || isMasked;
        String mask = new PackedPixel(MASK << PackedPixel.shift(name)).hexadecimal();
        String taken = isMasked ? "p and " + mask : (isFromPacked ? "((p shifted right by " + PackedPixel.shift(from) + ") and 0xFF)" : from + "[i][j]")
                + " shifted left by " + PackedPixel.shift(name);
        out.set("q", hexadecimal()).line(0, "q ← q or (" + taken + ")");
    }

    private String hexadecimal() {
        return new PackedPixel(made).hexadecimal();
    }

    /** What is read is masked out of a packed value; what is written is put into one. */
    private static String packedWords(String text) {
        Matcher written = WRITTEN.matcher(text);
        String put = written.find() ? text.substring(0, written.start()) + "q ← q or (" + written.group(1) + " shifted left by shift)" : text;
        return READ.matcher(put).replaceAll(found -> "((" + (found.group(1).equals("[i][j]") ? "p" : Matcher.quoteReplacement(found.group()))
                + " shifted right by shift) and 0xFF)");
    }
}
