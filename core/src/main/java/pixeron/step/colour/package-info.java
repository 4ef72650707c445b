/**
 * Steps and colour images: {@link pixeron.step.colour.Binding} binds a step to a result of any kind, channel by channel where
 * the result has colour; {@code gray} and {@code swap} take a colour image whole.
 */
package pixeron.step.colour;

