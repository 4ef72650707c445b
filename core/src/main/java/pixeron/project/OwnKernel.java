package pixeron.project;

import java.util.ArrayList;
import java.util.List;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.kernel.Kernel;

/**
 * A kernel that a user keeps under a name.
 *
 * @param name its name
 * @param line the line of its step
 */
public record OwnKernel(String name, String line) {

    /**
     * Returns line.
     *
     * @throws PixeronException if it is not the line of a kernel
     */
    public static String requireKernel(String line) {
        Step step = StepLine.parse(line);
        if (!(step.type() instanceof Kernel)) {
            throw PixeronException.of("\"%s\" is not a kernel", Decimals.shortened(line));
        }
        return line;
    }

    /** Returns the step. */
    public Step step() {
        return StepLine.parse(line);
    }

    /** Returns others with this at the end; one with the same name is omitted. */
    public List<OwnKernel> in(List<OwnKernel> others) {
        List<OwnKernel> all = new ArrayList<>(others);
        all.removeIf(other -> other.name.equals(name));
        all.add(this);
        return all;
    }
}
