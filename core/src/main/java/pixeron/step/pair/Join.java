package pixeron.step.pair;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.Mend;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Reference;
import pixeron.step.Step;
import pixeron.step.geometry.Sizes;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;

/**
 * {@code join with=REF side=right|below|left|above}: another image beside the one before it.
 *
 * <p>Domain: the common edge is equally long in both; M is that of the image before. Cost: one copy. Source:
 * docs/definitions/two-images.md.
 */
public final class Join extends NamedStep {

    /** Where the other image stands. */
    private enum Side {
        RIGHT("right"), BELOW("below"), LEFT("left"), ABOVE("above");

        private final ChoiceParameter.Choice choice;

        Side(String word) {
            this.choice = new ChoiceParameter.Choice(word, "the other image is placed " + (word.equals("right") || word.equals("left")
                    ? "on the " + word : word));
        }

        boolean isBeside() {
            return this == RIGHT || this == LEFT;
        }
    }

    private static final ChoiceParameter SIDE = new ChoiceParameter("side", "Side", Optional.empty(), Arrays.stream(Side.values())
            .map(side -> side.choice).toList());

    public Join() {
        super("join", "Join", "Places another image beside, above or below this one.");
    }

    private static Side side(Arguments arguments) {
        return Arrays.stream(Side.values()).filter(side -> side.choice.equals(arguments.get(SIDE))).findFirst().orElseThrow();
    }

    @Override
    public String formula(Arguments arguments) {
        return switch (side(arguments)) {
            case RIGHT -> "s(i, j) = r(i, j) up to column W − 1, then t(i, j − W)";
            case BELOW -> "s(i, j) = r(i, j) up to row H − 1, then t(i − H, j)";
            case LEFT -> "s(i, j) = t(i, j) up to its last column, then r(i, j − its width)";
            case ABOVE -> "s(i, j) = t(i, j) up to its last row, then r(i − its height, j)";
        };
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(Reference.WITH, SIDE);
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public List<ReferenceParameter> references() {
        return List.of(Reference.WITH);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(Reference.WITH, Reference.toStep(0)).with(SIDE, Side.RIGHT.choice));
    }

    @Override
    public List<Mend> mends(Step step, Inputs inputs) {
        String reference = step.arguments().get(Reference.WITH);
        Frame before = inputs.before().frame();
        Frame other = inputs.others().apply(reference).frame();
        boolean isBeside = side(step.arguments()).isBeside();
        int edge = isBeside ? before.rows() : before.columns();
        int otherEdge = isBeside ? other.rows() : other.columns();
        if (edge == otherEdge) {
            return List.of();
        }
        boolean isOther = otherEdge > edge;
        Frame large = isOther ? other : before;
        String which = isOther ? reference : "the image";
        String edges = Math.min(edge, otherEdge) + (isBeside ? " rows" : " columns");
        return List.of(new Mend("Resize " + which + " to " + edges, isOther, "resize " + (isBeside ? "height=" : "width=") + Math.min(edge, otherEdge) + " by=mean"),
                new Mend("Crop " + which + " to " + edges, isOther, "crop row=0 column=0 height=" + (isBeside ? Math.min(edge, otherEdge) : large.rows())
                        + " width=" + (isBeside ? large.columns() : Math.min(edge, otherEdge))));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        String reference = step.arguments().get(Reference.WITH);
        Image other = inputs.other(this, reference);
        Side side = side(step.arguments());
        int edge = side.isBeside() ? before.rows() : before.columns();
        int otherEdge = side.isBeside() ? other.rows() : other.columns();
        if (edge != otherEdge) {
            throw PixeronException.of("join side=%s needs the same number of %s in both. The image has %d × %d pixels, %s %d × %d. Change the "
                    + "size of one with crop, pad or resize.", side.choice.word(), side.isBeside() ? "rows" : "columns", before.rows(),
                    before.columns(), reference, other.rows(), other.columns());
        }
        long rows = side.isBeside() ? before.rows() : (long) before.rows() + other.rows();
        long columns = side.isBeside() ? (long) before.columns() + other.columns() : before.columns();
        Pixel first = new Pixel(side == Side.ABOVE ? other.rows() : 0, side == Side.LEFT ? other.columns() : 0);
        return new LaidOperation(step, inputs, before, other, reference, new Laid(Sizes.frame(rows, columns, inputs), first,
                Area.all(other), side == Side.BELOW ? before.rows() : 0, side == Side.RIGHT ? before.columns() : 0), told(side));
    }

    private static LaidProgram told(Side side) {
        Code none = Code.of(0);
        Code rows = Code.name("H");
        Code columns = Code.name("W");
        LaidProgram.Place other = LaidProgram.other();
        return new LaidProgram(side.isBeside() ? rows : rows.plus(other.row()), side.isBeside() ? columns.plus(other.column()) : columns,
                new LaidProgram.Place(side == Side.ABOVE ? other.row() : none, side == Side.LEFT ? other.column() : none), LaidProgram.Place.START, other,
                new LaidProgram.Place(side == Side.BELOW ? rows : none, side == Side.RIGHT ? columns : none));
    }
}
