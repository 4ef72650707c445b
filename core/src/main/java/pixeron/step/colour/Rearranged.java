package pixeron.step.colour;

import java.util.Optional;
import pixeron.image.ColourImage;
import pixeron.image.Frame;
import pixeron.image.Result;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;

/** A step whose faces are taken over from elsewhere as they are. */
record Rearranged(Step step, ColourImage made) implements Bound {

    @Override
    public Frame frame() {
        return made.frame();
    }

    @Override
    public Result result(Progress progress) {
        return made;
    }

    @Override
    public Optional<Operation> face(String name) {
        return Optional.empty();
    }
}
