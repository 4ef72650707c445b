package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pixeron.byhand.HandValue;
import pixeron.formula.Evaluator;
import pixeron.formula.Parser;
import pixeron.formula.Scope;
import pixeron.number.Value;

/**
 * The pages for students are computed: every command in them is run on the demo data and must print what is there, and
 * every sum in the text must be right. {@code -Dpixeron.docs=write} writes what the commands print into the pages.
 */
class DocsTest {

    private static final Path PAGES = Path.of("../docs/definitions");
    private static final String PROMPT = "$ pixeron ";
    private static final String GOES_ON = " \\";
    private static final Pattern CUT = Pattern.compile("(.*) \\| cut -d, -f([\\d,-]+)");
    private static final Pattern WORDS = Pattern.compile("'([^']*)'|\"([^\"]*)\"|(\\S+)");
    private static final Pattern SUM = Pattern.compile(
            "(?<![\\w.,|])((?:\\(?[−-]?\\d[\\d.]*\\)?\\s*[+×·÷−^]\\s*)+\\(?[−-]?\\d[\\d.]*\\)?)\\s*(=|≈)\\s*([−-]?\\d[\\d.]*\\d|\\d)"
                    + "(?![\\d.]*\\s*[+×·÷^−])");

    @TempDir
    private static Path folder;

    @BeforeAll
    static void writeDemoData() {
        assertThat(run("demo", "--out", folder.toString())).isNotEmpty();
    }

    static List<Path> pages() throws IOException {
        try (Stream<Path> files = Files.list(PAGES)) {
            return files.filter(file -> file.toString().endsWith(".md")).sorted().toList();
        }
    }

    private static String run(String... words) {
        StringWriter out = new StringWriter();
        StringWriter error = new StringWriter();
        int code = Pixeron.run(new PrintWriter(out), new PrintWriter(error), words);
        assertThat(code).as(error.toString()).isLessThan(2);
        return out.toString();
    }

    /** A command, which may end in the columns that are cut out of what it prints. */
    private static String run(String line) {
        Matcher cut = CUT.matcher(line);
        if (cut.matches()) {
            return run(cut.group(1)).lines().map(row -> PageLines.cut(row, cut.group(2))).collect(Collectors.joining("\n"));
        }
        List<String> words = new ArrayList<>();
        Matcher matcher = WORDS.matcher(line);
        while (matcher.find()) {
            String word = Stream.of(1, 2, 3).map(matcher::group).filter(found -> found != null).findFirst().orElseThrow();
            boolean isFile = word.matches("[\\w-]+\\.(pgm|png|csv|txt|json)");
            words.add(isFile ? folder.resolve(word).toString() : word);
        }
        return run(words.toArray(String[]::new));
    }

    @ParameterizedTest
    @MethodSource("pages")
    void everyCommandPrintsWhatThePageSays(Path page) throws IOException {
        List<String> written = Files.readAllLines(page);
        List<String> right = new ArrayList<>();
        for (int n = 0; n < written.size(); n++) {
            if (!written.get(n).startsWith(PROMPT)) {
                right.add(written.get(n));
                continue;
            }
            StringBuilder command = new StringBuilder(written.get(n).substring(PROMPT.length()));
            while (command.toString().endsWith(GOES_ON)) {
                command.setLength(command.length() - GOES_ON.length());
                command.append(' ').append(written.get(++n).strip());
            }
            right.addAll(PageLines.ofCommand(PROMPT + command));
            run(command.toString()).lines().forEach(line -> right.addAll(PageLines.ofOutput(line)));
            while (n + 1 < written.size() && !written.get(n + 1).equals("```") && !written.get(n + 1).startsWith(PROMPT)) {
                n++;
            }
        }
        if ("write".equals(System.getProperty("pixeron.docs"))) {
            Files.write(page, right);
        }
        assertThat(right).as(page.toString()).isEqualTo(Files.readAllLines(page));
    }

    /** Lines of code are short enough for a narrow window. */
    @ParameterizedTest
    @MethodSource("pages")
    void linesOfCodeHaveAtMost80Columns(Path page) throws IOException {
        boolean isBlock = false;
        for (String line : Files.readAllLines(page)) {
            isBlock ^= line.startsWith("```");
            if (isBlock || line.startsWith("    ")) {
                assertThat(line).as(page.toString()).hasSizeLessThanOrEqualTo(PageLines.WIDTH);
            }
        }
    }

    @Test
    void everySumInTheTextIsRight() throws IOException {
        int found = 0;
        for (Path page : pages()) {
            boolean isBlock = false;
            for (String line : Files.readAllLines(page)) {
                isBlock ^= line.startsWith("```");
                Matcher sum = SUM.matcher(line);
                while (!isBlock && sum.find()) {
                    Value value = Evaluator.evaluate(Parser.parse(sum.group(1).replace('·', '×'), Set.of()), Scope.EMPTY);
                    assertThat(HandValue.parse(sum.group(3)).agreesWith(value))
                            .as(page.getFileName() + ": " + sum.group() + ", right is " + value).isTrue();
                    found++;
                }
            }
        }
        assertThat(found).isGreaterThan(9);
    }
}
