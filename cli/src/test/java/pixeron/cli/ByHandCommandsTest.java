package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** What commands say of values by hand: two slips at once, projects, tables, spreadsheets and pictures, reports. */
class ByHandCommandsTest extends CommandTest {

    /** Halves of 137 97 96 | 164 98 101: 68.5, 48.5, 48, 82, 49, 50.5. */
    private static final String HALF = "divide divisor=2";

    @Test
    void twoSlipsAtOnceStandUnderEachOfTheirIds() throws IOException {
        Path sort = write("sort.txt", "7 1 5 2\n3 6 0 4\n2 5 7 1\n6 3 4 0\n");
        // Sums of 3 × 3 with zeros outside, ÷ 9 with the fraction dropped; the edge should be repeated, and rounded.
        Path hand = write("hand.csv", "1,2,2,1\n2,4,3,2\n2,4,3,1\n1,3,2,1\n");
        assertThat(pixeron("check", sort, "--max", "7", "--step", "box size=3 border=replicate", "--by-hand", hand, "--format",
                "json")).isEqualTo(1);
        JsonNode slips = json().get("slips");
        assertThat(StreamSupport.stream(slips.spliterator(), false).map(slip -> slip.get("id").asText()))
                .containsExactlyInAnyOrder("rounded-down", "border-zero");
        assertThat(slips.get(0).get("with")).isEqualTo(slips.get(1).get("id"));
        assertThat(slips.get(0).get("explains")).isEqualTo(slips.get(0).get("of"));
    }

    @Test
    void theWrongPartOfAnExpressionIsSaid() throws IOException {
        Path hand = write("hand.csv", "137÷2,97÷3,48\n,,\n");
        assertThat(pixeron("check", image, "--step", HALF + " rounding=none", "--by-hand", hand)).isEqualTo(1);
        assertThat(output).contains("3 is written instead of the divisor 2");
    }

    @Test
    void aProjectIsCheckedAsAWhole() throws IOException {
        assertThat(pixeron("demo", "--out", folder.resolve("demo"))).isZero();
        Path project = folder.resolve("demo/levels-of-the-sort.pixeron.json");
        assertThat(pixeron("check", project)).isEqualTo(1);
        assertThat(output).startsWith("First mistake: step 1, Levels table, k = 4, cumulative C. You wrote 27; the correct value is 28. 3 later differences follow.")
                .contains("Wrong cumulative count, running: From k = 4 on, the cumulative count is 1 too small.", "Rounded down: Both");
        assertThat(pixeron("check", project, "--format", "json")).isEqualTo(1);
        assertThat(json().get("start").get("table").asText()).isEqualTo("levels");
        assertThat(json().get("steps").get(0).get("tables").get(0).get("slips").get(0).get("id").asText())
                .isEqualTo("running-count-slip");
        assertBad("Missing required option --by-hand", "check", image, "--step", HALF);
        // The same in a report, of which the ending says the form.
        for (String ending : List.of("pdf", "html", "md")) {
            Path out = folder.resolve("report." + ending);
            assertThat(pixeron("report", project, "--out", out)).isZero();
            assertThat(Files.size(out)).isGreaterThan(1000);
        }
        assertThat(Files.readString(folder.resolve("report.md"))).contains("From k = 4 on, the cumulative count is 1 too small");
        assertBad(".pdf, .html or .md", "report", project, "--out", folder.resolve("report.doc"));
        assertThat(Files.readString(folder.resolve("demo/class/results.csv"))).contains("answer-4-both.csv,64,25,39,");
    }

    @Test
    void aReportCanBeMadeOfAnImageAndATable() throws IOException {
        Path hand = write("hand.csv", "69,49,48\n82,49,50\n");
        Path out = folder.resolve("page.md");
        assertThat(pixeron("report", image, "--step", HALF, "--by-hand", hand, "--out", out)).isZero();
        assertThat(Files.readString(out)).contains("6 of 6 filled · 5 agree · 1 differ · score 83 of 100",
                "The only differing value is one too small. (Off by one)");
    }

    @Test
    void theNumbersOnTheWayToAPixelAreChecked() throws IOException {
        Path hand = write("hand.csv", "exact,rounded\n68.5,68\n");
        assertThat(pixeron("check", image, "--step", HALF, "--by-hand", hand, "--table", "pixel 0,0")).isEqualTo(1);
        assertThat(output).contains("Rounded down, rounded: 68.5 was rounded down instead of to nearest.");
        assertBad("has no table", "check", image, "--step", HALF, "--by-hand", hand, "--table", "pixel 9,9");
    }

    @Test
    void rowsForColumnsAreNoticedAndTakenWhenAsked() throws IOException {
        Path turned = write("turned.csv", "69,82\n49,49\n48,51\n");
        assertBad("Add --swap to transpose it", "check", image, "--step", HALF, "--by-hand", turned);
        assertThat(pixeron("check", image, "--step", HALF, "--by-hand", turned, "--swap")).isZero();
    }

    @Test
    void anAnswerCanBeAPictureOrOneOfSeveralBlocks() throws IOException {
        Path picture = write("loop.pgm", "P2 3 2 255\n69 49 48\n82 49 51\n");
        assertThat(pixeron("check", image, "--step", HALF, "--by-hand", picture)).isZero();
        Path blocks = write("blocks.csv", "69,49,48,,1,1,1\n82,49,51,,2,2,2\n");
        assertBad("More than one block fits: A1:C2, E1:G2", "check", image, "--step", HALF, "--by-hand", blocks);
        assertThat(pixeron("check", image, "--step", HALF, "--by-hand", blocks, "--block", "a1:c2")).isZero();
        assertBad("Z1:Z9 does not fit", "check", image, "--step", HALF, "--by-hand", blocks, "--block", "Z1:Z9");
    }
}
