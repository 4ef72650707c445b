package pixeron;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import pixeron.byhand.slip.SlipTitles;
import pixeron.byhand.slip.search.KnownSlips;
import pixeron.step.StepType;
import pixeron.step.catalog.Catalog;
import pixeron.step.catalog.StepLine;
import pixeron.step.key.Parameter;

/** How everything that a user reads is written: American spelling, the field's terms, short sentences. */
class WordsTest {

    private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\\n]|\\\\.)*)\"");
    /** Words that are not used, with what is used instead. */
    private static final List<Pattern> UNWANTED = Stream.of(
            // conjugate; random; custom, your own; "is not a valid …; use …"
            "\\bmates?\\b", "partner", "by chance", "one's own", "(?<!there )\\bis no [a-z]", "[,;] right is", "what is right",
            // wrap around, flip, rotate
            "goes? round", "turn(s|ed)? round", "\\bturned\\b", "the other way round",
            // cumulative count, relative frequency, clip, swapped, instead of
            "running count", "running share", "capp(ed|ing)", "exchanged?\\b", "taken (for|as)", "for the other\\b", "in place of",
            // component or channel, empty, real-valued image, credit follow-through, clip
            "\\bfaces?\\b", "\\bblanks?\\b", "\\bopen image\\b", "count what follows", "\\bcap\\b",
            // highlight, clear, track, remove, recover, cancel, worksheet
            "put out", "\\blit pixel", "nothing is lit", "take(n)? (away|up|off)", "give(n)? (up|out)", "follow (a|this|the picked) pixel", "unmark",
            // things are shown, appear or are; they are not said and do not stand or lie
            "\\bsaid\\b", "\\bsays\\b", "\\bstands?\\b(?! for)", "\\blies?\\b", "what came of", "comes? about", "\\bbehind\\b",
            // you, and nobody else
            "\\bwho\\b", "somebody", "nobody", "the person",
            // simply, of course, just
            "\\bsimply\\b", "of course", "\\bjust\\b",
            // smallest; ranges with a dash
            "(?<!at[- ])\\bleast\\b(?! significant)", "\\d … [\\dM]", "0 … \"",
            // British spelling
            "colour", "grey", "neighbour", "\\bcentre", "practise", "behaviour", "labelled", "cancelled", "licence", "\\btowards\\b", "equalis", "normalis", "recognis", "analys(e|ing)\\b")
            .map(word -> Pattern.compile(word, Pattern.CASE_INSENSITIVE)).toList();
    /** A word that is not used in one sense, the phrases in which it is right all the same, and why. */
    private record Sense(String word, String phrases, String why) {

        private boolean isBrokenBy(String text) {
            return Pattern.compile("\\b(?:" + word + ")\\b", Pattern.CASE_INSENSITIVE).matcher(text.replaceAll("(?i)" + phrases, "")).find();
        }
    }

    /** The words of the list that have another sense which is right, in everything but prose. Step lines, keys and code in a text are not counted. */
    private static final List<Sense> SENSES = List.of(
            new Sense("turn(s|ed|ing)?", "of (a|the) turn|× the turn", "a turn is a unit of angle; images are rotated"),
            new Sense("mov(e|es|ed|ing)", "moves? (the|it|them|up|down)|cannot move|^move$|arrows move|not be moved|, moved back|do not move",
                    "a person moves what is on the screen, and rows or steps in a list; images are translated"),
            new Sense("drawn", "drawn (=|←)|drawn$|\\+ drawn", "the variable that holds a random number; numbers are random"),
            new Sense("less", "less (contrast|blue|than|below)|^ less$", "a smaller amount; numbers are subtracted: minus"),
            new Sense("running", "^Running…$|running [/-]|\\* running", "a program that runs; counts are cumulative"),
            new Sense("shares?", "share\\(|\\(share\\)|[-+] share\\b|^levels share$", "names in formulas and files; people read relative frequency or weight"),
            new Sense("limits?", "(the|time|without) limit|^limit (for|the)", "the largest size or time allowed; levels have a threshold"),
            new Sense("cuts?", "cut[- ]points?|≤ cut|^cuts $|cut out", "cut points of posterize, and a piece that is cut out; frequencies have a cut-off"),
            new Sense("lights?|lit", "too light|light and dark|lit from|unevenly lit|light, dark|dark and light", "brightness and lamps; pixels are highlighted"),
            new Sense("marked", " marked, of $|answers? marked|be marked|marked (answers|values)|already marked", "answers that got their marks; cells are selected"),
            new Sense("follow(s|ed|ing)?", "follow-through|follows? (from|your path)|differences? follows?\\.|, and the cumulative counts follow|^ ?follow$|following",
                    "values that depend on earlier ones; pixels are tracked"),
            new Sense("leav(e|es|ing)", "leave (\\S+ )?out|leave one of them out|leaves (no pixel|this computer)|nothing leaves", "things left out; views are closed"),
            new Sense("shapes?", "\\(shape\\)|'shape'|\"shape|the shape (\\(|is)", "the lengths of an array in a program; morphology has a structuring element"),
            new Sense("keys?", "answer key|arrow keys?|page keys|^keys?(: )?$|has the keys|yellow and key|the key is not removed|1 − key\\)|key\\.pdf|with the keys", "keys of a keyboard and a step line, and the answer key; a person sees parameters and shortcuts"),
            new Sense("right(ly)?", "alt\\+(shift\\+)?right|(to|at|from|on|in) the (lower |upper )?right|left (and|or|to|becomes) right|from left to right|^ ?right$|bottom, left, right|(go|column further) right"
                    + "|down and (to the )?right|right (by|halves)|x \\+ right|shifted right|left and right|left-right|[-−+] (left|right)\\b", "a direction; values are correct"),
            new Sense("paper", "paper size|^paper$|ink from paper|laid paper", "the material; what students get is a worksheet"),
            new Sense("own", "(your|its|their|['’]s) own", "belonging to somebody; kernels are custom"));
    private static final Pattern CODE = Pattern.compile("^[a-z-]+ [a-z]+=.*|`[^`]*`|\\S+=\\S+|\\b[ijruvn] [-+×*] \\w+");
    /** What is read and not shown. */
    private static final Set<String> EXCEPTIONS = Set.of(
            // The search finds British spellings too.
            "grey", "neighbour", "centre", "practise");
    private static final int MOST_WORDS = 25;

    private record Text(String where, String text) {
    }

    private static List<Text> strings(String... folders) throws IOException {
        List<Text> texts = new ArrayList<>();
        for (String folder : folders) {
            try (Stream<Path> files = Files.walk(Path.of("..").resolve(folder))) {
                for (Path file : files.filter(path -> path.toString().endsWith(".java")).toList()) {
                    List<String> lines = Files.readAllLines(file);
                    for (int n = 0; n < lines.size(); n++) {
                        String line = lines.get(n).strip();
                        if (line.startsWith("*") || line.startsWith("/") || line.startsWith("import ")) {
                            continue;
                        }
                        Matcher literal = LITERAL.matcher(line);
                        while (literal.find()) {
                            texts.add(new Text(file.getFileName() + ":" + (n + 1), literal.group(1)));
                        }
                    }
                }
            }
        }
        return texts;
    }

    private static List<String> otherSenses(List<Text> texts) {
        return texts.stream().flatMap(text -> {
            String said = CODE.matcher(text.text()).replaceAll("");
            return SENSES.stream().filter(sense -> sense.isBrokenBy(said)).map(sense -> text.where() + " \"" + sense.word() + "\" (" + sense.why() + ") in: " + text.text());
        }).toList();
    }

    private static List<String> unwanted(List<Text> texts) {
        return texts.stream().filter(text -> !EXCEPTIONS.contains(text.text())).flatMap(text -> UNWANTED.stream().map(word -> word.matcher(text.text())).filter(Matcher::find)
                .map(found -> text.where() + " \"" + found.group() + "\" in: " + text.text())).toList();
    }

    @Test
    void noStringHasAWordThatIsNotUsed() throws IOException {
        List<Text> texts = strings("core/src/main/java", "cli/src/main/java", "app/src/main/java").stream()
                .filter(text -> text.text().contains(" ") || text.text().matches("\\p{Lu}.*")).toList();
        assertThat(texts).hasSizeGreaterThan(2000);
        assertThat(unwanted(texts)).isEmpty();
        assertThat(otherSenses(texts)).isEmpty();
    }

    @Test
    void noPageHasAWordThatIsNotUsed() throws IOException {
        List<Text> texts = new ArrayList<>();
        try (Stream<Path> files = Stream.concat(Stream.of(Path.of("../README.md")), Files.list(Path.of("../docs/definitions")))) {
            for (Path file : files.filter(path -> path.toString().endsWith(".md") && !path.endsWith("words.md")).toList()) {
                List<String> lines = Files.readAllLines(file);
                for (int n = 0; n < lines.size(); n++) {
                    texts.add(new Text(file.getFileName() + ":" + (n + 1), lines.get(n).replaceAll("`[^`]*`", "")));
                }
            }
        }
        assertThat(texts).hasSizeGreaterThan(500);
        assertThat(unwanted(texts)).isEmpty();
    }

    /** A sentence of a message has at most 25 words; lists of values and step lines are not counted. */
    @Test
    void sentencesAreShort() throws IOException {
        assertThat(strings("core/src/main/java", "cli/src/main/java", "app/src/main/java").stream().map(Text::text).flatMap(text -> Stream.of(text.split("(?<=[.?!:;])\\s|\\\\n|\\|")))
                .filter(sentence -> !sentence.contains("=") && !sentence.contains(" * ") && !sentence.contains("×") && sentence.split("\\s+").length > MOST_WORDS)).isEmpty();
    }

    @Test
    void labelsAreNounsInSentenceCase() {
        Set<String> prepositions = Set.of("at", "by", "to", "from", "as", "of", "with", "for", "in", "on");
        for (StepType type : Catalog.all()) {
            assertThat(type.title()).as(type.name()).matches("\\p{Lu}[^.]*").satisfies(title -> assertThat(title.split(" ")).hasSizeLessThan(6));
            assertThat(type.sentence().split(" ")).as(type.sentence()).hasSizeLessThan(MOST_WORDS);
            assertThat(type.sentence()).matches("\\p{Lu}.*\\.");
            for (Parameter<?> parameter : type.parameters()) {
                assertThat(prepositions).as(type.name() + " " + parameter.key()).doesNotContain(parameter.title().toLowerCase(Locale.ROOT));
                assertThat(parameter.title()).as(type.name()).isNotBlank();
            }
        }
    }

    /** A reader sees titles; the ids are for data files. */
    @Test
    void everySlipHasATitle() {
        Catalog.all().forEach(type -> KnownSlips.of(type).forEach(slip -> assertThat(SlipTitles.of(slip.id()).split(" ")).as(slip.id()).hasSizeBetween(1, 8)));
        assertThat(SlipTitles.ofWritten("border-zero + rounded-down")).isEqualTo("Zeros outside + Rounded down");
    }

    /** Names of earlier versions are read, and never written. */
    @Test
    void earlierNamesAreRead() {
        for (String line : List.of("turn degrees=90", "move down=1 right=0 border=repeat", "shift by=1", "rank-keep keep=1", "threshold-two-means",
                "threshold-share percent=50", "colour red=self green=self blue=self", "swap order=\"blue green red\"", "sine-noise amplitude=9 period-rows=4",
                "pass keep=low radius=2", "box size=3 border=wrap", "resize scale=2 grid=centres")) {
            String today = StepLine.parse(line).line();
            assertThat(today).isNotEqualTo(line);
            assertThat(StepLine.parse(today).line()).isEqualTo(today);
        }
        assertThat(StepLine.parse("move down=1 right=0 border=wrap").line()).isEqualTo("translate down=1 right=0 border=periodic");
    }
}
