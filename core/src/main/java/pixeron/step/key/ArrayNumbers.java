package pixeron.step.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.format.array.ArrayCells;
import pixeron.format.array.ArrayText;
import pixeron.format.array.ArrayValue;
import pixeron.number.Rational;

/** The numbers of a key that are written as an array in a program: {@code [[1, 2], [3, 4]]}. */
final class ArrayNumbers {

    /** Numbers with spaces between them, and rows with bars, contain none of these. */
    private static final String SIGNS = "[({,;&\\\t\n";

    private ArrayNumbers() {
    }

    /**
     * Returns the rows of an array.
     *
     * @param key whose value the text is, for an error
     * @return empty for numbers with spaces between them, and for what is no array
     * @throws PixeronException if brackets do not match, rows differ in length, or a value is not a number
     */
    static Optional<List<List<Rational>>> rows(String key, String text) {
        if (text.chars().noneMatch(sign -> SIGNS.indexOf(sign) >= 0)) {
            return Optional.empty();
        }
        try {
            return ArrayText.read(text, false).or(() -> ArrayText.columns(text)).map(ArrayNumbers::numbers);
        } catch (PixeronException noArray) {
            throw PixeronException.because(noArray, "%s: %s", key, noArray.getMessage());
        }
    }

    private static List<List<Rational>> numbers(ArrayCells array) {
        Rational factor = array.factor().flatMap(ArrayValue::number).orElse(Rational.ONE);
        List<List<Rational>> rows = new ArrayList<>();
        for (int i = 0; i < array.rows().size(); i++) {
            List<Rational> row = new ArrayList<>();
            for (int j = 0; j < array.rows().get(i).size(); j++) {
                List<String> cell = array.rows().get(i).get(j);
                if (cell.size() > 1) {
                    throw PixeronException.of("The array has three levels of brackets. Use two: a list of rows.");
                }
                String text = cell.get(0);
                int column = j;
                int line = i;
                row.add(ArrayValue.number(text).orElseThrow(() -> PixeronException.of("Row %d, column %d (counted from 0): “%s” is not a number.", line, column, text)).times(factor));
            }
            rows.add(row);
        }
        return rows;
    }
}
