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
 * What is refused, as one table: a command with IMAGE for the file of 2 × 3 values and OUT for a file that is there, and what
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
        "run IMAGE --step 'add amount=1 amount=2' --out OUT | amount is given twice",
        "run IMAGE --step 'add amount=1e3' --out OUT | is not a number",
        "run IMAGE --step 'add amount=M' --out OUT | is not a number",
        "run IMAGE --step 'multiply factor=1/0' --out OUT | zero",
        "run IMAGE --step 'box size=0' --out OUT | Give a whole number from 1",
        "run IMAGE --step invert --out IMAGE | is an input of this command. Give the output another name",
        "gray IMAGE --rule mean --out IMAGE | is an input of this command",
        "run IMAGE --step 'combine with=b rule=sum' --image b=FOLDER/hand.csv --out FOLDER/hand.csv | is an input of this command",
        "report IMAGE --step invert --by-hand FOLDER/hand.csv --out FOLDER/hand.csv | is an input of this command",
        "run IMAGE --step 'translate down=-2147483648 right=0' --out OUT | Give a whole number from -1000000000 to 1000000000",
        "run IMAGE --step 'bit-shift by=-2147483648' --out OUT | Give a whole number from -16 to 16",
        "run IMAGE --step 'median size=256' --out OUT | Give a whole number from 1 to 255",
        "run IMAGE --step 'median size=2 border=replicate' --out OUT | odd size",
        "run IMAGE --step 'unsharp amount=1 size=33' --out OUT | from 1 to 31",
        "run IMAGE --step 'box size=3 border=crop' --out OUT | border=crop leaves no pixel:",
        "run IMAGE --step 'box size=1 border=crop area=\"0 0 1 1\"' --out OUT | Area (area) needs a result as large as the image, but border=crop makes it smaller",
        "run IMAGE --step 'box size=3 border=constant' --out OUT | border=constant needs outside",
        "run IMAGE --step 'box size=3 outside=M' --out OUT | Border value (outside) applies to border=constant only",
        "run IMAGE --step 'depth maximum=7 area=\"0 0 1 1\"' --out OUT | Leave area out",
        "run IMAGE --step 'invert area=\"0 0 3 3\"' --out OUT | The area \"0 0 3 3\" (row column height width) extends beyond the image of 2 × 3",
        "run IMAGE --step 'crop row=0 column=2 height=1 width=2' --out OUT | would end at row 0, column 3; the image ends at row 1, column 2",
        "run IMAGE --step 'crop row=0 column=2 height=1' --out OUT | crop needs width=",
        "run IMAGE --step 'crop row=0 column=0 height=1 width=1 overflow=clip' --out OUT | It has row, column, height, width",
        "run IMAGE --step 'translate down=0.5 right=0' --out OUT | Give a whole number",
        "run IMAGE --step 'translate down=1 right=0 border=crop' --out OUT | border=crop is not valid",
        "run IMAGE --step 'translate down=1 right=0 rounding=floor' --out OUT | translate has no parameter \"rounding\"",
        "run IMAGE --step 'log scale=0' --out OUT | other than 0",
        "run IMAGE --step 'formula expression=\"r +\"' --out OUT | found the end of the expression",
        "run IMAGE --step 'formula expression=\"1/(i-1)\"' --out OUT | at row 1, column 0",
        "run IMAGE --step 'stretch cut=50' --out OUT | from 0 to below 50",
        "run IMAGE --step 'clamp low=5 high=2' --out OUT | Low must be at most High",
        "explain IMAGE --step invert --at 2,0 | outside the result of 2 rows and 3 columns",
        "explain IMAGE --step 'crop row=0 column=0 height=1 width=1' --at 0,1 | Use a row from 0 to 0 and a column from 0 to 0",
        "explain IMAGE --step invert --at x | Use ROW,COLUMN counted from 0, such as 2,5",
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
