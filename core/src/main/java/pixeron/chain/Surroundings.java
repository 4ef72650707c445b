package pixeron.chain;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalInt;
import pixeron.PixeronException;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Reference;

/**
 * What all steps of a chain have around them.
 *
 * @param others other images that steps may name, in their order, with their own steps
 * @param mostPixels more than these no result may have
 */
record Surroundings(Map<String, Chain> others, long mostPixels) {

    static final Surroundings NONE = new Surroundings(Map.of(), Inputs.MOST_PIXELS);

    Surroundings {
        others = Collections.unmodifiableMap(new LinkedHashMap<>(others));
    }

    /** Returns which image a reference names, and which of its steps. A name that is given as it is, such as a path, comes before a name with a step. */
    Reference.OfOther named(String reference) {
        return others.containsKey(reference) ? new Reference.OfOther(reference, OptionalInt.empty()) : Reference.other(reference);
    }

    /**
     * Returns what a reference to another image means.
     *
     * @throws PixeronException if there is no such image, or it has no such result
     */
    Result other(String reference, Progress progress) {
        Reference.OfOther named = named(reference);
        Chain other = others.get(named.image());
        if (other == null) {
            throw PixeronException.of("There is no image %s%s.", Decimals.shortened(named.image()), others.isEmpty() ? ""
                    : ". The images are: " + String.join(", ", others.keySet()));
        }
        return other.result(named.image(), named.step().orElse(other.size()), progress);
    }

    Surroundings with(Map<String, Chain> changed) {
        return new Surroundings(changed, mostPixels);
    }

    Surroundings withMostPixels(long most) {
        return new Surroundings(others, most);
    }
}
