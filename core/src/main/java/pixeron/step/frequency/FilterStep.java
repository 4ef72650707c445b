package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.image.Frame;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Profile;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.WholeType;

/** A step that multiplies every coefficient of a spectrum, a coefficient and its conjugate alike. */
abstract class FilterStep extends NamedStep implements WholeType {

    FilterStep(String name, String title, String sentence) {
        super(name, title, sentence);
    }

    /** Returns what coefficients of a spectrum of this size are multiplied with. */
    abstract Filter filter(Step step, Spectrum before);

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public boolean takes(Result before) {
        return before instanceof Spectrum;
    }

    @Override
    public Bound whole(Step step, Inputs inputs) {
        Spectrum before = inputs.spectrum(this);
        Filter filter = filter(step, before);
        return new SpectrumOperation(step, inputs, progress -> before.times(filter::factor), (face, after) ->
                new FilterFace(step, inputs, face, after, filter));
    }

    /** Returns the factor by the distance from frequency zero; empty where it depends on more. */
    Optional<Profile> profile(Step step, Frame frame) {
        return Optional.empty();
    }

    /** Returns slips that only such steps can have. */
    abstract List<Slip> ownSlips();

    @Override
    public List<Slip> slips() {
        List<Slip> all = new ArrayList<>(ownSlips());
        all.add(SpectrumSlips.NOT_CENTERED);
        return all;
    }
}
