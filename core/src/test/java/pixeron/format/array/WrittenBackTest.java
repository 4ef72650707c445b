package pixeron.format.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import java.util.Random;
import java.util.function.IntFunction;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pixeron.PixeronException;
import pixeron.format.CellTable;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;

class WrittenBackTest {

    private static final Image SORT = Image.ofLevels(2, 2, 255, n -> new int[] {52, 55, 61, 59}[n]);

    private static Image random(Random random, int maximum) {
        int columns = 1 + random.nextInt(5);
        return Image.ofLevels(1 + random.nextInt(4), columns, maximum, n -> random.nextInt(maximum + 1));
    }

    /** Whatever is written reads back to the same image; only M is lost where no type tells it. */
    @Property(tries = 300)
    void anImageInAnyNotationReadsBack(@ForAll long seed) {
        Random random = new Random(seed);
        Image image = random(random, new int[] {1, 7, 255, 65535}[random.nextInt(4)]);
        for (ArrayNotation notation : ArrayNotation.values()) {
            LoadedImage read = ImageFiles.parse(notation.write(image, false), ReadOptions.DEFAULT.withMaximum(image.maximumLevel()));
            assertThat(read.image()).as(notation.word()).isEqualTo(image);
        }
    }

    @Property(tries = 100)
    void fractionsReadBackWhereTheyAreWritten(@ForAll long seed) {
        Random random = new Random(seed);
        Value[] values = new Value[6];
        for (int n = 0; n < values.length; n++) {
            values[n] = Rational.of(random.nextInt(2000) - 1000, 1 + random.nextInt(9));
        }
        Image image = Image.from(2, 3, 255, values);
        for (ArrayNotation notation : new ArrayNotation[] {ArrayNotation.SEMICOLONS, ArrayNotation.LATEX, ArrayNotation.MARKDOWN, ArrayNotation.COLUMNS}) {
            assertThat(ImageFiles.parse(notation.write(image, true), ReadOptions.DEFAULT.asOpen()).image()).as(notation.word()).isEqualTo(image);
        }
    }

    /** What was written by hand stays as it is; empty cells have the sign of each language. */
    @Test
    void valuesByHandAreWrittenAsTheyAre() {
        String[] cells = {"203", "", "487/9", "1.50"};
        IntFunction<String> text = n -> cells[n];
        assertThat(ArrayNotation.PYTHON.writeByHand(2, 2, text)).isEqualTo("image = [\n    [203, None],\n    [487/9, 1.50],\n]\n");
        assertThat(ArrayNotation.NUMPY.writeByHand(2, 2, text)).contains("[203, np.nan]").endsWith("])\n");
        assertThat(ArrayNotation.JSON.writeByHand(2, 2, text)).isEqualTo("[[203,null],[487/9,1.50]]\n");
        assertThat(ArrayNotation.LATEX.writeByHand(2, 2, text)).contains("203 &  \\\\\n\\frac{487}{9} & 1.50\n");
        assertThatThrownBy(() -> ArrayNotation.JAVA.writeByHand(2, 2, text)).isInstanceOf(PixeronException.class).hasMessageContaining("has no empty cells");
        assertThat(ArrayNotation.C.writeByHand(1, 1, text)).isEqualTo("int image[1][1] = {\n    {203},\n};\n");
        for (ArrayNotation notation : new ArrayNotation[] {ArrayNotation.PYTHON, ArrayNotation.NUMPY, ArrayNotation.SEMICOLONS, ArrayNotation.MARKDOWN, ArrayNotation.COLUMNS}) {
            assertThat(CellTable.parse(notation.writeByHand(2, 2, text)).rows()).as(notation.word()).anySatisfy(row -> assertThat(row).contains("487/9", "1.50"));
        }
    }

    @Property(tries = 100)
    void colorsReadBackWithThreeLevels(@ForAll long seed) {
        Random random = new Random(seed);
        Image red = random(random, 255);
        Image green = Image.ofLevels(red.rows(), red.columns(), 255, n -> random.nextInt(256));
        ColorImage color = new ColorImage(red, green, red, random.nextBoolean() ? Optional.of(green) : Optional.empty());
        for (ArrayNotation notation : new ArrayNotation[] {ArrayNotation.PYTHON, ArrayNotation.NUMPY, ArrayNotation.JAVA, ArrayNotation.C, ArrayNotation.JSON}) {
            assertThat(ImageFiles.parse(notation.write(color, false), ReadOptions.DEFAULT).color()).as(notation.word()).contains(color);
        }
    }

    @Test
    void textsAreThoseOfTheLanguages() {
        assertThat(ArrayNotation.PYTHON.write(SORT, false)).isEqualTo("image = [\n    [52, 55],\n    [61, 59],\n]\n");
        assertThat(ArrayNotation.NUMPY.write(SORT, false)).isEqualTo("image = np.array([\n    [52, 55],\n    [61, 59],\n], dtype=np.uint8)\n");
        assertThat(ArrayNotation.JAVA.write(SORT, false)).isEqualTo("int[][] image = {\n    {52, 55},\n    {61, 59},\n};\n");
        assertThat(ArrayNotation.C.write(SORT, false)).isEqualTo("int image[2][2] = {\n    {52, 55},\n    {61, 59},\n};\n");
        assertThat(ArrayNotation.SEMICOLONS.write(SORT, false)).isEqualTo("[52 55;\n 61 59]\n");
        assertThat(ArrayNotation.JSON.write(SORT, false)).isEqualTo("[[52,55],[61,59]]\n");
        assertThat(ArrayNotation.LATEX.write(SORT, false)).isEqualTo("\\begin{bmatrix}\n52 & 55 \\\\\n61 & 59\n\\end{bmatrix}\n");
        assertThat(ArrayNotation.MARKDOWN.write(SORT, false)).isEqualTo("| | 0 | 1 |\n|---:|---:|---:|\n| 0 | 52 | 55 |\n| 1 | 61 | 59 |\n");
        assertThat(ArrayNotation.COLUMNS.write(Image.ofLevels(2, 2, 255, n -> new int[] {5, 255, 61, 0}[n]), false)).isEqualTo(" 5  255\n61    0\n");
        Image fractions = Image.from(1, 2, 255, new Value[] {Rational.of(487, 9), Rational.of(-1, 2)});
        assertThat(ArrayNotation.LATEX.write(fractions, true)).contains("\\frac{487}{9} & -\\frac{1}{2}");
        assertThat(ArrayNotation.JAVA.write(fractions, false)).startsWith("double[][] image = {");
        assertThat(ArrayNotation.NUMPY.write(fractions, false)).contains("dtype=np.float64");
    }

    @Test
    void whatANotationCannotHoldIsRefused() {
        ColorImage color = new ColorImage(SORT, SORT, SORT, Optional.empty());
        assertThatThrownBy(() -> ArrayNotation.LATEX.write(color, false)).hasMessageContaining("python, numpy, java, c, json").hasMessageContaining("--component");
        assertThatThrownBy(() -> ArrayNotation.JSON.write(SORT, true)).hasMessageContaining("semicolons, latex, markdown, columns");
        assertThatThrownBy(() -> ArrayNotation.named("pascal")).hasMessageContaining("not a notation");
    }
}
