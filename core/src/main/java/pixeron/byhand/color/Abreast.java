package pixeron.byhand.color;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pixeron.byhand.HandSheet;
import pixeron.image.Components;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.color.WholePixel;
import pixeron.working.LoopWriter;
import pixeron.working.Working;

/**
 * The faces of a result beside each other, red, green, blue and perhaps alpha, as one sheet with as many times the columns: so
 * that the check and the search for slips go over all of them at once.
 */
public final class Abreast implements Explained {

    private final Bound bound;
    private final Result before;
    private final Components after;
    private final List<Result.Face> faces;
    private final int columns;

    /**
     * Places the channels of a color result beside each other.
     *
     * @param before what the step is applied to
     * @param after its result
     */
    public Abreast(Bound bound, Result before, Components after) {
        this.bound = bound;
        this.before = before;
        this.after = after;
        this.faces = after.inCells();
        this.columns = after.frame().columns();
    }

    public Bound bound() {
        return bound;
    }

    public Result before() {
        return before;
    }

    public Components after() {
        return after;
    }

    /** Returns the whole calculation of its pixels, over all faces. */
    public WholePixel whole() {
        return new WholePixel(bound, before, after, true);
    }

    @Override
    public Frame frame() {
        return after.frame().sized(after.frame().rows(), columns * faces.size());
    }

    /** Returns the place of a face's pixel on the sheet. */
    public Pixel place(String face, Pixel pixel) {
        return new Pixel(pixel.row(), pixel.column() + columns * faces.stream().map(Result.Face::name).toList().indexOf(face));
    }

    /** Returns the name of the face that a place of the sheet belongs to. */
    public String face(Pixel place) {
        return faces.get(place.column() / columns).name();
    }

    /** Returns the pixel of the face that a place of the sheet belongs to. */
    public Pixel pixel(Pixel place) {
        return new Pixel(place.row(), place.column() % columns);
    }

    /** Returns what was written on the sheet of all faces, as a sheet for each of them by its name. */
    public Map<String, HandSheet> apart(HandSheet sheet) {
        Map<String, Map<Pixel, String>> texts = new LinkedHashMap<>();
        sheet.cells().forEach((place, written) -> texts.computeIfAbsent(face(place), name -> new HashMap<>()).put(pixel(place), written.text()));
        Map<String, HandSheet> sheets = new LinkedHashMap<>();
        texts.forEach((name, cells) -> sheets.put(name, HandSheet.EMPTY.with(cells)));
        return sheets;
    }

    private Operation operation(Pixel place) {
        return bound.face(face(place)).orElseThrow();
    }

    private Image image(Pixel place) {
        return faces.get(place.column() / columns).image();
    }

    @Override
    public Value exact(Pixel place) {
        return operation(place).exact(pixel(place));
    }

    @Override
    public Value value(Pixel place) {
        return image(place).value(pixel(place));
    }

    @Override
    public Working explain(Pixel place) {
        return operation(place).explain(pixel(place));
    }

    @Override
    public void follow(Pixel place, LoopWriter out) {
        operation(place).follow(pixel(place), out);
    }
}
