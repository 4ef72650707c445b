package pixeron.chain;

import pixeron.step.Step;

/**
 * A step as it is in a chain.
 *
 * @param id tells it from the other steps of its chain, and stays when it is moved or changed; ≥ 1
 * @param step what it does
 * @param isOn false when it is switched off and passes its input on
 */
public record Link(int id, Step step, boolean isOn) {
}
