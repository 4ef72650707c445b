package pixeron.step.frequency;

import java.util.List;
import pixeron.image.Frequency;
import pixeron.loop.Statement;
import pixeron.working.Line;
import pixeron.working.LoopWriter;

/** What a coefficient is multiplied with. */
interface Filter {

    /** Returns the factor, 0–1; the same for a coefficient and its conjugate. */
    double factor(Frequency at);

    /** Returns the same as a program has it, over u, v, H and W; sets factor. */
    List<Statement> statements();

    /** Returns the lines that lead to the factor. */
    List<Line> work(Frequency at);

    /** Goes through the loop that leads to the factor, which is called factor. */
    void loop(Frequency at, LoopWriter out);
}
