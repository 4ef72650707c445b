package pixeron.make;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import pixeron.PixeronException;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Progress;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.TextParameter;

/**
 * An image whose value at a pixel is a formula of its place: i, j (also y, x), the size H, W, N, the levels M, L, and
 * the maker's own keys. Exact wherever the formula is.
 */
final class FormulaMaker extends Maker {

    private static final Set<String> PLACES = Set.of("i", "j", "x", "y", "H", "W", "N", "M", "L");
    /** Along which direction something changes; in a formula {@code along} is j or i, and {@code length} W or H. */
    static final ChoiceParameter ACROSS = ChoiceParameter.of("across", "Direction",
            new ChoiceParameter.Choice("columns", "changes from left to right"),
            new ChoiceParameter.Choice("rows", "changes from top to bottom"));
    /** The key of a user's own formula. */
    static final TextParameter EXPRESSION = new TextParameter("expression", "Formula",
            "a formula of i, j, x, y, H, W, N, M, L, such as i * j or mod(x + y, 2)");

    private final String formula;

    /**
     * @param formula over the places above, the number keys, {@code along} and {@code length}; null: the user's own
     */
    FormulaMaker(String name, String title, String sentence, String formula, Parameter<?>... ownParameters) {
        super(name, title, sentence, ownParameters);
        this.formula = formula;
    }

    @Override
    public Image make(Arguments arguments, Progress progress) {
        int rows = whole(arguments, ROWS);
        int columns = whole(arguments, COLUMNS);
        int maximum = whole(arguments, MAXIMUM);
        Map<String, Value> values = constants(arguments, rows, columns, maximum);
        Set<String> names = new TreeSet<>(formula == null ? PLACES : values.keySet());
        names.addAll(Set.of("i", "j", "x", "y"));
        names.addAll(formula == null ? Set.of() : Set.of("along", "length"));
        Expression expression = Parser.parse(formula == null ? arguments.get(EXPRESSION) : formula, names);
        boolean isAcrossRows = arguments.find(ACROSS).filter(choice -> choice.word().equals("rows")).isPresent();
        values.put("length", Rational.of(isAcrossRows ? rows : columns));
        Finish finish = finish(arguments, maximum);
        Value[] samples = new Value[Math.multiplyExact(rows, columns)];
        for (int n = 0; n < samples.length; n++) {
            if (n % columns == 0) {
                progress.report((double) n / samples.length);
            }
            values.put("i", Rational.of(n / columns));
            values.put("y", values.get("i"));
            values.put("j", Rational.of(n % columns));
            values.put("x", values.get("j"));
            values.put("along", values.get(isAcrossRows ? "i" : "j"));
            samples[n] = value(expression, values, finish, new Pixel(n / columns, n % columns));
        }
        return Image.from(rows, columns, maximum, samples);
    }

    private Map<String, Value> constants(Arguments arguments, int rows, int columns, int maximum) {
        Map<String, Value> values = new HashMap<>(Map.of("H", Rational.of(rows), "W", Rational.of(columns),
                "N", Rational.of((long) rows * columns), "M", Rational.of(maximum), "L", Rational.of(maximum + 1)));
        for (Parameter<?> parameter : parameters()) {
            if (parameter instanceof NumberParameter number && number != ROWS && number != COLUMNS
                    && number != MAXIMUM) {
                values.put(number.key(), arguments.get(number).resolve(maximum));
            }
        }
        return values;
    }

    private static Value value(Expression expression, Map<String, Value> values, Finish finish, Pixel pixel) {
        try {
            return finish.apply(Evaluator.evaluate(expression, values::get));
        } catch (PixeronException withoutValue) {
            throw PixeronException.because(withoutValue, "At %s: %s", pixel, withoutValue.getMessage());
        }
    }
}
