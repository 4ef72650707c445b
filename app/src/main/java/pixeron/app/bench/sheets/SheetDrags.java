package pixeron.app.bench.sheets;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.input.MouseEvent;
import pixeron.PixeronException;
import pixeron.app.model.Bench;
import pixeron.app.model.Selection;
import pixeron.app.model.Tool;
import pixeron.app.sheet.Drag;
import pixeron.image.Area;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.Segment;
import pixeron.make.Brush;
import pixeron.make.Drawing;

/** What dragging on a sheet does with the chosen tool: marks a rectangle or a line, or draws into the image. */
public final class SheetDrags {

    private final Bench bench;
    private final Supplier<String> level;
    private final Consumer<String> trouble;
    private int strokes;

    /**
     * @param level the text of the level to draw with
     * @param trouble told in one line when drawing is not possible
     */
    SheetDrags(Bench bench, Supplier<String> level, Consumer<String> trouble) {
        this.bench = bench;
        this.level = level;
        this.trouble = trouble;
    }

    /** Returns what a drag that begins now does; null: it moves the image. */
    Drag begin(MouseEvent event) {
        if (bench.walking().drawingPathProperty().get()) {
            return new Path();
        }
        Tool tool = event.isShiftDown() ? Tool.RECTANGLE : bench.looking().toolProperty().get();
        return switch (tool) {
            case MOVE -> null;
            case RECTANGLE -> this::markRectangle;
            case LINE -> (from, to, isEnd) -> mark(Selection.line(from, to), to);
            case PENCIL, DRAW_LINE, DRAW_RECTANGLE, FILL -> drawing(tool);
        };
    }

    private void markRectangle(Pixel from, Pixel to, boolean isEnd) {
        mark(Selection.rectangle(from, to), to);
    }

    private void mark(Selection selection, Pixel at) {
        bench.mark(selection);
        bench.pick(at);
    }

    private Drag drawing(Tool tool) {
        try {
            Result on = bench.project().chain().input();
            return new Stroke(tool, Brush.of(level.get(), on), on);
        } catch (PixeronException noLevel) {
            trouble.accept(noLevel.getMessage());
            return null;
        }
    }

    /** A path for the walk: every pixel that the pointer comes over, in order. */
    private final class Path implements Drag {

        private final List<Pixel> pixels = new ArrayList<>();

        @Override
        public void to(Pixel from, Pixel to, boolean isEnd) {
            Pixel last = pixels.isEmpty() ? from : pixels.get(pixels.size() - 1);
            // The pointer may have jumped over pixels since the last event.
            pixels.addAll(new Segment(last, to).pixels());
            mark(Selection.line(from, to), to);
            if (isEnd) {
                bench.mark(null);
                bench.walking().begin(pixels);
            }
        }
    }

    /** One stroke, from pressing to letting go, is undone as one. */
    private final class Stroke implements Drag {

        private final Tool tool;
        private final Brush brush;
        private final Result beginning;
        private final String key = "stroke " + strokes++;
        private Pixel last;

        Stroke(Tool tool, Brush brush, Result beginning) {
            this.tool = tool;
            this.brush = brush;
            this.beginning = beginning;
        }

        @Override
        public void to(Pixel from, Pixel to, boolean isEnd) {
            if (!to.equals(last)) {
                Pixel previous = last == null ? from : last;
                last = to;
                bench.pick(to);
                if (tool == Tool.FILL) {
                    fill(from, previous);
                } else {
                    bench.draw(key, on -> drawn(on, from, previous, to));
                }
            }
            if (isEnd) {
                bench.past().endMerge();
            }
        }

        /** Only where the pointer was pressed; dragging on fills nothing more. */
        private void fill(Pixel from, Pixel previous) {
            if (from.equals(previous) && last.equals(from)) {
                bench.drawSlowly(on -> {
                    int[] region = Drawing.connected(on, from);
                    return brush.draw(on, (image, value) -> image.with(region, value));
                });
            }
        }

        private Result drawn(Result on, Pixel from, Pixel previous, Pixel to) {
            return switch (tool) {
                // The pointer may have jumped over pixels since the last event.
                case PENCIL -> brush.draw(on, (image, value) -> Drawing.line(image, new Segment(previous, to), value));
                case DRAW_LINE -> brush.draw(beginning, (image, value) -> Drawing.line(image, new Segment(from, to), value));
                default -> brush.draw(beginning, (image, value) -> Drawing.rectangle(image, Area.between(from, to), value));
            };
        }
    }
}
