package pixeron.step.neighborhood;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.ChoiceParameter;
import pixeron.step.ListParameter;
import pixeron.step.MatrixParameter;
import pixeron.step.NumberParameter;
import pixeron.step.Operation;
import pixeron.step.Step;

/**
 * {@code kernel weights="…" divisor=auto offset=0 sum=correlation border=zero anchor=auto}: Σ w·r ÷ divisor + offset, the
 * weights laid on the image as they are, or turned by 180° with {@code sum=convolution}.
 */
public final class Kernel extends WindowStep {

    private static final int LARGEST = 31;
    private static final MatrixParameter WEIGHTS = new MatrixParameter("weights", "Weights", LARGEST);
    private static final NumberParameter DIVISOR = NumberParameter.automatic("divisor", "Divisor", false)
            .only(number -> number.signum() != 0, "a number other than 0, or auto");
    private static final NumberParameter OFFSET = NumberParameter.optional("offset", "Offset", 0);
    private static final ChoiceParameter.Choice CORRELATION = new ChoiceParameter.Choice("correlation",
            "the weights lie on the image as they are");
    private static final ChoiceParameter.Choice CONVOLUTION = new ChoiceParameter.Choice("convolution",
            "the weights are turned by 180° first");
    private static final ChoiceParameter SUM = ChoiceParameter.of("sum", "Sum", CORRELATION, CONVOLUTION);
    private static final ListParameter ANCHOR = new ListParameter("anchor", "Anchor",
            "two whole numbers, the row and the column of the cell on the pixel, from 0").automatic();

    public Kernel() {
        super("kernel", "Kernel", "Adds up the pixels around each one, each with a weight of its own.",
                "s = Σ w × r ÷ divisor + offset", Border.ZERO, WEIGHTS, DIVISOR, OFFSET, SUM, ANCHOR);
    }

    @Override
    public void validate(Arguments arguments) {
        super.validate(arguments);
        if (arguments.isGiven(ANCHOR)) {
            int height = arguments.get(WEIGHTS).size();
            int width = arguments.get(WEIGHTS).get(0).size();
            var anchor = arguments.get(ANCHOR);
            if (anchor.size() != 2 || !isIndex(anchor.get(0), height) || !isIndex(anchor.get(1), width)) {
                throw PixeronException.of("anchor=\"%s\" is no cell of the weights; give a row from 0 to %d and a column from "
                        + "0 to %d.", ANCHOR.print(anchor), height - 1, width - 1);
            }
        }
    }

    private static boolean isIndex(Rational number, int size) {
        return number.isInt() && number.toInt() >= 0 && number.toInt() < size;
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(WEIGHTS, WEIGHTS.parse("1 2 1 | 2 4 2 | 1 2 1")));
    }

    @Override
    public Operation bind(Step step, Image before) {
        Arguments arguments = step.arguments();
        Weights centred = Weights.centred(arguments.get(WEIGHTS));
        Amount divisor = arguments.get(DIVISOR);
        List<Rational> anchor = arguments.get(ANCHOR);
        Weights given = new Weights(centred.rows(),
                anchor.isEmpty() ? centred.anchorRow() : anchor.get(0).toInt(),
                anchor.isEmpty() ? centred.anchorColumn() : anchor.get(1).toInt(),
                divisor.isAuto() ? Optional.empty() : Optional.of(divisor.number()),
                arguments.get(OFFSET).number());
        boolean isTurned = arguments.get(SUM).equals(CONVOLUTION);
        Weights laid = isTurned ? given.turned() : given;
        return new KernelOperation(step, before, window(arguments, before, laid.height(), laid.width(), laid.anchorRow(),
                laid.anchorColumn()), laid, isTurned);
    }
}
