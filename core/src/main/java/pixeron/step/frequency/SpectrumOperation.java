package pixeron.step.frequency;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.image.Frame;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.step.Bound;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;

/** A step whose result is a spectrum. It is calculated once for all its faces. */
final class SpectrumOperation implements Bound {

    /** Makes one face. */
    @FunctionalInterface
    interface Faces {
        FaceOperation of(SpectrumFace face, Supplier<Spectrum> after);
    }

    private final Step step;
    private final Frame frame;
    private final Function<Progress, Spectrum> making;
    private final Map<SpectrumFace, Operation> faces = new EnumMap<>(SpectrumFace.class);
    private Spectrum made;

    /**
     * @param making calculates the result
     * @param each how each of its faces is calculated
     */
    SpectrumOperation(Step step, Inputs inputs, Function<Progress, Spectrum> making, Faces each) {
        this.step = step;
        this.frame = inputs.before().frame();
        this.making = making;
        for (SpectrumFace face : SpectrumFace.values()) {
            faces.put(face, each.of(face, () -> result(Progress.NONE)));
        }
    }

    @Override
    public Step step() {
        return step;
    }

    @Override
    public Frame frame() {
        return frame;
    }

    @Override
    public synchronized Spectrum result(Progress progress) {
        if (made == null) {
            made = making.apply(progress);
        }
        return made;
    }

    @Override
    public List<String> faces() {
        return Arrays.stream(SpectrumFace.values()).map(SpectrumFace::word).toList();
    }

    @Override
    public Optional<Operation> face(String name) {
        return SpectrumFace.named(name).map(faces::get);
    }
}
