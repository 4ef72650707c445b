/**
 * The number grid: sheets of squared paper that move as one.
 *
 * <p>{@link pixeron.app.sheet.paint.Viewport} says which part of the image is seen and how large; every
 * {@link pixeron.app.sheet.Sheet} draws only that part, {@link pixeron.app.sheet.paint.ImagePainter} samples and
 * {@link pixeron.app.sheet.paint.HandPainter} the user's values; {@link pixeron.app.sheet.CellEditor} takes their typing.
 */
package pixeron.app.sheet;

import pixeron.app.sheet.paint.HandPainter;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Viewport;

