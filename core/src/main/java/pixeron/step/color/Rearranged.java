package pixeron.step.color;

import java.util.List;
import java.util.Optional;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Result;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;

/**
 * A step whose faces are taken over from elsewhere as they are.
 *
 * @param made its result
 * @param from what each face is taken from, in the order of the faces
 */
record Rearranged(Step step, ColorImage made, List<String> from) implements Bound {

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
        return made.face(name).map(image -> AsItIs.of(image, from.get(faces().indexOf(name))));
    }

    @Override
    public List<String> faces() {
        return made.faces().stream().map(Result.Face::name).toList();
    }
}
