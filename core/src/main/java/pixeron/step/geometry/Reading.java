package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Frame;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.key.ChoiceParameter;
import pixeron.working.Line;
import pixeron.working.Run;

/** What is read of an image at a point between its pixels: the nearest cell, or the four around it, weighted. */
enum Reading {
    /** The cell in which the point lies. */
    NEAREST(Rational.of(1, 2)),
    /** As nearest, where a cell begins at its number: rounded down. */
    DOWN(Rational.ZERO),
    /** Four cells, each weighted by how near it lies. */
    LINEAR(Rational.ZERO);

    /** The words of a line for taking one cell, rounded or cut off as its grid says. */
    static final ChoiceParameter.Choice NEAREST_CHOICE = new ChoiceParameter.Choice("nearest", "the nearest pixel");
    static final ChoiceParameter.Choice LINEAR_CHOICE = new ChoiceParameter.Choice("linear", "four pixels, weighted by distance (bilinear)");

    /**
     * A cell that counts.
     *
     * @param weight what it is multiplied with; empty where it is taken as it is
     */
    record Cell(int row, int column, Optional<Value> weight) {
    }

    private final Rational added;

    Reading(Rational added) {
        this.added = added;
    }

    /** Returns what a user does who takes the other one of nearest and linear. */
    static String otherWords(boolean isLinear) {
        return isLinear ? "the nearest pixel is used instead of four weighted ones" : "four weighted pixels are used instead of the nearest one";
    }

    private int cell(Value place) {
        return ((Rational) Rounding.FLOOR.apply(place.plus(added))).toInt();
    }

    private static Value part(Value place) {
        return place.minus(Rounding.FLOOR.apply(place));
    }

    /** Returns the cells that count at a point, row by row; one of weight 0 does not. */
    List<Cell> cells(Value y, Value x) {
        int row = cell(y);
        int column = cell(x);
        if (this != LINEAR) {
            return List.of(new Cell(row, column, Optional.empty()));
        }
        List<Cell> cells = new ArrayList<>();
        for (int down = 0; down < 2; down++) {
            for (int right = 0; right < 2; right++) {
                Value weight = share(part(y), down).times(share(part(x), right));
                if (weight.signum() != 0) {
                    cells.add(new Cell(row + down, column + right, Optional.of(weight)));
                }
            }
        }
        return cells;
    }

    private static Value share(Value part, int side) {
        return side == 1 ? part : Rational.ONE.minus(part);
    }

    /** Returns how the cells follow from the point. */
    List<Line> work(Value y, Value x) {
        if (this != LINEAR) {
            String half = added.signum() == 0 ? "" : " + 1/2";
            return List.of(Line.of("cell", Run.plain("⌊y" + half + "⌋ = " + Decimals.working(cell(y)) + ", ⌊x" + half + "⌋ = " + Decimals.working(cell(x)))));
        }
        return List.of(part("a", "y", y), part("b", "x", x));
    }

    private Line part(String name, String of, Value place) {
        return Line.of(name.equals("a") ? "row part" : "column part", Run.plain(name + " = " + of + " − ⌊" + of + "⌋ = " + Decimals.working(place) + " − "
                + Decimals.working(cell(place)) + " = " + Decimals.working(part(place))));
    }

    /** Returns what is done in a loop, in which y and x are known. */
    String loop(boolean hasOutside) {
        String outside = hasOutside ? ", or the value outside" : "";
        return switch (this) {
            case NEAREST -> "s ← before[⌊y + 1/2⌋][⌊x + 1/2⌋]" + outside;
            case DOWN -> "s ← before[⌊y⌋][⌊x⌋]" + outside;
            case LINEAR -> "s ← (1 − a)(1 − b) × before[⌊y⌋][⌊x⌋] + (1 − a) b × before[⌊y⌋][⌊x⌋ + 1] + a (1 − b) × before[⌊y⌋ + 1][⌊x⌋]"
                    + " + a b × before[⌊y⌋ + 1][⌊x⌋ + 1]" + outside;
        };
    }

    /** Returns a place limited to the image, where nothing outside is read. */
    static Value limited(Value place, int size) {
        Value last = Rational.of(size - 1);
        return place.signum() < 0 ? Rational.ZERO : place.compareValue(last) > 0 ? last : place;
    }

    /** Returns a cell limited to the image. */
    static Cell limited(Cell cell, Frame before) {
        return new Cell(Math.max(0, Math.min(before.rows() - 1, cell.row)), Math.max(0, Math.min(before.columns() - 1, cell.column)), cell.weight);
    }
}
