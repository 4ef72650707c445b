package pixeron.help.figure;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.step.Mapping;
import pixeron.step.Source;

/** One part of a figure, with a title above it. */
public sealed interface Part {

    /** Returns what is above it. */
    String title();

    /**
     * An image, with numbers where they fit.
     *
     * @param result an image or a spectrum
     * @param picked the pixel with a frame
     * @param window the cells that its value is calculated from, on the input; empty for none
     * @param marked a marked rectangle
     * @param written so many pixels of it are shown, row by row; the rest is covered, as in a walk
     */
    record Cells(String title, Result result, Optional<Pixel> picked, List<Source> window, Optional<Area> marked, int written) implements Part {

        public Cells {
            window = List.copyOf(window);
        }

        static Cells of(String title, Result result) {
            return new Cells(title, result, Optional.empty(), List.of(), Optional.empty(), Integer.MAX_VALUE);
        }

        Cells picking(int row, int column) {
            return new Cells(title, result, Optional.of(new Pixel(row, column)), window, marked, written);
        }

        Cells under(List<Source> cells) {
            return new Cells(title, result, picked, cells, marked, written);
        }

        Cells marking(Area area) {
            return new Cells(title, result, picked, window, Optional.of(area), written);
        }

        Cells upTo(int pixels) {
            return new Cells(title, result, picked, window, marked, pixels);
        }

        /** Returns the channels one after another, without alpha, each as an image. */
        List<Part> channels() {
            return result.faces().stream().limit(3).<Part>map(face -> of(capital(face.name()), face.image())).toList();
        }

        private static String capital(String name) {
            return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
        }
    }

    /**
     * Values by hand.
     *
     * @param sheet the values
     * @param check what is found about each
     * @param rows of the result beside it
     * @param columns of the result beside it
     */
    record ByHand(String title, HandSheet sheet, Check check, int rows, int columns) implements Part {
    }

    /**
     * A histogram, of an image or before and after a step.
     *
     * @param isCumulative whether a line shows the cumulative counts
     */
    record Counts(String title, Optional<Histogram> before, Optional<Histogram> after, boolean isCumulative) implements Part {
    }

    /** The curve of a step, with the histograms along its axes. */
    record Curve(String title, Mapping mapping, Histogram before, Histogram after) implements Part {
    }
}
