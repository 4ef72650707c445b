package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.byhand.Verdict;
import pixeron.exercise.practice.Attempt;
import pixeron.exercise.practice.Practiced;
import pixeron.exercise.practice.PracticedFile;
import pixeron.exercise.practice.Trial;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.Progress;

class PracticeTest {

    private static final List<String> TOPICS = List.of("a", "b", "c", "d");

    private static Attempt attempt(String topic, boolean isRight, String... slips) {
        return new Attempt(topic, 1, isRight, List.of(slips), 60);
    }

    /** a wrong, then b: a comes again after one other; b right comes after two. */
    @Test
    void whatWentWrongComesAgainSooner() {
        Practiced practiced = Practiced.NONE;
        List<String> order = new ArrayList<>();
        for (int n = 0; n < 8; n++) {
            String next = practiced.next(TOPICS);
            order.add(next);
            practiced = practiced.with(attempt(next, !next.equals("a") || n > 2));
        }
        // a is wrong at 0 and 2; due at 2 and 4. b right at 1: due at 4. At 3 only c is new; at 4 a and b are due, b longest or first.
        assertThat(order).containsExactly("a", "b", "a", "c", "a", "b", "c", "a");
    }

    @Property(tries = 100)
    void nothingIsForgotten(@ForAll long seed) {
        Random random = new Random(seed);
        Practiced practiced = Practiced.NONE;
        for (int n = 0; n < 200; n++) {
            practiced = practiced.with(attempt(practiced.next(TOPICS), random.nextInt(3) > 0));
        }
        for (String topic : TOPICS) {
            int last = practiced.attempts().stream().map(Attempt::topic).toList().lastIndexOf(topic);
            // Right five times and more, a topic waits for 32 others, and for those that are due before it.
            assertThat(last).as(topic).isGreaterThan(200 - 32 - TOPICS.size() - 1);
            assertThat(practiced.level(topic)).isBetween(0, 5);
        }
    }

    @Test
    void aTopicIsSummedUp() {
        Practiced practiced = Practiced.NONE.with(attempt("a", false, "rounded-down", "rounded-down", "miscounted")).with(attempt("a", true))
                .with(attempt("a", false, "rounded-down")).with(attempt("b", true));
        Practiced.Summary summary = practiced.summary("a");
        assertThat(summary).isEqualTo(new Practiced.Summary(3, 1, List.of(Map.entry("rounded-down", 2L), Map.entry("miscounted", 1L)), 60));
        assertThat(practiced.nextVariant("a")).isEqualTo(2);
        assertThat(practiced.nextVariant("c")).isEqualTo(1);
    }

    @Test
    void isKeptInAFile(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("practised.json");
        assertThat(PracticedFile.read(file)).isEqualTo(Practiced.NONE);
        Practiced practiced = Practiced.NONE.with(attempt("a", false, "rounded-down"));
        PracticedFile.write(file, practiced);
        assertThat(PracticedFile.read(file)).isEqualTo(practiced);
        Files.writeString(file, "{\"pixeronPractised\":2}");
        assertThatThrownBy(() -> PracticedFile.read(file)).hasMessageContaining("newer Pixeron");
    }

    private static Trial right(Variant variant) {
        Trial trial = Trial.of(variant);
        List<Part> parts = variant.parts();
        for (int n = 0; n < parts.size(); n++) {
            if (parts.get(n) instanceof Part.OfCells cells) {
                for (Pixel pixel : cells.pixels()) {
                    trial = trial.with(new Trial.Blank(n, pixel.row(), pixel.column()), Decimals.table(cells.operation().value(pixel)));
                }
            } else {
                Part.OfTable table = (Part.OfTable) parts.get(n);
                for (int row = 0; row < table.rows().size(); row++) {
                    trial = trial.with(new Trial.Blank(n, row, 0), Decimals.table(table.table().value(table.rows().get(row), table.columns().get(0)).orElseThrow()));
                }
            }
        }
        return trial;
    }

    @Test
    void aTrialIsDoneWhenEverythingIsRight() {
        Variant variant = new Variants(Exercises.threeParts(5)).variant(1);
        Trial.Said said = right(variant).check(Progress.NONE);
        assertThat(said.isDone()).isTrue();
        assertThat(said.states()).hasSize(48);
        Trial.Blank blank = new Trial.Blank(0, 3, 0);
        assertThat(right(variant).with(blank, " ").check(Progress.NONE).isDone()).isFalse();
        assertThat(Trial.of(variant).check(Progress.NONE)).isEqualTo(new Trial.Said(Map.of(), false, List.of()));
        assertThat(right(variant).with(blank, "?").check(Progress.NONE).states()).containsEntry(blank, Verdict.NOT_UNDERSTOOD);
    }

    @Test
    void aSlipIsNamedInATrial() {
        Variant variant = new Variants(Exercises.threeParts(5)).variant(1);
        Trial trial = right(variant);
        Part.OfCells threshold = (Part.OfCells) variant.parts().get(2);
        for (Pixel pixel : threshold.pixels()) {
            trial = trial.with(new Trial.Blank(2, pixel.row(), pixel.column()), threshold.operation().value(pixel).signum() == 0 ? "7" : "0");
        }
        Trial.Said said = trial.check(Progress.NONE);
        assertThat(said.differing()).isEqualTo(20);
        assertThat(said.slips()).hasSize(1);
        assertThat(said.slips().get(0).ids()).containsExactly("black-white-swapped");
    }
}
