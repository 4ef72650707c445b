package pixeron.step.geometry;

import java.util.List;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Footprint;
import pixeron.working.Line;
import pixeron.working.LoopWriter;

/** Which cells of the image before a value is made of. */
interface Cells {

    /** Returns the cells, row by row; they may lie outside. */
    List<Reading.Cell> at(Pixel result);

    /** Returns what lies under the pixel. */
    Footprint footprint(Pixel result);

    /** Returns the lines that lead to the cells. */
    List<Line> work(Pixel result);

    /**
     * Returns the lines that lead from them to the value.
     *
     * @param cells what is read in each cell, in their order
     */
    List<Line> sum(Pixel result, List<Value> cells);

    /** Goes through the loop that leads to the value, which is called s. */
    void follow(Pixel result, List<Value> cells, LoopWriter out);

    /**
     * Returns the place of the result that lies nearest to it, in rows and columns.
     *
     * @param before a pixel of the image before
     */
    double[] back(Pixel before);
}
