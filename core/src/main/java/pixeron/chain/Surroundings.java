package pixeron.chain;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import pixeron.image.Result;
import pixeron.step.Inputs;

/**
 * What all steps of a chain have around them.
 *
 * @param images other images that steps may name, in their order
 * @param mostPixels more than these no result may have
 */
record Surroundings(Map<String, Result> images, long mostPixels) {

    static final Surroundings NONE = new Surroundings(Map.of(), Inputs.MOST_PIXELS);

    Surroundings {
        images = Collections.unmodifiableMap(new LinkedHashMap<>(images));
    }

    Surroundings with(Map<String, Result> others) {
        return new Surroundings(others, mostPixels);
    }

    Surroundings withMostPixels(long most) {
        return new Surroundings(images, most);
    }
}
