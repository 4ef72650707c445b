/**
 * Steps and color images: {@link pixeron.step.color.Binding} binds a step to a result of any kind, channel by channel where
 * the result has color; {@code gray} and {@code swap} take a color image whole.
 */
package pixeron.step.color;

