package pixeron.step.frequency;

import java.util.List;
import java.util.stream.IntStream;
import pixeron.image.Frequency;
import pixeron.image.Image;
import pixeron.image.Pixel;

/** One coefficient by its definition, as it is summed up by hand. Cost: H · W. */
final class Sum {

    private Sum() {
    }

    /** Returns Σ over all pixels of r(i, j) · e^(−2πi · (u · i ÷ H + v · j ÷ W)); exact where that is rational. */
    static Complex of(Image image, Frequency at) {
        Complex sum = Complex.ZERO;
        List<Complex> rows = rows(image, at);
        for (int row = 0; row < rows.size(); row++) {
            sum = sum.plus(rows.get(row).turnedBack(Turn.along(at.u(), row, image.rows())));
        }
        return sum;
    }

    /** Returns the sum along each row, Σ over j of r(i, j) · e^(−2πi · v · j ÷ W). */
    static List<Complex> rows(Image image, Frequency at) {
        return IntStream.range(0, image.rows()).mapToObj(row -> IntStream.range(0, image.columns()).mapToObj(column ->
                Complex.turnedBack(image.value(new Pixel(row, column)), Turn.along(at.v(), column, image.columns()))).reduce(Complex.ZERO, Complex::plus)).toList();
    }

    /** Returns the sum along each column, Σ over i of r(i, j) · e^(−2πi · u · i ÷ H). */
    static List<Complex> columns(Image image, Frequency at) {
        return IntStream.range(0, image.columns()).mapToObj(column -> IntStream.range(0, image.rows()).mapToObj(row ->
                Complex.turnedBack(image.value(new Pixel(row, column)), Turn.along(at.u(), row, image.rows()))).reduce(Complex.ZERO, Complex::plus)).toList();
    }
}
