/**
 * Reading and writing images: pictures, Netpbm, number tables.
 *
 * <p>{@link pixeron.format.ImageFiles} is the door: it tells the format from the file's content when reading and from
 * the ending when writing. A new format is one reader or writer class and one line there.
 */
package pixeron.format;
