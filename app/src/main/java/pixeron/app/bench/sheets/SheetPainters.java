package pixeron.app.bench.sheets;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.sheet.SheetFrame;
import pixeron.app.sheet.paint.ColorHandPainter;
import pixeron.app.sheet.paint.ColorPainter;
import pixeron.app.sheet.paint.ColorText;
import pixeron.app.sheet.paint.HandPainter;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Look;
import pixeron.app.sheet.paint.Painter;
import pixeron.app.theme.Theme;
import pixeron.image.SpectrumFace;
import pixeron.number.Decimals;

/** What is drawn on the sheets: an image, a picture in color, or one channel of it, as the user looks at it. */
final class SheetPainters {

    private final Bench bench;
    private final Theme theme;

    SheetPainters(Bench bench, Theme theme) {
        this.bench = bench;
        this.theme = theme;
    }

    private Look look() {
        return Look.of(bench.shown(), bench.looking().display());
    }

    private ColorText text() {
        Shown shown = bench.shown();
        return new ColorText(bench.looking().display(), shown.channel(), Stream.concat(shown.seenBefore().stream(), shown.seenAfter().stream())
                .filter(Seen::hasColor).toList());
    }

    /**
     * Shows a side of the step.
     *
     * @param isAfter whether it is After
     * @param instead what is in its place, if anything does
     */
    void show(SheetFrame frame, Optional<Seen> seen, boolean isAfter, Optional<Described> instead) {
        boolean isColor = seen.filter(Seen::hasColor).isPresent() && bench.looking().isWhole() && instead.isEmpty();
        if (isColor) {
            frame.sheet().setPainter(color(seen.get(), isAfter));
            // The channels beside it tell their own.
            frame.setSubtitle(apart().isPresent() ? " " : Words.range(seen.get()));
            frame.bar().hide();
        } else {
            show(frame, instead.or(() -> seen.map(found -> found.face(bench.shown().channel()))), isAfter);
            boolean isLog = instead.isEmpty() && seen.filter(found -> found.isSpectrum() && found.name(bench.shown().channel()).equals(SpectrumFace.LOG.word())).isPresent();
            if (isLog) {
                frame.setSubtitle("gray is ln(1 + |F|), up to " + Decimals.approximate(seen.get().face(bench.shown().channel()).facts().largest()));
            }
        }
        if (isAfter && bench.isWithheld()) {
            frame.setSubtitle("covered: an exercise");
            frame.bar().hide();
        }
    }

    private Painter color(Seen seen, boolean isAfter) {
        return new ColorPainter(seen, text(), look().on(seen.frame(), isAfter, bench.shown()), theme);
    }

    /** Shows one image. */
    void show(SheetFrame frame, Optional<Described> described, boolean isAfter) {
        Display display = bench.looking().display();
        frame.sheet().setPainter(described.map(found -> new ImagePainter(found, look().on(found.image().frame(), isAfter, bench.shown()), theme))
                .orElse(null));
        boolean isAroundZero = described.filter(display::isAroundZero).isPresent();
        // The bar beside it says which values the ends are.
        frame.setSubtitle(isAroundZero ? "◐ 0 is shown as mid-gray" : described.map(found -> apart().isPresent()
                ? Words.shortRange(found.facts()) : Words.range(found.facts())).orElse(" "));
        boolean isPlain = !isAroundZero && display.scale() == Scale.GRAY && display.range() == Display.Range.LEVELS;
        if (described.isEmpty() || isPlain) {
            frame.bar().hide();
        } else {
            frame.bar().show(display.scale(), display.ends(described.get()));
        }
    }

    /** Returns what is drawn in the overview of the first side that is there. */
    Painter overview() {
        return Stream.concat(bench.shown().seenBefore().stream(), bench.shown().seenAfter().stream()).findFirst().<Painter>map(seen ->
                seen.hasColor() && bench.looking().isWhole() ? new ColorPainter(seen, text(), look(), theme)
                        : new ImagePainter(seen.face(bench.shown().channel()), look(), theme)).orElse(null);
    }

    /** Returns what the user wrote; null where nothing can be written. */
    Painter byHand(boolean areMarksShown) {
        Shown shown = bench.shown();
        if (shown.operation().isEmpty()) {
            return null;
        } else if (bench.hand().isWhole()) {
            return new ColorHandPainter(shown.whole().orElseThrow(), text().withMark(), theme, areMarksShown);
        }
        int characters = Stream.of(shown.before(), shown.after()).flatMap(Optional::stream).mapToInt(found ->
                new ImagePainter(found, look(), theme).characters()).max().orElse(1);
        return new HandPainter(shown.sheet(), shown.check(), theme, characters, areMarksShown, shown.following().pixels());
    }

    /** Returns the channels that stand side by side, with what they are of; none where they do not. */
    Optional<Apart> apart() {
        Shown shown = bench.shown();
        if (shown == null || !shown.hasColor()) {
            return Optional.empty();
        }
        boolean isSource = shown.position() < 0;
        return switch (bench.looking().colorViewProperty().get()) {
            case CHANNEL -> Optional.empty();
            // Beside the image itself nothing else stands that would need the room.
            case TOGETHER -> isSource ? shown.seenBefore().map(seen -> new Apart(seen, false)) : Optional.empty();
            case APART -> shown.seenAfter().filter(Seen::hasColor).filter(seen -> !bench.isWithheld()).map(seen -> new Apart(seen, true))
                    .or(() -> shown.seenBefore().map(seen -> new Apart(seen, false)));
        };
    }

    /**
     * Channels side by side.
     *
     * @param seen what they are the channels of
     * @param isAfter whether that is After
     */
    record Apart(Seen seen, boolean isAfter) {

        List<String> names() {
            return seen.names();
        }
    }
}
