package pixeron.app.bench.counts;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.IntConsumer;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Plot;
import pixeron.app.model.Search;
import pixeron.app.theme.ChannelInk;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;

/** The counts of levels before and after as bars; a bar can be pointed at and picked. */
public final class HistogramPlot extends Plot {

    private static final double AXIS = 20;
    private static final double TOP = 12;
    private static final int LABELS = 4;
    private static final int FEW_BINS = 16;
    private static final double[] WHOLE_LINE = {};
    private static final double[] DASHES = {5, 3};

    /**
     * How counts are drawn.
     *
     * @param width levels in a bin
     * @param isLogarithmic bars as high as log(1 + count)
     * @param hasRunning whether a line shows the cumulative counts
     */
    public record Style(int width, boolean isLogarithmic, boolean hasRunning) {
    }

    /**
     * The counts of one channel.
     *
     * @param ink how it is drawn
     * @param counts its counts
     */
    public record Channel(ChannelInk ink, Histogram counts) {
    }

    private List<Channel> channels = List.of();
    private Optional<Histogram> counted = Optional.empty();
    private Optional<Histogram> end = Optional.empty();
    private Optional<Histogram> before = Optional.empty();
    private Optional<Histogram> after = Optional.empty();
    private final Theme theme;
    private Style style = new Style(1, false, false);
    private Optional<Search> lit = Optional.empty();
    private int pointed = -1;

    /**
     * Creates an empty histogram that reports the bin under the pointer and the bin that was picked.
     *
     * @param onPoint told the bin under the pointer, −1 for none
     * @param onPick told the bin that was picked, and whether its bar of After was
     */
    public HistogramPlot(Theme theme, IntConsumer onPoint, BiConsumer<Integer, Boolean> onPick) {
        super(theme, "plot", Insets.EMPTY);
        this.theme = theme;
        setMinSize(0, 0);
        addEventHandler(MouseEvent.MOUSE_MOVED, event -> point(binAt(event.getX()), onPoint));
        addEventHandler(MouseEvent.MOUSE_EXITED, event -> point(-1, onPoint));
        addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
            int bin = binAt(event.getX());
            if (bin >= 0) {
                onPick.accept(bin, isAfterAt(event.getX(), bin));
            }
        });
    }

    public void show(Optional<Histogram> newBefore, Optional<Histogram> newAfter, Style newStyle, Optional<Search> newLit) {
        channels = List.of();
        counted = Optional.empty();
        end = Optional.empty();
        before = newBefore;
        after = newAfter;
        style = newStyle;
        lit = newLit;
        paint();
    }

    /**
     * Shows what has been counted by hand.
     *
     * @param all what will have been counted at the end: bars grow to it without becoming smaller on the way
     */
    void showCounted(Histogram newCounted, Histogram all, Style newStyle) {
        show(Optional.empty(), Optional.empty(), newStyle, Optional.empty());
        counted = Optional.of(newCounted);
        end = Optional.of(all);
        paint();
    }

    /** Shows the counts of channels as lines over one another, each in its own style. */
    public void show(List<Channel> newChannels, Style newStyle, Optional<Search> newLit) {
        channels = List.copyOf(newChannels);
        counted = Optional.empty();
        end = Optional.empty();
        before = Optional.empty();
        after = Optional.empty();
        style = newStyle;
        lit = newLit;
        paint();
    }

    private void point(int bin, IntConsumer onPoint) {
        if (bin != pointed) {
            pointed = bin;
            onPoint.accept(bin);
            paint();
        }
    }

    private int maximum() {
        return Stream.concat(Stream.of(before, after, counted).flatMap(Optional::stream), channels.stream().map(Channel::counts))
                .mapToInt(Histogram::maximumLevel).max().orElse(0);
    }

    private int bins() {
        return maximum() / style.width() + 1;
    }

    private double slot() {
        return across() / bins();
    }

    private int binAt(double x) {
        return maximum() == 0 || x < 0 || x >= across() ? -1 : (int) (x / slot());
    }

    /** With few bins the bars stand side by side; else After is meant where only it is shown. */
    private boolean isAfterAt(double x, int bin) {
        return after.isPresent() && (before.isEmpty() || bins() <= FEW_BINS && x - bin * slot() > slot() / 2);
    }

    @Override
    protected void paint(GraphicsContext graphics, Palette palette) {
        if (maximum() == 0 || tall() < 2 * AXIS) {
            return;
        }
        if (pointed >= 0) {
            graphics.setFill(palette.line());
            graphics.fillRect(pointed * slot(), 0, Math.max(1, slot()), tall() - AXIS);
        }
        lit.ifPresent(search -> paintLit(graphics, search, palette));
        double tallest = Math.max(Math.max(Math.max(tallest(before), tallest(after)), tallest(end)), channels.stream().mapToDouble(channel ->
                tallest(Optional.of(channel.counts))).max().orElse(0));
        channels.forEach(channel -> paintChannel(graphics, channel, tallest));
        before.ifPresent(h -> paintBars(graphics, h, tallest, 0, palette.before()));
        after.ifPresent(h -> paintBars(graphics, h, tallest, 1, palette.after()));
        counted.ifPresent(h -> paintBars(graphics, h, tallest, 0, palette.byHand()));
        if (style.hasRunning()) {
            counted.ifPresent(h -> paintRunning(graphics, h, palette.byHand(), WHOLE_LINE));
            channels.forEach(channel -> paintRunning(graphics, channel.counts, channel.ink.color(theme), channel.ink.dashes()));
            before.ifPresent(h -> paintRunning(graphics, h, palette.before(), WHOLE_LINE));
            after.ifPresent(h -> paintRunning(graphics, h, palette.after(), DASHES));
        }
        paintAxis(graphics, palette);
    }

    private void paintLit(GraphicsContext graphics, Search search, Palette palette) {
        if (search instanceof Search.Levels levels) {
            double from = levels.low() / style.width() * slot();
            double to = (levels.high() / style.width() + 1) * slot();
            graphics.setFill(palette.picked());
            graphics.fillRect(from, tall() - AXIS, Math.max(3, to - from), 4);
        }
    }

    private double tallest(Optional<Histogram> histogram) {
        double tallest = 0;
        for (int count : histogram.map(h -> h.bins(style.width())).orElse(new int[0])) {
            tallest = Math.max(tallest, scaled(count));
        }
        return tallest;
    }

    private double scaled(double count) {
        return style.isLogarithmic() ? Math.log1p(count) : count;
    }

    private double room() {
        return tall() - AXIS - TOP;
    }

    /** Few bins: two bars side by side for each, or one in its middle; many: thin bars over one another. */
    private void paintBars(GraphicsContext graphics, Histogram histogram, double tallest, int place, Color color) {
        boolean isFew = bins() <= FEW_BINS;
        double slot = slot();
        boolean isPair = before.isPresent() && after.isPresent();
        double width = isFew ? slot * (isPair ? 0.4 : 0.6) : Math.max(1, slot * 0.8);
        double margin = isPair ? 0.08 + 0.44 * place : 0.2;
        graphics.setFill(isFew ? color : color.deriveColor(0, 1, 1, 0.8));
        graphics.setFont(Font.font(Theme.NUMBERS, 10));
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.BOTTOM);
        int[] counts = histogram.bins(style.width());
        for (int bin = 0; bin < counts.length; bin++) {
            if (counts[bin] > 0) {
                double x = bin * slot + (isFew ? slot * margin : 0);
                double tall = Math.max(1, room() * scaled(counts[bin]) / tallest);
                graphics.fillRect(x, tall() - AXIS - tall, width, tall);
                if (isFew && width > 10) {
                    graphics.fillText(Integer.toString(counts[bin]), x + width / 2, tall() - AXIS - tall);
                }
            }
        }
    }

    /** A stair from level to level, so that three of them can be distinguished where they cross. */
    private void paintChannel(GraphicsContext graphics, Channel channel, double tallest) {
        int[] counts = channel.counts.bins(style.width());
        double[] x = new double[2 * counts.length];
        double[] y = new double[2 * counts.length];
        for (int bin = 0; bin < counts.length; bin++) {
            x[2 * bin] = bin * slot();
            x[2 * bin + 1] = (bin + 1) * slot();
            y[2 * bin] = tall() - AXIS - (counts[bin] == 0 ? 0 : Math.max(1, room() * scaled(counts[bin]) / tallest));
            y[2 * bin + 1] = y[2 * bin];
        }
        graphics.setStroke(channel.ink.color(theme));
        graphics.setLineWidth(1.5);
        graphics.setLineDashes(channel.ink.dashes());
        graphics.strokePolyline(x, y, x.length);
        graphics.setLineDashes(WHOLE_LINE);
        graphics.setLineWidth(1);
    }

    /** The cumulative count as a stair from 0 to all pixels; that of After is dashed, so that color is not all. */
    private void paintRunning(GraphicsContext graphics, Histogram histogram, Color color, double[] dashes) {
        int[] counts = histogram.bins(style.width());
        double all = 0;
        for (int count : end.map(last -> last.bins(style.width())).orElse(counts)) {
            all += count;
        }
        double[] x = new double[2 * counts.length];
        double[] y = new double[2 * counts.length];
        double running = 0;
        for (int bin = 0; bin < counts.length; bin++) {
            running += counts[bin];
            x[2 * bin] = bin * slot();
            x[2 * bin + 1] = (bin + 1) * slot();
            y[2 * bin] = tall() - AXIS - room() * running / all;
            y[2 * bin + 1] = y[2 * bin];
        }
        graphics.setStroke(color);
        graphics.setLineWidth(1.5);
        graphics.setLineDashes(dashes);
        graphics.strokePolyline(x, y, x.length);
        graphics.setLineDashes(WHOLE_LINE);
        graphics.setLineWidth(1);
    }

    private void paintAxis(GraphicsContext graphics, Palette palette) {
        double y = tall() - AXIS;
        graphics.setStroke(palette.line());
        graphics.strokeLine(0, y + 0.5, across(), y + 0.5);
        graphics.setFill(palette.soft());
        graphics.setFont(numbers());
        graphics.setTextBaseline(VPos.TOP);
        int last = bins() - 1;
        boolean isFew = last < FEW_BINS;
        int labels = isFew ? last : LABELS;
        for (int n = 0; n <= labels; n++) {
            int bin = Math.min(last, (int) ((long) (last + (isFew ? 0 : 1)) * n / Math.max(1, labels)));
            boolean isEnd = !isFew && (n == 0 || n == labels);
            graphics.setTextAlign(!isEnd ? TextAlignment.CENTER : n == 0 ? TextAlignment.LEFT : TextAlignment.RIGHT);
            double x = !isEnd ? (bin + 0.5) * slot() : n == 0 ? 0 : across();
            graphics.fillText(Integer.toString(n == labels && style.width() > 1 && !isFew ? maximum()
                    : bin * style.width()), x, y + 4);
        }
    }
}
