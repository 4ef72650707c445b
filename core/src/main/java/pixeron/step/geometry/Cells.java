package pixeron.step.geometry;

import java.util.List;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Footprint;
import pixeron.working.Line;
import pixeron.working.LoopWriter;

/** Which cells of the image before a value is made of. */
interface Cells {

    /** @return the cells, row by row; they may lie outside */
    List<Reading.Cell> at(Pixel result);

    /** @return what lies under the pixel */
    Footprint footprint(Pixel result);

    /** @return the lines that lead to the cells */
    List<Line> work(Pixel result);

    /**
     * @param cells what is read in each cell, in their order
     * @return the lines that lead from them to the value
     */
    List<Line> sum(Pixel result, List<Value> cells);

    /** Goes through the loop that leads to the value, which is called s. */
    void follow(Pixel result, List<Value> cells, LoopWriter out);

    /**
     * @param before a pixel of the image before
     * @return the place of the result that lies nearest to it, in rows and columns
     */
    double[] back(Pixel before);
}
