package pixeron.app.bench.walk;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Shown;
import pixeron.app.model.Walking;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.paint.CoverPainter;
import pixeron.app.sheet.paint.Extent;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Look;
import pixeron.app.sheet.paint.OverwrittenPainter;
import pixeron.app.sheet.paint.Painter;
import pixeron.app.sheet.paint.WindowPainter;
import pixeron.app.theme.Theme;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Source;
import pixeron.walk.Mistake;
import pixeron.walk.PseudoCode;
import pixeron.walk.Walk;

/** What a walk puts over the sheets: the window of the picked pixel on Before, hatched paper over After. */
public final class WalkSheets {

    private final Bench bench;
    private final Theme theme;
    private final Sheet before;
    private final Sheet after;
    private final Sheet byHand;
    private Described painted;
    private Display paintedIn;
    private ImagePainter mistakePainter;

    /**
     * Connects the walk with the sheets whose cells it highlights.
     *
     * @param before the sheet that is read
     * @param after the sheet that is written
     * @param byHand the sheet of the user; while they guess, what they wrote before is covered as well
     */
    public WalkSheets(Bench bench, Theme theme, Sheet before, Sheet after, Sheet byHand) {
        this.byHand = byHand;
        this.bench = bench;
        this.theme = theme;
        this.before = before;
        this.after = after;
        bench.walking().walkProperty().subscribe(walk -> render());
        bench.walking().mistakeProperty().subscribe(found -> render());
        bench.walking().guessingProperty().subscribe(isOn -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
        bench.pickedProperty().subscribe(pixel -> render());
        bench.shownProperty().subscribe(shown -> render());
    }

    private void render() {
        Walking walking = bench.walking();
        Shown shown = bench.shown();
        Walk walk = walking.walk();
        Painter cover = walk == null || shown == null ? null : withHoles(new CoverPainter(walk::isWritten, walk.current(),
                walk.visits().rows(), walk.visits().columns(), theme));
        after.setOver(shown == null || !bench.looking().isAlone() || cover != null && !bench.isWithheld() ? cover
                : new CoverPainter(pixel -> !bench.isCovered(pixel), bench.pickedProperty().get(), shown.grid().rows(),
                        shown.grid().columns(), theme));
        byHand.setOver(walking.guessingProperty().get() ? cover : null);
        before.setOver(shown == null ? null : window(shown, walking).orElse(null));
    }

    /** Places that the mistake never writes to stay covered. */
    private Painter withHoles(Painter cover) {
        return bench.walking().made().filter(made -> made.kind() == Mistake.Kind.FORWARDS).<Painter>map(made -> new Both(CoverPainter.holes(
                made::isWritten, made.frame().rows(), made.frame().columns(), theme), cover)).orElse(cover);
    }

    private Optional<Painter> window(Shown shown, Walking walking) {
        Pixel picked = bench.pickedProperty().get();
        // Who writes forwards reads each pixel alone.
        boolean isForwards = walking.made().filter(made -> made.kind() == Mistake.Kind.FORWARDS).isPresent();
        List<Source> places = shown.operation()
                .filter(operation -> !isForwards && operation.contains(picked) && !bench.goneProperty().get())
                .filter(operation -> !operation.isSpread()).map(operation -> operation.sources(picked)).filter(WalkSheets::isMoreThanPicked).orElse(List.of());
        int taken = walking.isOn() && walking.moment() != Walk.ALL
                ? walking.code().map((PseudoCode code) -> code.cells(walking.moment())).orElse(0) : places.size();
        Optional<Painter> window = places.isEmpty() ? Optional.empty()
                : Optional.of(new WindowPainter(places, taken, shown.operation().filter(Operation::isMoving).isPresent(), theme));
        Described mistake = walking.mistakeProperty().get();
        if (!walking.isOn() || mistake == null || walking.made().filter(made -> made.kind() == Mistake.Kind.IN_PLACE).isEmpty()) {
            return window;
        }
        Walk walk = walking.walk();
        Painter overwritten = new OverwrittenPainter(painter(mistake), walk::isWritten, walk.visits().rows(),
                walk.visits().columns());
        return Optional.of(window.<Painter>map(frames -> new Both(overwritten, frames)).orElse(overwritten));
    }

    /** One pixel that is taken as it is wears the frame of the picked pixel already. */
    private static boolean isMoreThanPicked(List<Source> sources) {
        return sources.size() > 1 || !sources.isEmpty() && !sources.get(0).isInside();
    }

    /** From pixel to pixel the same drawing is used; its colors are not calculated anew. */
    private ImagePainter painter(Described mistake) {
        Display display = bench.looking().display();
        if (mistakePainter == null || mistake != painted || !display.equals(paintedIn)) {
            painted = mistake;
            paintedIn = display;
            mistakePainter = new ImagePainter(mistake, new Look(display, Optional.empty()), theme);
        }
        return mistakePainter;
    }

    private record Both(Painter below, Painter above) implements Painter {

        @Override
        public void paint(GraphicsContext graphics, Extent extent) {
            below.paint(graphics, extent);
            above.paint(graphics, extent);
        }

        @Override
        public String describe(Pixel pixel) {
            return above.describe(pixel).isEmpty() ? below.describe(pixel) : above.describe(pixel);
        }
    }
}
