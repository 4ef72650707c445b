/**
 * The lines of a calculation, and how they are written: as text, LaTeX and HTML.
 *
 * <p>A {@link pixeron.working.Working} is made once by the step that explains a value; the window and every written
 * form render that same object, so they cannot disagree.
 */
package pixeron.working;
