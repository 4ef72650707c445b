package pixeron.app.bench.sheets;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.sheet.SheetFrame;
import pixeron.byhand.Check;
import pixeron.walk.Mistake;

/** What is above the sheets, and on those that are empty. */
final class Captions {

    private static final int LONGEST_TITLE = 18;

    private final Bench bench;
    private final SheetPainters painters;
    private final AsideSheet aside;

    Captions(Bench bench, SheetPainters painters, AsideSheet aside) {
        this.bench = bench;
        this.painters = painters;
        this.aside = aside;
    }

    /** @param areMarksShown whether it is told which values by hand agree */
    void show(Shown shown, Map<SheetsPane.Kind, SheetFrame> frames, boolean areMarksShown) {
        int position = shown.position();
        SheetFrame before = frames.get(SheetsPane.Kind.BEFORE);
        before.setCaption(painters.apart().isPresent() ? "" : (position <= 0 ? "image" : step(shown, position - 1)) + channel(shown.seenBefore()));
        before.setHint(shown.before().isPresent() ? "" : "No input: an earlier step cannot be applied.");
        shown.other().ifPresent(other -> frames.get(SheetsPane.Kind.OTHER).setCaption(other.name()));
        SheetFrame after = frames.get(SheetsPane.Kind.AFTER);
        after.setCaption(position < 0 ? "" : after(shown));
        after.setHint(shown.after().isPresent() ? "" : position < 0 ? "Add or select a step to see its result here."
                : "No result. See the message at the step on the left.");
        byHand(shown, frames.get(SheetsPane.Kind.BY_HAND), areMarksShown);
    }

    private String after(Shown shown) {
        boolean isMistake = bench.walking().mistakeProperty().get() != null;
        return isMistake ? "▲ " + bench.walking().mistakeKind().map(Mistake.Kind::title).orElse("").toLowerCase(Locale.ROOT)
                : aside.sheet().isPresent() ? "" : step(shown, shown.position()) + channel(shown.seenAfter());
    }

    private void byHand(Shown shown, SheetFrame hand, boolean areMarksShown) {
        boolean isStep = shown.operation().isPresent();
        boolean isWhole = bench.hand().isWhole();
        Check check = bench.hand().check();
        int answers = isWhole ? shown.answers() * shown.seenAfter().orElseThrow().faces().size() : shown.answers();
        hand.setCaption(isWhole ? "" : channel(shown.seenAfter()).replace(", ", ""));
        hand.setHint(isStep ? "" : shown.position() < 0 ? "Select a step to enter your own values for its result here."
                : shown.after().isPresent() ? "The step is off. Switch it on to enter values by hand." : " ");
        hand.setSubtitle(!isStep ? " " : check.filled() == 0 ? isWhole ? "type three numbers, or 0xRRGGBB" : "type, paste a table, or open a file"
                : areMarksShown ? Words.counts(check, answers) : check.filled() + " filled, marks hidden");
    }

    /** The channel that is looked at, where one is. */
    private String channel(Optional<Seen> seen) {
        return seen.filter(found -> found.isByComponent() || found.hasColor() && !bench.looking().isWhole()).map(found -> ", " + found.name(bench.shown().channel())).orElse("");
    }

    /** A step by its number and title, or by its number alone where both do not fit over a sheet. */
    private static String step(Shown shown, int position) {
        if (position < 0) {
            return "image";
        }
        String title = shown.steps().get(position).link().step().type().title();
        return title.length() > LONGEST_TITLE ? "step " + (position + 1) : position + 1 + " · " + title;
    }
}
