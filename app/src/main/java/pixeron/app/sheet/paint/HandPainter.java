package pixeron.app.sheet.paint;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.HandValue;
import pixeron.byhand.Verdict;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * Draws what the user wrote, with a mark on every cell: a tick for one that agrees, a triangle up or down with the
 * difference for one that differs, ≈ for one that is right before rounding, ? for one that is not understood. The
 * marks differ in shape as
 * well as in color.
 */
public final class HandPainter implements Painter {

    private static final double MARKS_FROM = 14;

    private final HandSheet sheet;
    private final Map<Pixel, CellCheck> checks = new HashMap<>();
    private final Theme theme;
    private final int characters;
    private final boolean areMarksShown;
    private final Set<Pixel> following;

    /**
     * Creates a painter of gray values that the user wrote, with their marks.
     *
     * @param sheet what was written
     * @param check how it compares
     * @param characters length of the longest number on the sheets beside this one
     * @param areMarksShown false while the user wants to find the mistakes alone
     * @param following the cells that are right for the user's values of the step before
     */
    public HandPainter(HandSheet sheet, Check check, Theme theme, int characters, boolean areMarksShown,
            Set<Pixel> following) {
        this.following = following;
        this.sheet = sheet;
        this.theme = theme;
        this.characters = characters;
        this.areMarksShown = areMarksShown;
        check.cells().forEach(cell -> checks.put(cell.pixel(), cell));
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        Palette palette = theme.palette();
        Lines.paintPaper(graphics, extent, palette.panel(), palette.line());
        Font font = NumberFont.fitting(extent.cell(), characters, theme.scale());
        sheet.cells().forEach((pixel, value) -> {
            if (pixel.row() >= extent.firstRow() && pixel.row() <= extent.lastRow()
                    && pixel.column() >= extent.firstColumn() && pixel.column() <= extent.lastColumn()) {
                paintCell(graphics, extent, pixel, value, font);
            }
        });
    }

    private void paintCell(GraphicsContext graphics, Extent extent, Pixel pixel, HandValue value, Font font) {
        Palette palette = theme.palette();
        CellCheck check = areMarksShown ? checks.get(pixel) : null;
        boolean isFollowing = following.contains(pixel);
        boolean isWrong = check != null && check.state() != Verdict.AGREES && !isFollowing;
        double x = Math.floor(extent.x(pixel.column()));
        double y = Math.floor(extent.y(pixel.row()));
        double side = extent.cell();
        if (isWrong || side < Lines.SQUARES_FROM) {
            graphics.setFill(side >= Lines.SQUARES_FROM ? palette.differGround()
                    : isWrong ? palette.differ() : check == null ? palette.byHand() : palette.agree());
            graphics.fillRect(x + 1, y + 1, Math.max(1, side - 1), Math.max(1, side - 1));
        }
        if (font != null) {
            graphics.setFill(isWrong ? palette.differ() : palette.byHand());
            paintNumber(graphics, value.number(), font, x, y, side);
        } else if (side >= Lines.SQUARES_FROM && check == null) {
            graphics.setFill(palette.byHand());
            graphics.fillOval(x + side / 2 - 1.5, y + side / 2 - 1.5, 3, 3);
        }
        if (check != null && side >= MARKS_FROM) {
            new HandMarks(graphics, palette).paint(check, isFollowing, font != null ? HandMarks.Place.corner(x, y, side) : HandMarks.Place.middle(x, y, side));
        }
    }

    private static void paintNumber(GraphicsContext graphics, String text, Font font, double x, double y, double side) {
        int room = (int) Math.floor((side - 2) / (font.getSize() * 0.6));
        graphics.setFont(font);
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.CENTER);
        // Below the marks in the corner; a long expression is cut, the line below the sheets has all of it.
        graphics.fillText(text.length() <= room ? text : text.substring(0, Math.max(0, room - 1)) + "…",
                x + side / 2, y + side * 0.56);
    }

    @Override
    public String describe(Pixel pixel) {
        HandValue value = sheet.cells().get(pixel);
        if (value == null) {
            return "not filled";
        }
        CellCheck check = areMarksShown ? checks.get(pixel) : null;
        return value.text() + (check == null ? "" : following.contains(pixel) ? ", correct for your own earlier values"
                : ", " + words(check));
    }

    private static String differs(Value difference) {
        return "differs by " + Decimals.signed(difference).replaceFirst("[+\u2212-]", "") + (difference.signum() < 0 ? " less" : " more");
    }

    /** Returns how a cell compares, in words. */
    public static String words(CellCheck check) {
        return switch (check.state()) {
            case AGREES -> "agrees";
            case DIFFERS -> differs(check.difference().orElseThrow());
            case NOT_ROUNDED -> "correct before rounding";
            case FOLLOWS -> "correct for your own earlier values";
            case NOT_UNDERSTOOD -> "not valid";
        };
    }
}
