/** Color models: hue, saturation, value, and others, worked out from red, green and blue and back. */
package pixeron.step.model;
