package pixeron.step.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;

/**
 * A step whose result is put together of components that are each calculated.
 *
 * @param operations how each is calculated, by name, in order
 * @param together makes the result of their images
 */
record Converted(Step step, Frame frame, Map<String, Operation> operations, Function<List<Image>, Result> together) implements Bound {

    @Override
    public Result result(Progress progress) {
        List<Image> made = new ArrayList<>();
        for (Operation operation : operations.values()) {
            double done = made.size();
            made.add(operation.result(part -> progress.isWanted((done + part) / operations.size())));
        }
        return together.apply(made);
    }

    @Override
    public List<String> faces() {
        return List.copyOf(operations.keySet());
    }

    @Override
    public Optional<Operation> face(String name) {
        return Optional.ofNullable(operations.get(name));
    }
}
