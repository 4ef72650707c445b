package pixeron.byhand.colour;

import java.util.List;
import pixeron.image.ColourImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Explained;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * The faces of a result beside each other, red, green, blue and perhaps alpha, as one sheet with as many times the columns: so
 * that the check and the search for slips go over all of them at once.
 */
public final class Abreast implements Explained {

    private final Bound bound;
    private final ColourImage before;
    private final ColourImage after;
    private final List<Result.Face> faces;

    /**
     * @param before what the step is applied to
     * @param after its result
     */
    public Abreast(Bound bound, ColourImage before, ColourImage after) {
        this.bound = bound;
        this.before = before;
        this.after = after;
        this.faces = after.faces();
    }

    public Bound bound() {
        return bound;
    }

    public ColourImage before() {
        return before;
    }

    public ColourImage after() {
        return after;
    }

    @Override
    public Frame frame() {
        return new Frame(after.rows(), after.columns() * faces.size(), after.maximumLevel());
    }

    /** @return the place of a face's pixel on the sheet */
    public Pixel place(String face, Pixel pixel) {
        return new Pixel(pixel.row(), pixel.column() + after.columns() * faces.stream().map(Result.Face::name).toList().indexOf(face));
    }

    /** @return the name of the face that a place of the sheet belongs to */
    public String face(Pixel place) {
        return faces.get(place.column() / after.columns()).name();
    }

    /** @return the pixel of the face that a place of the sheet belongs to */
    public Pixel pixel(Pixel place) {
        return new Pixel(place.row(), place.column() % after.columns());
    }

    private Image image(Pixel place) {
        return faces.get(place.column() / after.columns()).image();
    }

    @Override
    public Value exact(Pixel place) {
        return bound.face(face(place)).map(found -> found.exact(pixel(place))).orElseGet(() -> value(place));
    }

    @Override
    public Value value(Pixel place) {
        return image(place).value(pixel(place));
    }

    @Override
    public Working explain(Pixel place) {
        return bound.face(face(place)).map(found -> found.explain(pixel(place))).orElseGet(() -> new Working(face(place) + ", "
                + pixel(place), List.of(Line.of(face(place), Run.after(Decimals.working(value(place))), Run.note("   as it is"))),
                value(place), value(place)));
    }

    @Override
    public void follow(Pixel place, LoopWriter out) {
        bound.face(face(place)).ifPresentOrElse(found -> found.follow(pixel(place), out), () ->
                out.set("after[i][j]", value(place)).line(0, "after[i][j] ← before[i][j]"));
    }
}
