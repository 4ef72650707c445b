package pixeron.make;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.function.IntPredicate;
import pixeron.PixeronException;
import pixeron.format.CellTable;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.Segment;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/** Drawing values into an image: each is a new image, the old one stays as it is. */
public final class Drawing {

    private Drawing() {
    }

    /** Returns the image with one pixel set. */
    public static Image dot(Image image, Pixel pixel, Value value) {
        return image.with(new int[] {image.offset(pixel)}, value);
    }

    /**
     * Returns the image with the pixels of a line set.
     *
     * @param segment both ends inside image
     */
    public static Image line(Image image, Segment segment, Value value) {
        return image.with(segment.pixels().stream().mapToInt(image::offset).toArray(), value);
    }

    /**
     * Returns the image with all pixels of a rectangle set.
     *
     * @param area inside image
     */
    public static Image rectangle(Image image, Area area, Value value) {
        area.requireInside(image);
        int[] offsets = new int[area.count()];
        for (int n = 0; n < offsets.length; n++) {
            offsets[n] = (area.row() + n / area.width()) * image.columns() + area.column() + n % area.width();
        }
        return image.with(offsets, value);
    }

    /**
     * Fills what hangs together: from the pixel on over neighbors above, below, left and right with the same value.
     *
     * <p>Cost: each pixel of the filled part is looked at once from every side.
     */
    public static Image fill(Image image, Pixel pixel, Value value) {
        return image.with(connected(image, pixel), value);
    }

    /**
     * Finds the 4-connected region around a pixel in which all samples are the same, in every channel of a color image.
     *
     * @return its offsets, row-major
     */
    public static int[] connected(Result result, Pixel pixel) {
        Image image = result.faces().get(0).image();
        int start = image.offset(pixel);
        List<IntPredicate> same = result.faces().stream().<IntPredicate>map(face -> isSame(face.image(), start)).toList();
        IntPredicate isSame = n -> same.stream().allMatch(channel -> channel.test(n));
        BitSet reached = new BitSet(image.count());
        // A stack of offsets: the order in which pixels are reached makes no difference.
        int[] open = new int[64];
        int count = 1;
        open[0] = start;
        reached.set(start);
        while (count > 0) {
            int at = open[--count];
            int column = at % image.columns();
            int[] neighbors = {at - image.columns(), at + image.columns(), column > 0 ? at - 1 : -1,
                column < image.columns() - 1 ? at + 1 : -1};
            for (int next : neighbors) {
                if (next >= 0 && next < image.count() && !reached.get(next) && isSame.test(next)) {
                    reached.set(next);
                    open = count == open.length ? Arrays.copyOf(open, 2 * count) : open;
                    open[count++] = next;
                }
            }
        }
        return reached.stream().toArray();
    }

    private static IntPredicate isSame(Image image, int start) {
        return image.isLevelImage() ? n -> image.level(n) == image.level(start) : n -> image.value(n).compareValue(image.value(start)) == 0;
    }

    /**
     * Returns the image with the block written into it.
     *
     * @param corner where the first cell goes, inside image
     * @param block numbers; blank cells leave their pixel as it is
     * @throws PixeronException if a cell is no number or the block reaches beyond the image; names it
     */
    public static Image paste(Image image, Pixel corner, CellTable block) {
        List<List<String>> rows = block.trimmed().rows();
        int width = rows.stream().mapToInt(List::size).max().orElse(0);
        if (corner.row() + rows.size() > image.rows() || corner.column() + width > image.columns()) {
            throw PixeronException.of("A block of %d × %d cells that begins at %s does not fit into %d × %d.",
                    rows.size(), width, corner, image.rows(), image.columns());
        }
        Value[] values = new Value[image.count()];
        Arrays.setAll(values, image::value);
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.get(i).size(); j++) {
                String cell = rows.get(i).get(j);
                if (!cell.isBlank()) {
                    values[(corner.row() + i) * image.columns() + corner.column() + j] = number(cell, i, j);
                }
            }
        }
        return Image.from(image.rows(), image.columns(), image.maximumLevel(), values);
    }

    private static Rational number(String cell, int row, int column) {
        if (!Decimals.isNumber(cell)) {
            throw PixeronException.of("Row %d, column %d (counted from 0) of the block: \"%s\" is not a number.",
                    row, column, Decimals.shortened(cell));
        }
        return Decimals.parse(cell);
    }
}
