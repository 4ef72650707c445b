package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SyntaxTest {

    private final StringWriter said = new StringWriter();
    private Syntax syntax;
    private Argument<Path> proof;
    private Argument<List<Path>> others;
    private Argument<String> label;
    private Argument<Integer> copies;
    private Argument<Format> format;
    private Argument<Boolean> isDraft;
    private Argument<List<String>> inks;

    @BeforeEach
    void describe() {
        syntax = new Syntax(new PrintWriter(said, true), new PrintWriter(said, true));
        syntax.describe("Prints a proof.");
        proof = syntax.next("PROOF", Path.class, "What is printed.");
        others = syntax.others("MORE", "Printed after it.");
        label = syntax.option("--label", "WORDS", String.class, "Written below it.");
        copies = syntax.option("--copies", "N", int.class, "2", "How many; default ${DEFAULT-VALUE}.");
        format = syntax.format(Format.class);
        isDraft = syntax.flag("--draft", "With little ink.");
        inks = syntax.repeated("--ink", "NAME", "An ink; repeat for several.");
    }

    private int read(String... words) {
        return syntax.line("print", (Runnable) () -> said.append("DONE")).execute(words);
    }

    @Test
    void whatIsLeftOutHasItsDefaultOrIsNotGiven() {
        assertThat(read("a.pgm")).isZero();
        assertThat(proof.value()).isEqualTo(Path.of("a.pgm"));
        assertThat(others.value()).isEmpty();
        assertThat(label.isGiven()).isFalse();
        assertThat(copies.value()).isEqualTo(2);
        assertThat(format.value()).isEqualTo(Format.text);
        assertThat(isDraft.value()).isFalse();
        assertThat(inks.value()).isEmpty();
        assertThat(said).hasToString("DONE");
    }

    @Test
    void optionsStandAnywhereAndAreReadByTheirKind() {
        assertThat(read("--ink", "black", "a.pgm", "--copies=7", "b.pgm", "--draft", "--ink=red", "c.pgm", "--label", "two words", "--format", "json")).isZero();
        assertThat(proof.value()).isEqualTo(Path.of("a.pgm"));
        assertThat(others.value()).containsExactly(Path.of("b.pgm"), Path.of("c.pgm"));
        assertThat(label.value()).isEqualTo("two words");
        assertThat(copies.value()).isEqualTo(7);
        assertThat(format.value()).isEqualTo(Format.json);
        assertThat(isDraft.value()).isTrue();
        assertThat(inks.value()).containsExactly("black", "red");
    }

    @Test
    void twoReadingsDoNotMixTheirWords() {
        read("a.pgm", "b.pgm", "--ink", "black", "--draft");
        read("a.pgm", "--ink", "red");
        assertThat(inks.value()).containsExactly("red");
        assertThat(others.value()).isEmpty();
        assertThat(isDraft.value()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"'', 'PROOF'", "'a.pgm --copies many', many", "'a.pgm --format paper', paper", "'a.pgm --paint', --paint", "'a.pgm --label', --label"})
    void whatCannotBeReadIsNamedAndNothingIsDone(String words, String named) {
        assertThat(read(words.isEmpty() ? new String[0] : words.split(" "))).isEqualTo(Pixeron.BAD);
        assertThat(said.toString()).contains(named).doesNotContain("DONE");
    }

    @Test
    void theHelpNamesEveryWordOnce() {
        assertThat(read("--help")).isZero();
        assertThat(said.toString()).contains("Prints a proof.", "What is printed.", "Printed after it.", "Written below it.", "How many; default 2.",
                "text, json; default: text.", "With little ink.", "An ink; repeat for several.").doesNotContain("DONE");
    }
}
