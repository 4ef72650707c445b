package pixeron.format.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.format.ArrayOptions;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.number.Decimals;

/** Texts as programs write and print them, with the array that a careful reader sees. */
class NotationsTest {

    /** Texts of 52 55 / 61 59, apart by lines of dashes. */
    private static final String TWO_BY_TWO = """
            [[52, 55], [61, 59]]
            -----
            {{52, 55}, {61, 59}}
            -----
            ((52, 55), (61, 59))
            -----
            [52 55; 61 59]
            -----
            [52, 55; 61, 59]
            -----
            [52 55;
             61 59]
            -----
            A = [52 55
                 61 59];
            -----
            [[52 55]
             [61 59]]
            -----
            array([[52, 55],
                   [61, 59]])
            -----
            array([[52, 55],
                   [61, 59]], dtype=uint8)
            -----
            np.array([[52, 55], [61, 59]], dtype=np.uint8)
            -----
            image = np.array([
                [52, 55],
                [61, 59],
            ], dtype='uint8')
            -----
            tensor([[52., 55.],
                    [61., 59.]], dtype=torch.float64)
            -----
            int[][] a = {{52, 55}, {61, 59}};
            -----
            int[][] a = new int[][] {
                {52, 55},
                {61, 59},
            };
            -----
            unsigned char a[2][2] = {{52, 55}, {61, 59}};
            -----
            const uint8_t image[2][2] = {
                { 0x34, 0x37 },   // first row
                { 0x3D, 0x3B }    /* second
                                     row */
            };
            -----
            byte[][] a = {{(byte) 52, (byte) 55}, {(byte) 61, (byte) 59}};
            -----
            double[][] a = {{52.0, 55.0}, {61.0, 59.0}};
            -----
            float a[2][2] = {{52.0f, 55.f}, {61F, 59F}};
            -----
            long[][] a = {{52L, 55L}, {61L, 59L}};
            -----
            [[5.2e+01 5.5e+01]
             [6.1e+01 5.9e+01]]
            -----
            a = [52 ...
                 55; 61 ...
                 59];
            -----
            [5.2000000e+01, 5.5000000e+01]
            [6.1000000e+01, 5.9000000e+01]
            -----
            List.of(List.of(52, 55), List.of(61, 59))
            -----
            Arrays.asList(Arrays.asList(52, 55), Arrays.asList(61, 59))
            -----
            [[np.uint8(52), np.uint8(55)], [np.uint8(61), np.uint8(59)]]
            -----
            [[Decimal('52'), Decimal('55')], [Decimal('61'), Decimal('59')]]
            -----
            [["52", "55"], ["61", "59"]]
            -----
            {"name": "proof", "rows": 2, "image": [[52, 55], [61, 59]]}
            -----
            {
              "image": [
                [52, 55],
                [61, 59]
              ]
            }
            -----
            # a proof
            image = [
                [52, 55],  # first
                [61, 59],
            ]
            print(image)
            -----
            % a proof
            A = [ 52 55   % first
                  61 59 ];
            -----
            let image = vec![vec![52, 55], vec![61, 59]];
            -----
            [52, 55], [61, 59]
            -----
            [52, 55]
            [61, 59]
            -----
            (52, 55)
            (61, 59)
            -----
            (52 55)
            (61 59)
            -----
            [[52,55],
            [61,59],]
            -----
            ([52, 55], [61, 59])
            -----
            52 55
            61 59
            -----
               52   55
               61   59
            -----
            52\t55
            61\t59
            -----
            52,55
            61,59
            -----
            52;55
            61;59
            -----
            A =

                52    55
                61    59

            -----
            ans =

              52.0000   55.0000
              61.0000   59.0000
            -----
            52.000000 55.000000
            61.000000 59.000000
            -----
            5.2e1 5.5e1
            6.1e1 5.9e1
            -----
                 [,1] [,2]
            [1,]   52   55
            [2,]   61   59
            -----
                0   1
            0  52  55
            1  61  59
            -----
                1   2
            1  52  55
            2  61  59
            -----
            Columns 1 through 1

               52
               61

            Column 2

               55
               59
            -----
            1.0e+01 *

                5.2000    5.5000
                6.1000    5.9000
            -----
            | 52 | 55 |
            | 61 | 59 |
            -----
            52 | 55
            61 | 59
            -----
            |    | 0  | 1  |
            |---:|---:|---:|
            | 0  | 52 | 55 |
            | 1  | 61 | 59 |
            -----
            | first | second |
            |:------|:------:|
            | 52 | 55 |
            | 61 | 59 |
            -----
            +----+----+
            | 52 | 55 |
            +----+----+
            | 61 | 59 |
            +----+----+
            -----
            52 & 55 \\\\
            61 & 59 \\\\
            -----
            \\begin{bmatrix}
            52 & 55 \\\\
            61 & 59
            \\end{bmatrix}
            -----
            $$\\left(\\begin{array}{rr} 52 & 55 \\\\ 61 & 59 \\end{array}\\right)$$
            -----
            \\begin{tabular}{rr}
            \\hline
            52 & 55 \\\\ \\hline
            61 & 59 \\\\
            \\end{tabular}
            -----
            0b110100 0b110111
            0b111101 0b111011
            -----
            0x34, 0x37
            0x3d, 0x3b
            -----
            first,second
            52,55
            61,59
            -----
            // a proof
            52 55
            61 59 // last
            -----
            A = [52, ...
                 55; ...
                 61, 59];
            -----
            A = [
                52 55; ...
                61 59
            ];
            """;

    /** Texts of two pixels in one row, 203 130 217 and 12 34 56, apart by lines of dashes. */
    private static final String TWO_PIXELS = """
            [[[203, 130, 217], [12, 34, 56]]]
            -----
            {{{203, 130, 217}, {12, 34, 56}}}
            -----
            int[][][] a = {{{203, 130, 217}, {12, 34, 56}}};
            -----
            int[][][] a = new int[][][] {
                {{0xCB, 0x82, 0xD9}, {0x0C, 0x22, 0x38}},
            };
            -----
            unsigned char a[1][2][3] = {{{203, 130, 217}, {12, 34, 56}}};
            -----
            array([[[203, 130, 217],
                    [ 12,  34,  56]]], dtype=uint8)
            -----
            [[[203 130 217]
              [ 12  34  56]]]
            -----
            [[(203, 130, 217), (12, 34, 56)]]
            -----
            (203, 130, 217), (12, 34, 56)
            [203, 130, 217] [12, 34, 56]
            -----
            [[#CB82D9, #0C2238]]
            -----
            #CB82D9,#0c2238
            -----
            #CB82D9 #0C2238
            -----
            | #CB82D9 | #0C2238 |
            -----
            [["#CB82D9", "#0C2238"]]
            -----
            String[][] a = {{"#CB82D9", "#0C2238"}};
            -----
            {"pixels": [[[203, 130, 217], [12, 34, 56]]], "rows": 1}
            -----
            [[[203.0, 130.0, 217.0], [1.2e1, 3.4e1, 5.6e1]]]
            """;

    /** Texts of -1.5 0.25 / 1000 0, read as real values, apart by lines of dashes. */
    private static final String REAL_VALUES = """
            [[-1.5, 0.25], [1000, 0]]
            -----
            [-1.5 .25; 1000 0]
            -----
            [-1.5 +0.25
             1e3 -0]
            -----
            double[][] a = {{-1.5, 0.25}, {1000, 0}};
            -----
            float a[2][2] = {{-1.5f, 2.5e-1f}, {1e+3f, 0.f}};
            -----
            array([[-1.5e+00,  2.5e-01],
                   [ 1.0e+03,  0.0e+00]])
            -----
            -1.5 0.25
            1000 0
            -----
            -1.5;0.25
            1000;0
            -----
            -1,5;0,25
            1000;0
            -----
            -1,5	0,25
            1000,0	0,0
            -----
            −1.5 0.25
            1000 0
            -----
            | -1.5 | 0.25 |
            |---|---|
            | 1000 | 0 |
            -----
            | -1,5 | 0,25 |
            | 1000 | 0 |
            -----
            -\\frac{3}{2} & \\frac{1}{4} \\\\
            1000 & 0
            -----
            \\begin{pmatrix} -1.5 & 0{,}25 \\\\ 1000 & 0 \\end{pmatrix}
            -----
              1.0e+03 *

               -0.0015    0.00025
                1.0000    0
            -----
                    [,1] [,2]
            [1,]   -1.5 0.25
            [2,] 1000.0 0.00
            -----
            np.array([[-1.5, 0.25], [1000.0, 0]])
            -----
            [[float(-1.5), float(0.25)], [float(1000), float(0)]]
            """;

    static Stream<String> twoPixels() {
        return Stream.of(TWO_PIXELS.split("-----\n"));
    }

    static Stream<String> realValues() {
        return Stream.of(REAL_VALUES.split("-----\n"));
    }

    static Stream<String> twoByTwo() {
        return Stream.of(TWO_BY_TWO.split("-----\n"));
    }

    private static LoadedImage read(String text, ReadOptions options) {
        return ImageFiles.parse(text, options);
    }

    private static String rows(Image image) {
        return IntStream.range(0, image.rows()).mapToObj(i -> IntStream.range(0, image.columns()).mapToObj(j -> Decimals.table(image.value(i * image.columns() + j)))
                .collect(Collectors.joining(" "))).collect(Collectors.joining(" / "));
    }

    private static String lastRow(Image image) {
        return rows(image).replaceAll(".* / ", "");
    }

    private static ReadOptions with(ArrayOptions options) {
        return ReadOptions.DEFAULT.with(options);
    }

    private static String problem(String text, ReadOptions options) {
        try {
            read(text, options);
        } catch (PixeronException refused) {
            return refused.getMessage();
        }
        throw new AssertionError("read: " + text);
    }

    @ParameterizedTest
    @MethodSource("twoByTwo")
    void everyNotationOfOneArrayIsTheSameArray(String text) {
        assertThat(rows(read(text, ReadOptions.DEFAULT).image())).as(text).isEqualTo("52 55 / 61 59");
    }

    @ParameterizedTest
    @MethodSource("twoPixels")
    void everyNotationOfTwoPixelsIsTheSameColorImage(String text) {
        ColorImage color = read(text, ReadOptions.DEFAULT).color().orElseThrow();
        assertThat(Stream.of(color.red(), color.green(), color.blue()).map(NotationsTest::lastRow)).as(text).containsExactly("203 12", "130 34", "217 56");
    }

    @ParameterizedTest
    @MethodSource("realValues")
    void everyNotationOfRealValuesIsTheSameImage(String text) {
        assertThat(rows(read(text, ReadOptions.DEFAULT.asOpen()).image())).as(text).isEqualTo("-1.5 0.25 / 1000 0");
    }

    /** An array that is indexed x first: its rows are columns of the image, and pixels stay whole. */
    @Test
    void rowsAreTakenForColumns() {
        ReadOptions swapped = with(ArrayOptions.NONE.withSwapped(true));
        for (String text : new String[] {"[[1, 2, 3], [4, 5, 6]]", "1 2 3\n4 5 6\n", "1,2,3\n4,5,6\n", "| 1 | 2 | 3 |\n| 4 | 5 | 6 |\n"}) {
            assertThat(rows(read(text, swapped).image())).as(text).isEqualTo("1 4 / 2 5 / 3 6");
        }
        assertThat(read("[[1, 2, 3], [4, 5, 6]]", swapped).notes()).contains("The array was transposed: its rows are the columns of the image.");
        assertThat(rows(read("[1, 2, 3, 4, 5, 6]", with(ArrayOptions.NONE.withColumns(3).withSwapped(true))).image())).isEqualTo("1 4 / 2 5 / 3 6");
        ColorImage color = read("[[[1, 2, 3], [4, 5, 6]]]", swapped).color().orElseThrow();
        assertThat(rows(color.red()) + " | " + rows(color.blue())).isEqualTo("1 / 4 | 3 / 6");
    }

    @Test
    void thereAreManyOfThem() {
        assertThat(twoByTwo()).hasSizeGreaterThan(65);
    }

    @Test
    void whatWasReadIsSummedUpInOneLine() {
        assertThat(read("np.array([[52, 55], [61, 59]], dtype=np.uint8)", ReadOptions.DEFAULT).summary()).contains("Array, 2 × 2, uint8, levels 0–255");
        assertThat(read("[[52, 55], [61, 300]]", ReadOptions.DEFAULT).summary()).contains("Array, 2 × 2, brackets, levels 0–65535");
        assertThat(read("[[[1, 2, 3]], [[4, 5, 6]]]", ReadOptions.DEFAULT).summary()).contains("Array, 2 × 1, brackets, 3 channels, levels 0–255");
        assertThat(read("52 55\n61 59\n", ReadOptions.DEFAULT).summary()).isEmpty();
    }

    /** 1.0e+03 above a matrix is not silently dropped: 3 × 1000 is 3000. */
    @Test
    void theCommonFactorIsApplied() {
        LoadedImage loaded = read("A =\n\n  1.0e+03 *\n\n    0.0030    0.0520\n    3.0000    0.2550\n", ReadOptions.DEFAULT);
        assertThat(rows(loaded.image())).isEqualTo("3 52 / 3000 255");
        assertThat(loaded.notes()).anyMatch(note -> note.contains("1.0e+03"));
    }

    @Test
    void theTypeSaysTheMaximum() {
        assertThat(read("array([[1, 2]], dtype=uint16)", ReadOptions.DEFAULT).image().maximumLevel()).isEqualTo(65535);
        assertThat(read("array([[ True, False]])", ReadOptions.DEFAULT).image().maximumLevel()).isEqualTo(1);
        assertThat(rows(read("[[true, false], [FALSE, True]]", ReadOptions.DEFAULT).image())).isEqualTo("1 0 / 0 1");
        assertThat(read("array([[1, 2]], dtype=uint8)", ReadOptions.DEFAULT.withMaximum(7)).image().maximumLevel()).isEqualTo(7);
        assertThat(problem("array([[1, 300]], dtype=uint8)", ReadOptions.DEFAULT)).contains("300 is not a whole number from 0 to 255");
    }

    @Test
    void bytesPrintedWithASignAreAskedFor() {
        String text = "byte[][] a = {{52, -1}, {-128, 0}};";
        assertThat(problem(text, ReadOptions.DEFAULT)).contains("Row 0, column 1", "--signed-bytes", "--open");
        assertThat(rows(read(text, with(ArrayOptions.NONE.withSignedBytes(true))).image())).isEqualTo("52 255 / 128 0");
        assertThat(rows(read(text, ReadOptions.DEFAULT.asOpen()).image())).isEqualTo("52 -1 / -128 0");
        assertThat(problem("52 -1\n-128 0\n", ReadOptions.DEFAULT)).contains("--signed-bytes");
    }

    /** 0xFF346BAC is −13341780 as a number with a sign: red 52, green 107, blue 172. */
    @Test
    void packedPixelsAreAskedFor() {
        String text = "[[-13341780, 0x00FF8000]]";
        assertThat(problem(text, ReadOptions.DEFAULT)).contains("--packed argb");
        LoadedImage loaded = read(text, with(ArrayOptions.NONE.withPacked("rgb")));
        assertThat(rows(loaded.color().orElseThrow().red())).isEqualTo("52 255");
        assertThat(rows(loaded.color().orElseThrow().blue())).isEqualTo("172 0");
        assertThat(loaded.color().orElseThrow().alpha()).isEmpty();
        assertThat(rows(read("[[#346BAC, #FF800040]]", ReadOptions.DEFAULT).color().orElseThrow().alpha().orElseThrow())).isEqualTo("255 64");
    }

    @Test
    void threeLevelsArePixelsOrPlanes() {
        String pixels = "[[[1, 2, 3], [4, 5, 6]]]";
        assertThat(rows(read(pixels, ReadOptions.DEFAULT).color().orElseThrow().green())).isEqualTo("2 5");
        String both = "[[[1, 2, 3], [4, 5, 6]], [[7, 8, 9], [10, 11, 12]], [[13, 14, 15], [16, 17, 18]]]";
        assertThat(rows(read(both, ReadOptions.DEFAULT).color().orElseThrow().red())).isEqualTo("1 4 / 7 10 / 13 16");
        assertThat(read(both, ReadOptions.DEFAULT).notes()).anyMatch(note -> note.contains("--planes"));
        LoadedImage planes = read(both, with(ArrayOptions.NONE.withPlanes(true)));
        assertThat(rows(planes.color().orElseThrow().red())).isEqualTo("1 2 3 / 4 5 6");
        assertThat(rows(planes.color().orElseThrow().blue())).isEqualTo("13 14 15 / 16 17 18");
        assertThat(rows(read("[[[1, 2], [3, 4]], [[5, 6], [7, 8]], [[9, 10], [11, 12]]]", ReadOptions.DEFAULT).color().orElseThrow().green())).isEqualTo("5 6 / 7 8");
    }

    /** Where lines hold several brackets of one level, each is a pixel. */
    @Test
    void bracketsBesideEachOtherArePixels() {
        LoadedImage loaded = read("[1, 2, 3] [4, 5, 6]\n[7, 8, 9] [10, 11, 12]\n", ReadOptions.DEFAULT);
        assertThat(rows(loaded.color().orElseThrow().red())).isEqualTo("1 4 / 7 10");
    }

    @Test
    void aFlatListGetsRowsAndChannels() {
        ReadOptions two = with(ArrayOptions.NONE.withColumns(2));
        for (String text : new String[] {"[52, 55, 61, 59]", "52 55 61 59", "52\n55\n61\n59", "[1] 52 55\n[3] 61 59", "matrix(c(52, 55, 61, 59), nrow = 2)"}) {
            assertThat(rows(read(text, two).image())).as(text).isEqualTo("52 55 / 61 59");
        }
        assertThat(problem("[52, 55, 61]", two)).contains("3 values", "not a multiple of 2");
        assertThat(problem("[[52, 55], [61, 59]]", two)).contains("--columns applies to a flat list");
        LoadedImage color = read("[3, 2, 1, 6, 5, 4]", with(ArrayOptions.NONE.withColumns(1).withChannels("bgr")));
        assertThat(rows(color.color().orElseThrow().red())).isEqualTo("1 / 4");
        assertThat(problem("[1, 2, 3]", with(ArrayOptions.NONE.withChannels("rgx")))).contains("not an order of channels");
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "[[1, 2], [3, 4};the “[” of line 1", "[[1, 2], [3, 4]; is not closed", "[[1, 2], [3]];Row 1 (counted from 0) has 1 cell, but row 0 has 2", "[[1, ..., 3]];after row 0, column 0. Print the whole array",
        "[[1, 2], 3];is beside brackets", "[[1, , 2]];between two commas", "[1 - 2];is not a number", "[1-2];is not a number", "[[[[1]]]];4 levels deep", "[[1, x]];“x” is not a number",
        "[[1, nan]];\"nan\" is not a number", "a = [[1, 2]]\nb = [[3, 4]];in line 1 and in line 2", "[[1, 2]]\n3 4;Line 2 has numbers outside the array of line 1", "3, 4\n[[1, 2]];Line 1 has numbers outside",
        "| 1 | 2 |\n3 4;has no bars", "[[1, 2]].T;Print the transposed array", "np.array([1, 2, 3, 4]).reshape(2, 2);--columns",
        "[[1e500, 2]];is not a number", "not a picture;is not a number", "52 55\n61;row 0 has 2", "[[], []];is not a number"})
    void whatIsNoArrayIsRefusedInOneLine(String textAndWords) {
        int end = textAndWords.lastIndexOf(';');
        assertThat(problem(textAndWords.substring(0, end), ReadOptions.DEFAULT)).contains(textAndWords.substring(end + 1)).doesNotContain("\n");
    }

    @Test
    void nothingIsReadWronglyInSilence() {
        assertThatThrownBy(() -> read("[[1, 2], [3, 4]]\n5 6 7\n[[8, 9]]", ReadOptions.DEFAULT)).isInstanceOf(PixeronException.class);
        assertThat(read("     [,1] [,2]\n[1,]   52   55\n[2,]   61   59\n", ReadOptions.DEFAULT).notes()).anyMatch(note -> note.contains("Labels were dropped"));
        assertThat(read("first,second\n52,55\n", ReadOptions.DEFAULT).notes()).anyMatch(note -> note.contains("One line above the numbers was skipped"));
    }

    /** Texts that are cut, doubled, shuffled or have foreign characters are read, or refused in one line; -Dpixeron.mutants=100000 tries more. */
    @Test
    void brokenTextsEndReadOrRefused() {
        List<String> texts = twoByTwo().toList();
        Random random = new Random(34);
        for (int n = 0; n < Integer.getInteger("pixeron.mutants", 4000); n++) {
            StringBuilder text = new StringBuilder(texts.get(random.nextInt(texts.size())));
            for (int change = random.nextInt(4); change >= 0 && text.length() > 1; change--) {
                mutate(text, texts, random);
            }
            try {
                assertThat(read(text.toString(), ReadOptions.DEFAULT).result().frame().count()).isPositive();
            } catch (PixeronException refused) {
                assertThat(refused.getMessage()).isNotBlank().doesNotContain("\n").hasSizeLessThan(301);
            } catch (RuntimeException broken) {
                throw new AssertionError(text.toString(), broken);
            }
        }
    }

    private static void mutate(StringBuilder text, List<String> texts, Random random) {
        int from = random.nextInt(text.length());
        int to = Math.min(text.length(), from + 1 + random.nextInt(12));
        String piece = text.substring(from, to);
        switch (random.nextInt(5)) {
            case 0 -> text.delete(from, to);
            case 1 -> text.insert(from, piece);
            case 2 -> text.setCharAt(from, "[](){};,|&\\#%*/.-+0eEx\"'\n\t é⋮…".charAt(random.nextInt(30)));
            case 3 -> text.delete(from, to).insert(random.nextInt(text.length() + 1), piece);
            default -> text.insert(from, texts.get(random.nextInt(texts.size())));
        }
    }
}
