package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;

/** What steps say of the places that their values come from and go to, against what happens when an input is changed. */
class SourcesLawTest {

    private static Image changed(Image image, Pixel pixel) {
        Value value = image.value(pixel);
        return image.with(new int[] {image.offset(pixel)}, value.equals(Rational.ONE) ? Rational.ZERO : Rational.ONE);
    }

    /** Statistics and formulas over the whole image read every pixel; their value comes from all of it. */
    private static boolean readsAll(Step step) {
        return !step.bind(Image.of(7, new int[][] {{1, 2}, {3, 5}})).tables().isEmpty();
    }

    private static Optional<Value> value(Step step, Image image, Pixel pixel) {
        try {
            return Optional.of(step.bind(image).value(pixel));
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
    }

    @Property(tries = 300)
    void aPixelThatIsNoSourceChangesNothing(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, before);
        Operation operation = step.bind(before);
        Pixel pixel = operation.frame().pixel(random.nextInt(operation.frame().count()));
        Pixel other = before.pixel(random.nextInt(before.count()));
        Set<Pixel> sources = operation.sources(pixel).stream().flatMap(source -> source.pixel().stream()).collect(Collectors.toSet());
        boolean isTwice = step.type().name().equals("open") || step.type().name().equals("close");
        // Another image that is this one changes with it.
        if (!sources.contains(other) && !isTwice && !isStatistical(step) && step.references().isEmpty()) {
            assertThat(value(step, changed(before, other), pixel)).as(step.line()).contains(operation.value(pixel));
        }
    }

    private static boolean isStatistical(Step step) {
        try {
            return readsAll(step);
        } catch (PixeronException notThere) {
            return true;
        }
    }

    /** Every source is in the image with the value that is said; what moves values goes there and back. */
    @Property(tries = 300)
    void sourcesAreWhereTheyAreSaidToBe(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Operation operation = StepArbitraries.step(random, before).bind(before);
        Pixel pixel = operation.frame().pixel(random.nextInt(operation.frame().count()));
        List<Source> sources = operation.sources(pixel);
        assertThat(sources).isNotEmpty();
        boolean isTwice = operation.sheetNames().stream().anyMatch(name -> name.endsWith("ed"));
        for (Source source : sources) {
            assertThat(source.isInside()).isEqualTo(before.contains(new Pixel(source.row(), source.column())));
            if (!isTwice && source.pixel().isPresent()) {
                assertThat(source.value()).contains(before.value(source.pixel().get()));
            }
        }
        operation.counterpart(pixel).filter(before::contains).flatMap(operation::home).ifPresent(home ->
                assertThat(operation.contains(home)).isTrue());
        // With an area a pixel can both stay and be moved somewhere else.
        boolean isWhole = !operation.step().arguments().isGiven(StepType.AREA);
        if (operation.isMoving() && isWhole && sources.size() == 1 && sources.get(0).isInside() && sources.get(0).pixel().isPresent()) {
            // Of several copies of a pixel one is its home; that one comes from it.
            Pixel source = sources.get(0).pixel().orElseThrow();
            assertThat(operation.home(source).flatMap(operation::counterpart)).as(operation.step().line()).contains(source);
        }
    }

    /** The new level in the levels table is the value of every pixel that has the level. */
    @Property(tries = 100)
    void theLevelsTableSaysTheValues(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Operation operation = StepArbitraries.step(random, before).without(StepType.AREA).bind(before);
        operation.tables().stream().filter(table -> table.name().equals("levels")).forEach(table -> {
            for (int n = 0; n < before.count(); n++) {
                int row = table.row(before.value(n).toString());
                assertThat(table.value(row, "s")).as(operation.step().line()).contains(operation.value(before.pixel(n)));
            }
        });
    }
}
