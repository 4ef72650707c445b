package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.util.HashSet;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;

class VariantsTest {

    private static final GivenImage SORT = new GivenImage.Samples(Image.of(7, new int[][] {{1, 2, 3}, {4, 5, 6}}));

    private static Exercise adding(Wish wish, List<Choice> choices, String... steps) {
        return new Exercise("Ink", "", SORT, List.of(steps), choices, List.of(Exercises.all(1, 1)), wish, 7);
    }

    private static Choice list(String name, String... values) {
        return new Choice.OfList(name, List.of(values));
    }

    /** The generator written down once more, in the plain words of its definition. */
    private static long drawn(long seed, int variant, int draw, int choice, long count) {
        long z = seed + 65536L * variant + draw + (choice + 1) * 0x9E3779B97F4A7C15L;
        z = (z ^ z >>> 30) * 0xBF58476D1CE4E5B9L;
        z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
        z ^= z >>> 31;
        return new BigInteger(Long.toUnsignedString(z >>> 11)).multiply(BigInteger.valueOf(count)).shiftRight(53).longValueExact();
    }

    @Property(tries = 50)
    void choicesAreDrawnByTheGenerator(@ForAll long seed) {
        Exercise exercise = new Exercise("Ink", "", SORT, List.of("linear gain={g} bias={b}", "add amount={variant}"), List.of(list("g", "1", "2", "3"),
                new Choice.OfRange("b", Rational.of(-5), Rational.of(5), Rational.HALF)), List.of(Exercises.all(1, 1)), Wish.NONE, seed);
        for (int n : new int[] {1, 2, 17, 9999}) {
            Variant variant = new Variants(exercise).variant(n);
            long g = drawn(seed, n, 0, 0, 3);
            long b = drawn(seed, n, 0, 1, 21);
            assertThat(variant.values()).isEqualTo(Map.of("g", String.valueOf(1 + g), "b", String.valueOf(-5 + b * 0.5).replaceAll("\\.0$", "")));
            assertThat(variant.chain().links().get(1).step().line()).isEqualTo("add amount=" + n);
        }
    }

    /** With seed 7 the shares are known: they were calculated apart from the program, and choose the values 9 and 3 of ten for variants 1 and 2;
     * for variant 3 they choose 9 once more, which is alike, and then 8. */
    @Test
    void workedExample() {
        Exercise exercise = adding(Wish.NONE, List.of(list("a", "1", "2", "3", "4", "5", "6", "7", "8", "9", "10")), "subtract amount={a}");
        assertThat(new Variants(exercise).first(3).stream().map(variant -> variant.values().get("a"))).containsExactly("9", "3", "8");
    }

    @Property(tries = 30)
    void wishesHold(@ForAll long seed) {
        Exercise exercise = new Exercise("Ink", "", new GivenImage.Made("uniform-noise rows=3 columns=3 maximum=20 seed={s}"), List.of("linear gain={g} bias=4"),
                List.of(new Choice.OfRange("s", Rational.ZERO, Rational.of(99999), Rational.ONE), list("g", "0.5", "1.25", "1.1", "0.875")),
                List.of(Exercises.all(1, 1)), new Wish(true, OptionalInt.of(2), 2), seed);
        for (Variant variant : new Variants(exercise).first(10)) {
            Operation operation = variant.chain().stage(0).operation(Progress.NONE).orElseThrow();
            int clipped = 0;
            for (int n = 0; n < 9; n++) {
                Rational exact = (Rational) operation.exact(new Pixel(n / 3, n % 3));
                assertThat(exact.times(Rational.of(100)).isWhole()).isTrue();
                assertThat(exact.minus(exact.floor())).isNotEqualTo(Rational.HALF);
                clipped += exact.compareTo(Rational.of(41, 2)) >= 0 ? 1 : 0;
            }
            assertThat(clipped).isGreaterThanOrEqualTo(2);
        }
    }

    /** The first draw whose wishes hold is taken, and no later one. */
    @Test
    void theFirstDrawThatHoldsIsTaken() {
        Exercise exercise = adding(new Wish(true, OptionalInt.empty(), 0), List.of(list("a", "0.5", "1.5", "2.5", "1"), list("b", "1", "2", "3", "4", "5", "6", "7", "8")),
                "add amount={a}", "add amount={b}");
        Variants variants = new Variants(exercise);
        for (int n = 1; n <= 4; n++) {
            Variant variant = variants.variant(n);
            assertThat(variant.values().get("a")).isEqualTo("1");
            for (int draw = 0; draw < variant.draw(); draw++) {
                int number = n;
                boolean isTie = drawn(7, n, draw, 0, 4) < 3;
                String b = String.valueOf(1 + drawn(7, n, draw, 1, 8));
                assertThat(isTie || variants.first(number - 1 == 0 ? 1 : number - 1).stream().anyMatch(other -> other.values().get("b").equals(b))).isTrue();
            }
        }
    }

    @Test
    void noTwoOfTenThousandAreAlike() {
        Set<List<Object>> seen = new HashSet<>();
        for (Variant variant : new Variants(Exercises.threeParts(1)).first(Variants.MOST)) {
            assertThat(seen.add(List.of(variant.chain().input(), variant.values().get("t")))).isTrue();
        }
        assertThat(seen).hasSize(Variants.MOST);
    }

    /** Variants are the same alone and in a row, and from one run to the next. */
    @Test
    void aVariantFollowsFromExerciseAndSeedAlone() {
        List<Variant> all = new Variants(Exercises.threeParts(3)).first(40);
        assertThat(new Variants(Exercises.threeParts(3)).variant(40).chain()).isEqualTo(all.get(39).chain());
        assertThat(new Variants(Exercises.threeParts(4)).variant(40).chain()).isNotEqualTo(all.get(39).chain());
        assertThat(all.get(11).code()).hasToString(all.get(0).code().exercise() + "-012");
        assertThat(all.get(11).task()).startsWith("Proof 12: equalize it, then threshold at ").doesNotContain("{");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"0; There is no variant 0", "10001; There is no variant 10001", "4; To get one, use fewer variants, or choices with more values"})
    void saysWhyAVariantCannotBeHad(int number, String message) {
        Variants variants = new Variants(adding(Wish.NONE, List.of(list("a", "1", "2", "3")), "add amount={a}"));
        assertThatThrownBy(() -> variants.variant(number)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
        assertThatThrownBy(() -> variants.first(100_000)).isInstanceOf(PixeronException.class).hasMessageContaining("1 to 10000");
    }

    @Test
    void saysWhichWishCannotHold() {
        assertThatThrownBy(() -> new Variants(adding(new Wish(true, OptionalInt.empty(), 0), List.of(list("a", "0.5", "1.5")), "add amount={a}")).variant(1))
                .hasMessageContaining("results without rounding ties");
        assertThatThrownBy(() -> new Variants(adding(new Wish(false, OptionalInt.of(1), 0), List.of(list("a", "3")), "divide divisor={a}")).variant(1))
                .hasMessageContaining("at most 1 decimal").hasMessageContaining("there are no random numbers");
        assertThatThrownBy(() -> new Variants(adding(new Wish(false, OptionalInt.empty(), 7), List.of(list("a", "9", "8")), "add amount={a}")).variant(1))
                .hasMessageContaining("at least 7 clipped");
    }

    @Test
    void refusesWhatIsNoExercise() {
        assertThatThrownBy(() -> adding(Wish.NONE, List.of(), "add amount={a}")).hasMessageContaining("There is no choice \"a\"");
        assertThatThrownBy(() -> adding(Wish.NONE, List.of(list("a", "1"), list("a", "2")), "add amount={a}")).hasMessageContaining("The choice \"a\" is given twice");
        assertThatThrownBy(() -> adding(Wish.NONE, List.of(), new String[0])).hasMessageContaining("The exercise asks for step 1, but there are 0");
        assertThatThrownBy(() -> list("variant", "1")).hasMessageContaining("\"variant\" is not a valid name of a choice");
        assertThatThrownBy(() -> list("a")).hasMessageContaining("no values");
        assertThatThrownBy(() -> new Choice.OfRange("a", Rational.ONE, Rational.ZERO, Rational.ONE)).hasMessageContaining("The increment must be positive");
        assertThatThrownBy(() -> new Variants(adding(Wish.NONE, List.of(), "ad amount=1")).variant(1)).hasMessageContaining("Step 1, \"ad amount=1\"");
        Asked outside = new Asked(1, Image.VALUE, new Asked.Some(List.of(new Pixel(2, 0))), Rational.ONE);
        assertThatThrownBy(() -> variant(outside).parts()).hasMessageContaining("row 2, column 0").hasMessageContaining("2 × 3");
        assertThatThrownBy(() -> variant(Exercises.column(1, "otsu", "t", 1)).parts()).hasMessageContaining("no table \"otsu\"");
        assertThatThrownBy(() -> variant(Exercises.column(1, "levels", "k", 1)).parts()).hasMessageContaining("no column \"k\" to fill in");
        Asked face = new Asked(1, "magnitude", new Asked.All(), Rational.ONE);
        assertThatThrownBy(() -> variant(face).parts()).hasMessageContaining("has the components value");
    }

    private static Variant variant(Asked asked) {
        return new Variants(new Exercise("Ink", "", SORT, List.of("equalize"), List.of(), List.of(asked), Wish.NONE, 1)).variant(1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"3, 4,5; 3, 4, 5; 3; 5", "1 to 9; 1 to 9; 9; 9", "0 to 2 by 0.25; 0 to 2 by 0.25; 9; 2", "-1 … 1; -1 to 1; 3; 1", "zero, wrap; zero, wrap; 2; wrap"})
    void choicesAreReadAsPeopleWriteThem(String text, String again, int count, String last) {
        Choice choice = Choice.parse("a", text);
        assertThat(choice.text()).isEqualTo(again);
        assertThat(choice.count()).isEqualTo(count);
        assertThat(choice.value(count - 1L)).isEqualTo(last);
        assertThatThrownBy(() -> Choice.parse("a", " , ")).hasMessageContaining("has no values");
    }

    @Test
    void partsHaveTheRightValues() {
        Part.OfTable constants = (Part.OfTable) variant(new Asked(1, Image.VALUE, new Asked.Constants(), Rational.ONE)).parts().get(0);
        assertThat(constants.columns()).containsExactly("N");
        assertThat(constants.values()).containsExactly((Value) Rational.of(6));
        Part.OfTable running = (Part.OfTable) variant(Exercises.column(1, "levels", "running", 1)).parts().get(0);
        assertThat(running.values().map(Value::asDouble)).containsExactly(0.0, 1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 6.0);
        Part.OfTable way = (Part.OfTable) variant(new Asked(1, Image.VALUE, new Asked.OnTheWay(new Pixel(0, 1)), Rational.ONE)).parts().get(0);
        assertThat(way.columns()).contains("rounded");
        assertThat(way.count()).isEqualTo(way.columns().size());
    }

    /** A draw that does not end is a sentence that says what to change; where nobody wants it any more, it is canceled. */
    @Test
    void drawingEndsWhereItTakesTooLong() {
        Exercise large = new Exercise("Large", "Clip it.", new GivenImage.Made("uniform-noise rows=256 columns=256 maximum=65535 seed={s}"), List.of("multiply factor=0.9"),
                List.of(new Choice.OfRange("s", Rational.ONE, Rational.of(1000), Rational.ONE)), List.of(Exercises.all(1, 1)), new Wish(false, OptionalInt.empty(), 1), 1);
        int[] asked = {0};
        Variants impatient = new Variants(large, () -> done -> asked[0]++ < 100_000);
        assertThatThrownBy(() -> impatient.variant(1)).isInstanceOf(PixeronException.class).hasMessageContaining("No valid variant 1 was found within 10 seconds: none of 1 tries has at least 1 clipped")
                .hasMessageContaining("Use a smaller image");
        Variants hopeless = new Variants(large, () -> done -> false);
        assertThatThrownBy(() -> hopeless.variant(1)).hasMessageContaining("its steps take too long");
        assertThatThrownBy(() -> new Variants(large).variant(1, done -> false)).isInstanceOf(CancellationException.class);
        assertThatThrownBy(() -> new Variants(large).first(2, done -> false)).isInstanceOf(CancellationException.class);
    }
}
