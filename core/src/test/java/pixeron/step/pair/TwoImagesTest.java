package pixeron.step.pair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.chain.Chain;
import pixeron.format.CellTable;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.image.Rows;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
import pixeron.walk.PseudoCode;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;
import pixeron.working.Line;

/** Steps that take another image: worked numbers, laws, and what they refuse. */
class TwoImagesTest {

    /** 0 1 2 3, then 4 5 6 7. */
    private static final Image SORT = Image.of(7, new int[][] {{0, 1, 2, 3}, {4, 5, 6, 7}});
    /** The second pull: 7 0 2 1, then 4 4 7 1. */
    private static final Image PULL = Image.of(7, new int[][] {{7, 0, 2, 1}, {4, 4, 7, 1}});

    private static Chain chain(Result source, Map<String, Result> images, String... lines) {
        Chain chain = Chain.of(source).withImages(images);
        for (String line : lines) {
            chain = chain.withStep(chain.size(), StepLine.parse(line));
        }
        return chain;
    }

    private static Chain chain(String... lines) {
        return chain(SORT, Map.of("pull", PULL), lines);
    }

    private static Operation last(Chain chain) {
        chain.last(Progress.NONE).required();
        return chain.stage(chain.size() - 1).operation(Progress.NONE).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "combine with=pull by=sum; 7 1 4 4 | 7 7 7 7",
        "combine with=pull by=sum overflow=keep; 7 1 4 4 | 8 9 13 8",
        "combine with=pull by=difference; 0 1 0 2 | 0 1 0 6",
        "combine with=pull by=absolute-difference; 7 1 0 2 | 0 1 1 6",
        "combine with=pull by=product rounding=none; 0 0 4/7 3/7 | 16/7 20/7 6 1",
        "combine with=pull by=quotient area=\"1 0 1 4\"; 0 1 2 3 | 7 7 6 7",
        "combine with=pull by=mean; 4 1 2 2 | 4 5 7 4",
        "combine with=pull by=blend share=1/4 rounding=none; 7/4 3/4 2 5/2 | 4 19/4 25/4 11/2",
        "combine with=pull by=minimum; 0 0 2 1 | 4 4 6 1",
        "combine with=pull by=maximum; 7 1 2 3 | 4 5 7 7",
        "combine with=pull by=and; 0 0 2 1 | 4 4 6 1",
        "combine with=pull by=or; 7 1 2 3 | 4 5 7 7",
        "combine with=pull by=xor; 7 1 0 2 | 0 1 1 6",
        "formula expression=\"if(t > r, t, 0) + i\" with=pull; 7 0 0 0 | 1 1 7 1",
        "formula expression=\"max - t\" with=pull; 0 7 5 6 | 3 3 0 6",
        "paste row=0 column=1 from=\"0 0 2 2\"; 0 0 1 3 | 4 4 5 7",
        "paste row=-1 column=3 with=pull; 0 1 2 4 | 4 5 6 7",
        "paste row=1 column=-2 with=pull from=\"0 1 1 3\"; 0 1 2 3 | 1 5 6 7",
        "join with=pull side=below; 0 1 2 3 | 4 5 6 7 | 7 0 2 1 | 4 4 7 1",
        "join with=pull side=left; 7 0 2 1 0 1 2 3 | 4 4 7 1 4 5 6 7"})
    void workedNumbers(String line, String expected) {
        Chain chain = chain(line);
        assertThat(Rows.of(chain.last(Progress.NONE).image())).isEqualTo(expected);
    }

    /** The target's cumulative shares are 0, 1/2, 1/2 and 1: 1/8 and 2/8 (as far from both) go to 0, 7/8 to 3. */
    @Test
    void countsOfAnotherImageAreATarget() {
        Image target = Image.of(3, new int[][] {{1, 3}});
        assertThat(Rows.of(chain(SORT, Map.of("target", target), "match with=target").last(Progress.NONE).image()))
                .isEqualTo("0 0 1 1 | 1 1 3 3");
        assertThatThrownBy(() -> chain(SORT, Map.of("target", Image.of(15, new int[][] {{9}})), "match with=target").last(Progress.NONE)
                .required()).hasMessageContaining("The target of match needs levels, but the value at row 0, column 0 is 9, not a whole number from 0 to 7");
    }

    private static final String[] WAYS = {"sum", "difference", "absolute-difference", "product", "quotient", "mean", "blend share=0.3",
        "minimum", "maximum", "and", "or", "xor"};

    /** All at once, one by one, working and loop say the same, for two images that have nothing to do with each other. */
    @Property(tries = 400)
    void allAtOnceIsAsOneByOne(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        boolean isOpen = random.nextInt(4) == 0;
        Image other = Image.from(before.rows(), before.columns(), before.maximumLevel(), random.ints(before.count(), 0,
                before.maximumLevel() + 1).mapToObj(n -> Rational.of(n, isOpen ? 3 : 1)).toArray(Value[]::new));
        List<String> lines = List.of("combine with=other by=" + WAYS[random.nextInt(WAYS.length)] + " rounding=ceiling",
                "formula expression=\"r - t + j\" with=other overflow=wrap", "paste row=" + (random.nextInt(3) - 1) + " column=0 with=other",
                "paste row=0 column=0 from=\"0 0 1 1\" area=\"0 0 1 1\"",
                "join with=other side=" + List.of("right", "left", "above", "below").get(random.nextInt(4)));
        for (String line : lines) {
            Chain chain = chain(before, Map.of("other", other), line);
            Optional<Image> result = image(chain);
            if (result.isEmpty()) {
                continue;
            }
            Operation operation = last(chain);
            Image made = result.get();
            assertThat(made.frame()).isEqualTo(operation.frame());
            for (int n = 0; n < made.count(); n++) {
                assertThat(operation.value(made.pixel(n))).as(line).isEqualTo(made.value(n));
            }
            Pixel pixel = made.pixel(random.nextInt(made.count()));
            assertThat(operation.explain(pixel).result()).as(line).isEqualTo(made.value(pixel));
            PseudoCode code = PseudoCode.of(operation, Visits.of(ScanOrder.ROWS, made.rows(), made.columns()), pixel);
            assertThat(code.variables(code.moments().size()).stream().filter(held -> held.name().equals("after[i][j]")).findFirst().orElseThrow()
                    .value()).as(line).isEqualTo(Decimals.working(made.value(pixel)));
        }
    }

    private static Optional<Image> image(Chain chain) {
        try {
            return Optional.of(chain.last(Progress.NONE).image());
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
    }

    /** More pixels than pairs of levels: the pairs are calculated beforehand. */
    @Property(tries = 30)
    void pairsOfLevelsGiveWhatPixelsGive(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = Image.ofLevels(9, 9, 7, n -> random.nextInt(8));
        Image other = Image.ofLevels(9, 9, 7, n -> random.nextInt(8));
        for (String way : WAYS) {
            String line = "combine with=other by=" + way + (random.nextBoolean() ? " area=\"1 2 7 7\"" : "");
            // Rows twice beneath each other are no multiple of pairs less: the same pixels, too few of them.
            Image few = Image.ofLevels(1, 9, 7, n -> before.level(n));
            Image fewOthers = Image.ofLevels(1, 9, 7, n -> other.level(n));
            Optional<Image> all = image(chain(before, Map.of("other", other), line));
            Optional<Image> row = image(chain(few, Map.of("other", fewOthers), "combine with=other by=" + way));
            if (all.isPresent() && row.isPresent() && !line.contains("area")) {
                for (int n = 0; n < few.count(); n++) {
                    assertThat(all.get().value(n)).as(line).isEqualTo(row.get().value(n));
                }
            }
            all.ifPresent(image -> {
                Operation operation = last(chain(before, Map.of("other", other), line));
                for (int n = 0; n < image.count(); n++) {
                    assertThat(image.value(n)).as(line).isEqualTo(operation.value(image.pixel(n)));
                }
            });
        }
    }

    @Property(tries = 100)
    void sumThenDifferenceGivesTheImageBack(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        assertThat(chain(before, Map.of(), "add amount=1/3 rounding=none overflow=keep", "combine with=step:0 by=sum rounding=none overflow=keep",
                "combine with=step:1 by=difference rounding=none overflow=keep").last(Progress.NONE).image()).isEqualTo(before);
    }

    @Test
    void theWorkingSaysWhereTheOtherSampleIsFrom() {
        List<Line> lines = last(chain("invert", "combine with=step:0 by=mean")).explain(new Pixel(0, 1)).lines();
        assertThat(lines).extracting(Line::text).startsWith("s = (r + t) ÷ 2", "t = 1   step:0 at row 0, column 1", "s = (6 + 1) ÷ 2", "  = 7 ÷ 2");
        assertThat(last(chain("combine with=pull by=xor")).explain(new Pixel(1, 2)).lines()).extracting(Line::text)
                .startsWith("s = r xor t", "t = 7   pull at row 1, column 2", "0b110 xor 0b111 = 0b001", "s = 6 xor 7");
        assertThat(last(chain("paste row=-1 column=3 with=pull")).explain(new Pixel(0, 3)).lines()).extracting(Line::text)
                .containsExactly("s(i, j) = t(i − row + first row, j − column + first column) in the piece, else r(i, j)",
                        "in rows −1 to 0, columns 3 to 6 of pull", "(0 + 1, 3 − 3) = (1, 0) of pull", "s = t(1, 0) = 4");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "combine with=elsewhere by=sum; There is no image elsewhere. The images are: pull, small",
        "combine with=step:1 by=sum; step:1 does not come before this step, which is step 1",
        "combine with=step:7 by=sum; step:7 does not come before this step, which is step 1",
        "combine with=small by=sum; The image has 2 × 4 pixels, small 1 × 2; bring one to the size of the other with crop, pad or resize",
        "combine with=pull by=quotient; has no value",
        "formula expression=\"t\" with=small; formula needs two images of the same size",
        "paste row=2 column=0 with=pull; the rectangle has 2 × 4 pixels, the image 2 × 4",
        "paste row=0 column=0 from=\"1 1 2 1\"; paste copies the rectangle \"1 1 2 1\" (row column height width) up to row 2, column 1, but the image ends at row 1, column 3",
        "join with=small side=right; needs the same number of rows in both. The image has 2 × 4 pixels, small 1 × 2"})
    void whatCannotBeDoneIsSaidInOneLine(String line, String message) {
        Chain chain = chain(SORT, new java.util.TreeMap<>(Map.of("pull", PULL, "small", Image.of(7, new int[][] {{1, 2}}))), line);
        assertThatThrownBy(() -> chain.last(Progress.NONE).required()).hasMessageContaining(message);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"combine with=pull; by", "combine by=sum; with", "combine with=pull by=sum share=1; Weight (share) applies to by=blend, not to by=sum",
        "combine with=pull by=blend; share=a from 0 to 1", "combine with=pull by=blend share=2; share=2 is not allowed",
        "combine with=pull by=times; by=times is not valid", "paste row=0 column=0; needs from=", "paste row=0 column=0 with=self; needs from=",
        "join with=pull; side", "formula expression=t; t"})
    void whatIsMissingIsSaid(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line)).hasMessageContaining(message);
    }

    private static String explained(Chain chain, String byHand) {
        Operation right = last(chain);
        HandSheet sheet = HandSheet.of(CellTable.parse(byHand.replace(" | ", "\n").replace(' ', ',')), right.frame());
        return new SlipFinder(right).find(Check.of(sheet, right), Progress.NONE).slips().stream().map(Explanation::ids).map(ids -> ids.get(0))
                .collect(Collectors.joining(" "));
    }

    /** Each by hand as a user writes it who makes just this slip. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "order-swapped; combine with=pull by=difference; 7 0 0 0 | 0 0 1 0",
        "order-swapped; combine with=pull by=blend share=1/4; 5 0 2 2 | 4 4 7 3",
        "not-absolute; combine with=pull by=absolute-difference; -7 1 0 2 | 0 1 -1 6",
        "not-absolute; combine with=pull by=absolute-difference; 0 1 0 2 | 0 1 0 6",
        "wrong-operation; combine with=pull by=minimum; 7 1 2 3 | 4 5 7 7",
        "counted-from-one; paste row=0 column=1 from=\"0 0 1 2\"; 0 1 2 3 | 4 5 0 1",
        "corner-for-size; paste row=0 column=2 from=\"0 0 2 2\"; 0 1 0 3 | 4 5 6 7"})
    void slips(String id, String line, String byHand) {
        assertThat(explained(chain(line), byHand)).startsWith(id);
    }

    /** Channel by channel; an image for each channel; alpha stays that of the first where the other has none. */
    @Test
    void onAColorImage() {
        ColorImage ink = new ColorImage(Image.of(255, new int[][] {{10}}), Image.of(255, new int[][] {{20}}), Image.of(255, new int[][] {{30}}),
                Optional.of(Image.of(255, new int[][] {{40}})));
        ColorImage opaque = new ColorImage(ink.blue(), ink.red(), ink.green(), Optional.empty());
        Map<String, Result> images = new HashMap<>(Map.of("opaque", opaque, "ink", ink, "gray", Image.of(255, new int[][] {{5}})));
        assertThat(inks(ink, images, "combine with=opaque by=sum")).isEqualTo("40 30 50 40");
        assertThat(inks(ink, images, "combine with=opaque by=sum channels=\"red alpha\"")).isEqualTo("40 20 30 40");
        assertThat(inks(ink, images, "combine with=ink by=sum channels=\"red alpha\"")).isEqualTo("20 20 30 80");
        assertThat(inks(ink, images, "combine with=gray by=sum")).isEqualTo("15 25 35 40");
        assertThat(inks(ink, images, "join with=opaque side=right")).isEqualTo("10 30 20 10 30 20 40 255");
        assertThat(inks(ink, images, "paste row=0 column=0 with=opaque")).isEqualTo("30 10 20 40");
        assertThatThrownBy(() -> chain(ink.red(), images, "combine with=ink by=sum").last(Progress.NONE).required())
                .hasMessageContaining("Step 1: combine with=ink needs an image, but ink is a color image. Add a gray step before it.");
    }

    private static String inks(Result source, Map<String, Result> images, String line) {
        return chain(source, images, line).last(Progress.NONE).required().faces().stream().flatMap(face -> Arrays.stream(Rows.of(face.image())
                .split(" "))).collect(Collectors.joining(" "));
    }
}
