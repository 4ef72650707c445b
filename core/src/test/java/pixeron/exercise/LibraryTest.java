package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import pixeron.PixeronException;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.catalog.Catalog;
import pixeron.step.key.Parameter;

/** Exercises of our own, and exercises as files. */
class LibraryTest {

    @TempDir
    private Path folder;

    @Test
    void topicsAreManyAndDifferent() {
        assertThat(Library.topics()).hasSizeGreaterThanOrEqualTo(24);
        assertThat(Library.topics().stream().map(Topic::id)).doesNotHaveDuplicates();
        assertThat(Library.topics().stream().flatMap(topic -> Stream.of(Size.values()).map(size -> Code.of(topic.exercise(size))))).doesNotHaveDuplicates();
    }

    /** What is drawn by chance in a step is on no sheet: nobody could work it out. */
    @Test
    void everythingCanBeWorkedOutByHand() {
        for (Topic topic : Library.topics()) {
            for (String line : topic.exercise(Size.SMALL).steps()) {
                assertThat(Catalog.find(line.split(" ")[0]).orElseThrow().parameters()).as(topic.id()).extracting(Parameter::key).doesNotContain("seed");
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Size.class)
    void everyExerciseIsTheSameFromItsFileWhichTheSchemaDescribes(Size size) throws IOException {
        var schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(Files.readString(Path.of("../docs/exercise-schema.json")));
        for (Topic topic : Library.topics()) {
            Path file = folder.resolve(topic.id() + ExerciseFile.ENDING);
            ExerciseFile.write(file, topic.exercise(size));
            assertThat(ExerciseFile.read(file)).isEqualTo(topic.exercise(size));
            assertThat(schema.validate(new ObjectMapper().readTree(file.toFile()))).as(topic.id()).isEmpty();
        }
    }

    @Test
    void samplesRangesCellsAndWishesAreKept() throws IOException {
        Exercise exercise = new Exercise("Kept", "", new GivenImage.Samples(Image.of(9, new int[][] {{1, 2}, {3, 9}})), List.of("add amount={a}"),
                List.of(new Choice.OfRange("a", Rational.of(1, 4), Rational.of(3), Rational.of(1, 4))), List.of(new Asked(1, Image.VALUE,
                        new Asked.Some(List.of(new Pixel(0, 1), new Pixel(1, 1))), Rational.of(5, 2))), new Wish(true, OptionalInt.of(2), 1), -5);
        Path file = folder.resolve("kept" + ExerciseFile.ENDING);
        ExerciseFile.write(file, exercise);
        assertThat(ExerciseFile.read(file)).isEqualTo(exercise);
        assertThat(Files.readString(file)).contains("\"1,1\"", "\"0.25\"", "\"noTies\" : true");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "\"pixeronExercise\":1 | \"pixeronExercise\":2 | newer Pixeron",
        "\"pixeronExercise\":1 | \"exercise\":1 | not a Pixeron exercise",
        "\"title\":\"T\" | \"title\":7 | title is not a text",
        "\"steps\":[\"add amount={a}\"] | \"steps\":[\"add amount={b}\"] | no choice \"b\"",
        "\"cells\":\"all\" | \"cells\":\"some\" | asked[0].cells is not a list",
        "\"cells\":\"all\" | \"cells\":[\"1;1\"] | has the place \"1;1\"",
        "\"cells\":\"all\" | \"cells\":\"all\",\"pixel\":\"0,0\" | use exactly one of them",
        "\"cells\":\"all\" | \"area\":\"0 0 2\" | four whole numbers",
        "\"a\":[1,2] | \"a\":{\"from\":3} | to is missing",
        "\"a\":[1,2] | \"a\":{\"from\":\"x\",\"to\":3} | is not a number but \"x\"",
        "\"seed\":5 | \"wish\":{\"nice\":true},\"seed\":5 | wish.nice is not a constraint",
        "\"seed\":5 | \"seed\":1.5 | seed is not a whole number",
        "\"step\":1 | \"step\":2 | The exercise asks for step 2, but there is 1",
        "\"asked\":[ | \"asked\":[[], | asked[0] is not an object"})
    void saysInOneLineWhatIsWrong(String right, String wrong, String message) throws IOException {
        String all = "{\"pixeronExercise\":1,\"title\":\"T\",\"image\":{\"line\":\"fill rows=2 columns=2\"},\"steps\":[\"add amount={a}\"],"
                + "\"choices\":{\"a\":[1,2]},\"asked\":[{\"step\":1,\"cells\":\"all\"}],\"seed\":5}";
        Path file = folder.resolve("e" + ExerciseFile.ENDING);
        Files.writeString(file, all);
        assertThat(ExerciseFile.read(file).asked().get(0).points()).isEqualTo(Rational.ONE);
        assertThat(all).contains(right);
        Files.writeString(file, all.replace(right, wrong));
        assertThatThrownBy(() -> ExerciseFile.read(file)).isInstanceOf(PixeronException.class).hasMessageStartingWith("e" + ExerciseFile.ENDING)
                .hasMessageContaining(message).message().doesNotContain("\n");
    }
}
