package pixeron.app.model;

import pixeron.byhand.Check;
import pixeron.chain.Link;
import pixeron.chain.Outcome;

/**
 * What is shown of one step in the list.
 *
 * @param link the step
 * @param after what came of it
 * @param check the user's values against it
 */
public record StepState(Link link, Outcome after, Check check) {
}
