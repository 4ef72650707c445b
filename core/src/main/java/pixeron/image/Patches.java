package pixeron.image;

import java.util.List;
import java.util.stream.IntStream;

/** Level images put together of rectangles of others, which are copied row by row. */
public final class Patches {

    private Patches() {
    }

    /**
     * A rectangle of an image and where its first pixel lies.
     *
     * @param row of any sign; what falls outside is omitted
     * @param column likewise
     */
    public record Patch(Image image, Area part, int row, int column) {

        /** Returns whole image at a place. */
        public static Patch all(Image image, int row, int column) {
            return new Patch(image, Area.all(image), row, column);
        }
    }

    /**
     * Combines images.
     *
     * @param patches level images with no level above that of the frame; later ones lie over earlier ones, and together they leave
     *     nothing free
     */
    public static Image of(Frame frame, List<Patch> patches) {
        byte[] bytes = frame.maximumLevel() <= Image.BYTE_MAXIMUM ? new byte[frame.count()] : null;
        char[] words = bytes == null ? new char[frame.count()] : null;
        IntStream.range(0, frame.rows()).parallel().forEach(i -> {
            for (Patch patch : patches) {
                if (i >= patch.row && i - patch.row < patch.part.height()) {
                    int left = Math.max(0, patch.column);
                    long right = Math.min(frame.columns(), (long) patch.column + patch.part.width());
                    int from = (i - patch.row + patch.part.row()) * patch.image.columns() + patch.part.column() + left - patch.column;
                    int at = i * frame.columns() + left;
                    if (right > left) {
                        copy(patch.image, from, bytes, words, at, (int) (right - left));
                    }
                }
            }
        });
        return new Image(frame.rows(), frame.columns(), frame.maximumLevel(), bytes != null ? new ByteSamples(bytes) : new WordSamples(words));
    }

    private static void copy(Image image, int from, byte[] bytes, char[] words, int at, int length) {
        if (bytes != null) {
            System.arraycopy(((ByteSamples) image.samples()).bytes(), from, bytes, at, length);
        } else if (image.samples() instanceof WordSamples samples) {
            System.arraycopy(samples.words(), from, words, at, length);
        } else {
            byte[] in = ((ByteSamples) image.samples()).bytes();
            for (int n = 0; n < length; n++) {
                words[at + n] = (char) (in[from + n] & 0xFF);
            }
        }
    }
}
