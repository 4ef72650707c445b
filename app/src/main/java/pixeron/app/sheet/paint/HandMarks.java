package pixeron.app.sheet.paint;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Palette;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.number.Decimals;

/**
 * The mark of a value by hand: a tick for one that agrees, a triangle up or down with the difference for one that differs, ≈
 * for one that is right before rounding, ? for one that is not understood, ↳ for one that follows from an earlier slip. The
 * marks differ in shape as well as in color.
 */
final class HandMarks {

    private static final double WORDS_FROM = 30;

    /**
     * Where a mark stands.
     *
     * @param right its right edge
     * @param top its top edge
     * @param size its width and height
     * @param isNumbered whether a triangle says how far off the value is
     */
    record Place(double right, double top, double size, boolean isNumbered) {

        /** Returns in the corner of a cell, because a number is in its middle. */
        static Place corner(double x, double y, double side) {
            return new Place(x + side - 4, y + 4, Math.min(7, side / 5), side >= WORDS_FROM);
        }

        /** Returns in the middle of a cell. */
        static Place middle(double x, double y, double side) {
            return new Place(x + side * 0.7, y + side * 0.3, side * 0.4, false);
        }
    }

    private final GraphicsContext graphics;
    private final Palette palette;

    HandMarks(GraphicsContext graphics, Palette palette) {
        this.graphics = graphics;
        this.palette = palette;
    }

    void paint(CellCheck check, boolean isFollowing, Place at) {
        double right = at.right;
        double top = at.top;
        double size = at.size;
        if (isFollowing) {
            graphics.setFill(palette.byHand());
            paintSign("↳", right, top, size);
            return;
        }
        boolean isAgreeing = check.state() == Verdict.AGREES;
        graphics.setFill(isAgreeing ? palette.agree() : palette.differ());
        graphics.setStroke(isAgreeing ? palette.agree() : palette.differ());
        switch (check.state()) {
            case AGREES -> {
                graphics.strokeLine(right - size, top + size * 0.55, right - size * 0.6, top + size * 0.95);
                graphics.strokeLine(right - size * 0.6, top + size * 0.95, right, top + size * 0.1);
            }
            case DIFFERS -> paintTriangle(check, right, top, size, at.isNumbered);
            case NOT_ROUNDED -> paintSign("≈", right, top, size);
            case NOT_UNDERSTOOD -> paintSign("?", right, top, size);
            case FOLLOWS -> paintSign("↳", right, top, size);
        }
    }

    private void paintSign(String sign, double right, double top, double size) {
        graphics.setFont(NumberFont.of(Math.floor(size * 1.7)));
        graphics.setTextAlign(TextAlignment.RIGHT);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.fillText(sign, right + 1, top + size / 2);
    }

    /** Up when the user's value is too large, down when it is too small, with how much. */
    private void paintTriangle(CellCheck check, double right, double top, double size, boolean isNumbered) {
        String amount = isNumbered ? Decimals.approximate(check.difference().orElseThrow().absolute()) : "";
        amount = amount.length() > 4 ? "" : amount;
        double digits = amount.length() * 5.4;
        double end = right - digits;
        boolean isUp = check.difference().orElseThrow().signum() > 0;
        double base = isUp ? top + size : top;
        double tip = isUp ? top : top + size;
        graphics.fillPolygon(new double[] {end - size, end, end - size / 2}, new double[] {base, base, tip}, 3);
        if (!amount.isEmpty()) {
            graphics.setFont(NumberFont.of(9));
            graphics.setTextAlign(TextAlignment.RIGHT);
            graphics.setTextBaseline(VPos.CENTER);
            graphics.fillText(amount, right, top + size / 2);
        }
    }
}
