package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What is refused, as one table: a command with IMAGE for the file of 2 × 3 values and OUT for a file that stands there, and what
 * the one line of the refusal must say. Nothing is written, and the exit code is 2.
 */
class RefusalsTest extends CommandTest {

    @BeforeEach
    void writeWhatMustStay() throws IOException {
        write("out.csv", "old");
        write("hand.csv", "1,2,3\n4,5,6\n");
        write("ragged.csv", "1,2,3\n4,5\n");
        write("words.csv", "1,2,3\n4,red,6\n");
    }

    private Object[] words(String command) {
        List<Object> words = new ArrayList<>();
        for (String word : command.split(" (?=([^']*'[^']*')*[^']*$)")) {
            words.add(word.replace("'", "").replace("IMAGE", image.toString()).replace("OUT", folder.resolve("out.csv").toString())
                    .replace("FOLDER", folder.toString()));
        }
        return words.toArray();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "run IMAGE --step frobnicate --out OUT | there is no step \"frobnicate\"; the nearest are",
        "run IMAGE --step 'thresold at=3' --out OUT | did you mean \"threshold\"?",
        "run IMAGE --step 'add amount=1 amount=2' --out OUT | stands twice",
        "run IMAGE --step 'add amount=1e3' --out OUT | is not a number",
        "run IMAGE --step 'add amount=M' --out OUT | is not a number",
        "run IMAGE --step 'multiply factor=1/0' --out OUT | zero",
        "run IMAGE --step 'box size=0' --out OUT | give a whole number from 1",
        "run IMAGE --step invert --out IMAGE | is read by this command; give what is written another name",
        "gray IMAGE --rule mean --out IMAGE | is read by this command",
        "run IMAGE --step 'combine with=b rule=sum' --image b=FOLDER/hand.csv --out FOLDER/hand.csv | is read by this command",
        "report IMAGE --step invert --by-hand FOLDER/hand.csv --out FOLDER/hand.csv | is read by this command",
        "run IMAGE --step 'move down=-2147483648 right=0' --out OUT | give a whole number from -1000000000",
        "run IMAGE --step 'shift by=-2147483648' --out OUT | give a whole number from -16 to 16",
        "run IMAGE --step 'median size=256' --out OUT | give a whole number from 1 to 255",
        "run IMAGE --step 'median size=2 border=repeat' --out OUT | odd size",
        "run IMAGE --step 'unsharp amount=1 size=33' --out OUT | from 1 to 31",
        "run IMAGE --step 'box size=3 border=crop' --out OUT | border=crop leaves nothing",
        "run IMAGE --step 'box size=1 border=crop area=\"0 0 1 1\"' --out OUT | border=crop makes them smaller",
        "run IMAGE --step 'box size=3 border=constant' --out OUT | border=constant needs outside",
        "run IMAGE --step 'box size=3 outside=M' --out OUT | outside belongs to border=constant",
        "run IMAGE --step 'depth maximum=7 area=\"0 0 1 1\"' --out OUT | leave area out",
        "run IMAGE --step 'invert area=\"0 0 3 3\"' --out OUT | reaches beyond the image of 2 × 3",
        "run IMAGE --step 'crop row=0 column=2 height=1 width=2' --out OUT | would end at row 0, column 3; the image ends at row 1, column 2",
        "run IMAGE --step 'crop row=0 column=2 height=1' --out OUT | crop needs width=",
        "run IMAGE --step 'crop row=0 column=0 height=1 width=1 overflow=clip' --out OUT | has no key \"overflow\"; it has row, column",
        "run IMAGE --step 'move down=0.5 right=0' --out OUT | give a whole number",
        "run IMAGE --step 'move down=1 right=0 border=crop' --out OUT | border=crop is unknown; give one of zero",
        "run IMAGE --step 'move down=1 right=0 rounding=floor' --out OUT | has no key \"rounding\"",
        "run IMAGE --step 'log scale=0' --out OUT | other than 0",
        "run IMAGE --step 'formula expression=\"r +\"' --out OUT | ends",
        "run IMAGE --step 'formula expression=\"1/(i-1)\"' --out OUT | at row 1, column 0",
        "run IMAGE --step 'stretch cut=50' --out OUT | from 0 to below 50",
        "run IMAGE --step 'clamp low=5 high=2' --out OUT | at most high",
        "explain IMAGE --step invert --at 2,0 | outside the result of 2 rows and 3 columns",
        "explain IMAGE --step 'crop row=0 column=0 height=1 width=1' --at 0,1 | give a row from 0 to 0 and a column from 0 to 0",
        "explain IMAGE --step invert --at x | write ROW,COLUMN",
        "check IMAGE --step invert --by-hand FOLDER/ragged.csv | Row 1 (counted from 0) of the table has 2 cells",
        "check IMAGE --step invert --by-hand FOLDER/words.csv | \"red\" is neither a number nor an expression",
        "check IMAGE --step invert --by-hand FOLDER/nothing.csv | nothing.csv",
        "check IMAGE --step invert --by-hand FOLDER/hand.csv --table rounds | no table \"rounds\"",
        "table IMAGE --step 'crop row=0 column=0 height=1 width=1' --table levels | has no tables",
        "facts FOLDER/nothing.pgm | There is no file",
        "new 'gradient rows=0' --out OUT | rows=0",
        "compare IMAGE | Missing required"})
    void isSaidInOneLineAndWritesNothing(String command, String message) throws IOException {
        assertBad(message.strip(), words(command.strip()));
        assertThat(Files.readString(folder.resolve("out.csv"))).isEqualTo("old");
    }
}
