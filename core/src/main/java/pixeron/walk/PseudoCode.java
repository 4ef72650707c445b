package pixeron.walk;

import java.util.ArrayList;
import java.util.List;
import pixeron.image.Pixel;
import pixeron.step.Explained;
import pixeron.working.Loop;
import pixeron.working.LoopWriter;
import pixeron.working.Moment;

/**
 * The loops of a step over all pixels in plain words, and what is done in them for one pixel, made by the step itself.
 *
 * @param lines all lines: first those that visit the pixels, then what is done for each
 * @param heads how many of them visit the pixels
 * @param moments what is done for this pixel, line by line; their rows count all lines
 * @param pixel the pixel
 */
public record PseudoCode(List<Loop.Row> lines, int heads, List<Moment> moments, Pixel pixel) {

    public PseudoCode {
        lines = List.copyOf(lines);
        moments = List.copyOf(moments);
    }

    /**
     * Creates the loops of a step.
     *
     * @throws pixeron.PixeronException if the pixel has no value
     */
    public static PseudoCode of(Explained explained, Visits visits, Pixel pixel) {
        LoopWriter out = new LoopWriter();
        explained.follow(pixel, out);
        List<String> heads = explained instanceof Mistake mistake ? mistake.heads(visits) : visits.heads();
        List<Loop.Row> lines = new ArrayList<>();
        for (int n = 0; n < heads.size(); n++) {
            lines.add(new Loop.Row(n, heads.get(n)));
        }
        out.loop().rows().forEach(row -> lines.add(new Loop.Row(row.depth() + heads.size(), row.text())));
        List<Moment> moments = out.moments().stream().map(moment ->
                new Moment(moment.row() + heads.size(), moment.variables(), moment.cells())).toList();
        return new PseudoCode(lines, heads.size(), moments, pixel);
    }

    /**
     * Returns the line that was done last; the last head when none was.
     *
     * @param done how many moments are done; beyond the last all
     */
    public int line(int done) {
        return done == 0 ? heads - 1 : moments.get(Math.min(done, moments.size()) - 1).row();
    }

    /** Returns what the variables hold then, i and j first. */
    public List<Moment.Variable> variables(int done) {
        List<Moment.Variable> all = new ArrayList<>(List.of(
                new Moment.Variable("i", Integer.toString(pixel.row())),
                new Moment.Variable("j", Integer.toString(pixel.column()))));
        if (done > 0) {
            all.addAll(moments.get(Math.min(done, moments.size()) - 1).variables());
        }
        return all;
    }

    /** Returns how many cells of the window were taken then. */
    public int cells(int done) {
        return done == 0 ? 0 : moments.get(Math.min(done, moments.size()) - 1).cells();
    }
}
