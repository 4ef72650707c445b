/**
 * The number grid: sheets of squared paper that move as one.
 *
 * <p>{@link pixeron.app.sheet.Viewport} says which part of the image is seen and how large; every
 * {@link pixeron.app.sheet.Sheet} draws only that part, {@link pixeron.app.sheet.ImagePainter} samples and
 * {@link pixeron.app.sheet.HandPainter} the person's values; {@link pixeron.app.sheet.CellEditor} takes their typing.
 */
package pixeron.app.sheet;
