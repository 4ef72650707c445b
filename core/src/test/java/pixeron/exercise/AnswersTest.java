package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.Verdict;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.HandTable;
import pixeron.exercise.answer.AnswerBook;
import pixeron.exercise.answer.AnswerFolder;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.answer.Handed;
import pixeron.exercise.answer.Received;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.exercise.mark.ClassTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.format.ImageFiles;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.ProjectWork;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.Progress;

/** What is filled in, as it comes in, and the findings about it. */
class AnswersTest {

    private static final Exercise EXERCISE = Exercises.threeParts(5);
    private final Variants variants = new Variants(EXERCISE);
    private final Marker marker = new Marker(variants);

    @TempDir
    private Path folder;

    private Path write(String name, List<List<String>> rows) {
        Path file = folder.resolve(name);
        AnswerBook.writeText(file, rows);
        return file;
    }

    /** A table by way of a file, without the file. */
    private static Received received(Variant variant, Project work) {
        return new Received("test", "Kim", List.of(variant.code()), of -> AnswerTableTrip.read(AnswerTable.filled(variant, work, "Kim"), of));
    }

    /** For every exercise of the library, whatever its seed: the key is right, and gets all points. */
    @Property(tries = 200)
    void theKeyGetsFullPoints(@ForAll long seed) {
        Random random = new Random(seed);
        for (Topic topic : Library.topics()) {
            Exercise plain = topic.exercise(Size.values()[random.nextInt(3)]);
            Exercise exercise = new Exercise(plain.title(), plain.task(), plain.image(), plain.steps(), plain.choices(), plain.asked(), plain.wish(), seed);
            Variants drawn = new Variants(exercise);
            Variant variant = drawn.variant(1 + random.nextInt(exercise.choices().stream().mapToInt(choice -> (int) Math.min(3, choice.count())).max().orElse(1)));
            Marked marked = new Marker(drawn).mark(received(variant, Simulated.right(variant)));
            assertThat(marked.problem()).as(topic.id()).isEmpty();
            assertThat(List.of(marked.filled(), marked.agree())).as(topic.id()).containsExactly(marked.cells(), marked.cells());
            assertThat(marked.points(false)).isEqualTo(exercise.points());
            assertThat(marked.firstSlip()).isEmpty();
        }
    }

    /** Slips are named; where another one gives just the same values, that one or this. */
    @Test
    void slipsAreNamed() {
        int all = 0;
        int named = 0;
        for (Topic topic : Library.topics()) {
            Variants drawn = new Variants(topic.exercise(Size.SMALL));
            Variant variant = drawn.variant(1);
            Marker of = new Marker(drawn);
            for (Part part : variant.parts()) {
                Map<String, Project> slipped = part instanceof Part.OfCells cells ? Simulated.slipped(variant, cells) : Map.of();
                for (Map.Entry<String, Project> one : slipped.entrySet()) {
                    Marked marked = of.mark(received(variant, one.getValue()));
                    String id = one.getKey().split(" ")[0];
                    all++;
                    named += marked.firstSlip().filter(first -> first.equals(id) || givesTheSame(first, one, slipped, part)).isPresent() ? 1 : 0;
                }
            }
        }
        assertThat(all).isGreaterThan(240);
        assertThat(named).isGreaterThanOrEqualTo((int) Math.ceil(0.97 * all));
    }

    private static boolean givesTheSame(String id, Map.Entry<String, Project> slipped, Map<String, Project> all, Part part) {
        HandSheet written = slipped.getValue().byHand(part.asked().position(), part.face()).sheet();
        // Also with an assumption more, as rounding down what was counted wrong; what matters is that it is a way to these values.
        return all.entrySet().stream().anyMatch(other -> other.getKey().split(" ")[0].equals(id) && other.getValue().byHand(part.asked().position(), part.face())
                .sheet().equals(written)) || SlipFinder.find(Check.of(written, part.operation()), part.operation()).slips()
                        .stream().findFirst().filter(best -> best.explains() == best.of() && String.join(" + ", best.ids()).equals(id)).isPresent();
    }

    /** Marking is checking: the same cells agree and differ as in the window. */
    @Property(tries = 100)
    void marksAgreeWithSingleChecks(@ForAll long seed) {
        Random random = new Random(seed);
        Variant variant = variants.variant(1 + random.nextInt(5));
        Project work = scrawled(variant, random);
        Marked marked = marker.mark(received(variant, work));
        int filled = 0;
        int agree = 0;
        Rational points = Rational.ZERO;
        var works = ProjectWork.of(work, Progress.NONE);
        for (int n = 0; n < 2; n++) {
            var check = Check.of(work.sheet(n), works.get(n).operation());
            filled += check.filled();
            agree += check.agree();
            int right = check.agree() + works.get(n).following().pixels().size();
            points = points.plus(Rational.of(n == 0 ? 10 : 4).times(Rational.of(right, 20)));
        }
        var table = works.get(0).tables().get("levels");
        if (table != null) {
            filled += table.cells().size();
            agree += table.count(Verdict.AGREES);
            points = points.plus(Rational.of(table.count(Verdict.AGREES) + table.count(Verdict.FOLLOWS)));
        }
        assertThat(List.of(marked.filled(), marked.agree(), marked.filled() - marked.agree())).containsExactly(filled, agree, marked.follow() + marked.differ());
        assertThat(marked.points(true)).isEqualTo(points);
        assertThat(marked.points(false)).isEqualTo(points.minus(marked.parts().stream().map(Marked.PartMark::followPoints).reduce(Rational.ZERO, Rational::plus)));
    }

    /** The key with some cells left blank, some wrong and one that nobody understands. */
    private static Project scrawled(Variant variant, Random random) {
        Project work = Simulated.right(variant);
        for (int n = 0; n < 2; n++) {
            for (int k = random.nextInt(6); k > 0; k--) {
                Pixel pixel = new Pixel(random.nextInt(5), random.nextInt(4));
                String text = List.of("", "0", "7", "3.5", "2", "?").get(random.nextInt(6));
                work = work.withSheet(n, sheet -> sheet.with(pixel, text));
            }
        }
        String wrong = String.valueOf(random.nextInt(8));
        return random.nextBoolean() ? work : work.withTable(0, "levels", hand -> hand.with(Map.of(new HandTable.Place("3", "s"), wrong)));
    }

    /** Filled in as text, as spreadsheet or as a project, it is the same answer. */
    @Property(tries = 15)
    void everyKindOfFileIsTheSameAnswer(@ForAll long seed) throws IOException {
        Path here = Files.createTempDirectory("answers");
        Random random = new Random(seed);
        Variant variant = variants.variant(1 + random.nextInt(5));
        Project work = scrawled(variant, random);
        List<List<String>> rows = AnswerTable.filled(variant, work, "Kim");
        AnswerBook.writeText(here.resolve("a.csv"), rows);
        AnswerBook.writeWorkbook(here.resolve("b.xlsx"), List.of(new AnswerBook.Sheet("answers", rows)));
        ProjectFile.write(here.resolve("Kim" + ProjectFile.ENDING), new SavedProject(work, View.START));
        Marked first = marker.marks(here.resolve("a.csv")).get(0);
        for (Handed file : AnswerFolder.of(List.of(here)).handed()) {
            Marked marked = marker.marks(file).get(0);
            assertThat(marked.problem()).isEmpty();
            assertThat(marked.name()).isEqualTo("Kim");
            assertThat(marked.code()).contains(variant.code());
            assertThat(marked.parts()).isEqualTo(first.parts());
            assertThat(marked.firstSlip()).isEqualTo(first.firstSlip());
        }
    }

    @Test
    void aBookWithASheetForEachIsAsManyAnswers() {
        List<AnswerBook.Sheet> sheets = IntStream.rangeClosed(1, 3).mapToObj(n -> new AnswerBook.Sheet("Person " + n,
                AnswerTable.filled(variants.variant(n), Simulated.right(variants.variant(n)), ""))).toList();
        Path book = folder.resolve("class.xlsx");
        AnswerBook.writeWorkbook(book, Stream.concat(sheets.stream(), Stream.of(new AnswerBook.Sheet("notes", List.of(List.of("very good"))))).toList());
        List<Marked> marks = marker.marks(book);
        assertThat(marks.stream().map(Marked::name)).containsExactly("Person 1", "Person 2", "Person 3");
        assertThat(marks.stream().map(marked -> marked.points(true))).containsOnly(Rational.of(22));
    }

    /** Only the numbers, the code in the name of the file: the last result of that size; a picture of it as well. */
    @Test
    void valuesAloneAreTheLastResult() {
        Variant variant = variants.variant(2);
        Image right = (Image) variant.chain().last(Progress.NONE).required();
        Path table = folder.resolve("Lee " + variant.code() + ".csv");
        ImageFiles.write(table, right, false);
        Path picture = folder.resolve("Lee_" + variant.code() + ".pgm");
        ImageFiles.write(picture, right, false);
        for (Path file : List.of(table, picture)) {
            Marked marked = marker.marks(file).get(0);
            assertThat(marked.problem()).isEmpty();
            assertThat(marked.name()).isEqualTo("Lee");
            assertThat(marked.parts().get(2).agree()).isEqualTo(20);
            assertThat(marked.points(true)).isEqualTo(Rational.of(4));
        }
    }

    /** One cumulative count written wrong: the new levels and the results that come of it follow. */
    @Test
    void whatFollowsCountsAsRight() {
        Exercise exercise = new Exercise("T", "", new GivenImage.Samples(Image.of(3, new int[][] {{0, 0, 1}, {1, 1, 2}, {2, 3, 3}})), List.of("equalize", "add amount=-1"),
                List.of(), List.of(Exercises.all(1, 9), Exercises.all(2, 9)), Wish.NONE, 1);
        Variants one = new Variants(exercise);
        // s of level 1 is 3 · 5 ÷ 9 = 1.67, so 2; written is 1, and with it 0 for 1 in the next step.
        Project work = Simulated.right(one.variant(1));
        for (Pixel pixel : List.of(new Pixel(0, 2), new Pixel(1, 0), new Pixel(1, 1))) {
            work = work.withSheet(0, sheet -> sheet.with(pixel, "1")).withSheet(1, sheet -> sheet.with(pixel, "0"));
        }
        Marked marked = new Marker(one).mark(received(one.variant(1), work));
        assertThat(List.of(marked.agree(), marked.follow(), marked.differ())).containsExactly(12, 3, 3);
        assertThat(List.of(marked.points(true), marked.points(false))).containsExactly(Rational.of(15), Rational.of(12));
        assertThat(marked.firstSlip()).contains("running-count-slip");
        assertThat(marked.starts().orElseThrow()).contains("First mistake: step 1, row 0, column 2. You wrote 1; the correct value is 2.").contains("3 later differences follow.");
    }

    @Test
    void whatCannotBeMarkedIsSaid() {
        Variant variant = variants.variant(1);
        List<List<String>> rows = AnswerTable.blank(variant);
        List<List<String>> without = rows.subList(1, rows.size());
        assertThat(problem(write("Kim.csv", without))).contains("No code found").contains(variant.code().toString());
        assertThat(problem(write("other.csv", List.of(List.of("code", "K3F7-001"), List.of("part 1"))))).contains("another exercise");
        String signs = variant.code().exercise();
        assertThat(problem(write("far.csv", List.of(List.of("code", signs + "-10001"), List.of("part 1"))))).contains("counted from 1 to 10000");
        assertThat(problem(write("both.csv", List.of(List.of("code", signs + "-001 " + signs + "-002"), List.of("part 1"))))).contains("several codes");
        assertThat(problem(write("four.csv", List.of(List.of("code", signs + "-001"), List.of("part 4"))))).contains("part 4").contains("has only 3");
        List<List<String>> cut = rows.subList(0, rows.size() - 2);
        assertThat(problem(write("cut.csv", cut))).contains("Row 3").contains("Do not move the rows of the table");
        assertThat(problem(write(signs + "-001.csv", List.of(List.of("1", "2"), List.of("3", "4"))))).contains("result has 5 × 4");
        assertThat(problem(write("empty.csv", List.of()))).contains("No answer found");
        assertThat(problem(folder.resolve("none.csv"))).contains("none.csv");
        Project other = Project.of("Kim " + signs + "-001", variant.project().origin(), Image.of(7, new int[][] {{1}}));
        ProjectFile.write(folder.resolve("p" + ProjectFile.ENDING), new SavedProject(other, View.START));
        assertThat(problem(folder.resolve("p" + ProjectFile.ENDING))).contains("The image (1 × 1) differs from that of variant");
        assertThatThrownBy(() -> AnswerFolder.of(List.of(folder.resolve("nowhere")))).hasMessageContaining("There is no file or folder");
    }

    private String problem(Path file) {
        Marked marked = marker.marks(file).get(0);
        assertThat(marked.isMarked()).isFalse();
        assertThat(marked.problem()).doesNotContain("\n");
        return marked.problem();
    }

    @Test
    void aClassIsCounted() {
        Variant one = variants.variant(1);
        Variant two = variants.variant(2);
        Part.OfCells threshold = (Part.OfCells) two.parts().get(2);
        Project turned = Simulated.slipped(two, threshold).get("black-white-swapped");
        List<Marked> marks = Marker.notingSame(List.of(marker.mark(received(one, Simulated.right(one))), marker.mark(received(two, turned)),
                marker.mark(received(two, turned)), marker.mark(new Received("lost.csv", "", List.of(), of -> of.project()))));
        ClassTable table = new ClassTable(marks, marker.partTitles(), true);
        assertThat(table.slips()).containsExactly(new ClassTable.Count("black-white-swapped", List.of("Kim", "Kim")));
        assertThat(table.parts().get(2)).isEqualTo(new ClassTable.PartCount("Result of step 2 (threshold)", 60, 60, 20));
        assertThat(table.parts().get(2).percent()).isEqualTo(33);
        assertThat(marks.get(0).problem()).isEmpty();
        assertThat(marks.get(1).problem()).contains("The same code is in test.");
        assertThat(table.people()).hasSize(5).allMatch(row -> row.size() == table.head().size());
        assertThat(table.row(marks.get(0)).subList(2, 10)).containsExactly("48", "48", "0", "0", "", "", "", "22");
        assertThat(table.row(marks.get(3)).get(table.head().size() - 1)).contains("No code found");
    }
}
