package pixeron.program;

import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import pixeron.PixeronException;

/**
 * The command that runs a user's program, such as {@code python3 equalize.py {in} {out}}. No shell is between: words are parted by blanks,
 * and quotes keep blanks in a word. Without {@code {out}} the program prints its result.
 *
 * @param words of the command, with what represents files still in braces
 */
public record ProgramCommand(List<String> words) {

    private static final Pattern WORD = Pattern.compile("\"([^\"]*)\"|'([^']*)'|((?:[^\\s\"'\\\\]|\\\\.)+)|(\\S)");
    private static final Pattern BRACES = Pattern.compile("\\{(in|with|out)(?:\\.([a-z]+))?\\}");
    private static final List<String> ENDINGS = List.of("csv", "pgm", "ppm", "png", "npy");

    public ProgramCommand {
        words = List.copyOf(words);
    }

    /**
     * Parses a command.
     *
     * @param text as it is typed
     * @throws PixeronException if it is empty, a quote does not end, or it does not say where the image is read
     */
    public static ProgramCommand parse(String text) {
        List<String> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(text);
        int end = -1;
        while (matcher.find()) {
            if (matcher.group(4) != null) {
                throw PixeronException.of("Character %d of the command: the closing quote is missing.", matcher.start() + 1);
            }
            String word = Stream.of(1, 2, 3).map(matcher::group).filter(found -> found != null).findFirst().orElseThrow();
            String plain = matcher.group(3) == null ? word : word.replaceAll("\\\\(.)", "$1");
            if (matcher.start() == end) {
                // Quoted and unquoted pieces without a blank between them are one word.
                words.set(words.size() - 1, words.get(words.size() - 1) + plain);
            } else {
                words.add(plain);
            }
            end = matcher.end();
        }
        ProgramCommand command = new ProgramCommand(words);
        command.requireFiles();
        return command;
    }

    private void requireFiles() {
        if (words.isEmpty()) {
            throw PixeronException.of("The command is empty. Use the form: python3 mine.py {in} {out}.");
        } else if (names().noneMatch("in"::equals)) {
            throw PixeronException.of("The command needs {in} for the input file, such as: python3 mine.py {in} {out}. Without {out}, Pixeron reads what the program prints.");
        }
        braces().filter(found -> found.group(2) != null && !ENDINGS.contains(found.group(2))).findFirst().ifPresent(found -> {
            throw PixeronException.of("%s is unknown. Use {in}, {in.csv}, {in.pgm}, {in.ppm}, {in.png}, {in.npy}, and the same with {with} and {out}.", found.group());
        });
    }

    private Stream<MatchResult> braces() {
        return words.stream().flatMap(word -> BRACES.matcher(word).results());
    }

    private Stream<String> names() {
        return braces().map(found -> found.group(1));
    }

    /** Returns whether it prints its result, because it names no file for it. */
    public boolean prints() {
        return names().noneMatch("out"::equals);
    }

    /** Returns whether it reads another image besides. */
    public boolean readsOther() {
        return names().anyMatch("with"::equals);
    }

    /** Returns what it reads and in which format: the name in, with or out, and an ending such as csv. */
    Map<String, String> files() {
        return braces().collect(Collectors.toMap(found -> found.group(), found ->
                found.group(2) == null ? ENDINGS.get(0) : found.group(2), (a, b) -> a));
    }

    /** Returns the ending of the file that represents a name, in, with or out: csv where the command says none. */
    String ending(String name) {
        return braces().filter(found -> found.group(1).equals(name) && found.group(2) != null).map(found -> found.group(2)).findFirst().orElse(ENDINGS.get(0));
    }

    /**
     * Returns the words with files in place of braces.
     *
     * @param from where the user is: files of theirs that are named from there are found from anywhere
     * @param file the file for a name (in, with, out) and an ending
     */
    List<String> with(Path from, BiFunction<String, String, Path> file) {
        List<String> done = new ArrayList<>();
        for (int n = 0; n < words.size(); n++) {
            String word = words.get(n);
            Path own = ownFile(from, word, n);
            done.add(own != null ? own.toString() : BRACES.matcher(word).replaceAll(found -> Matcher.quoteReplacement(file.apply(found.group(1),
                    found.group(2) == null ? ENDINGS.get(0) : found.group(2)).toString())));
        }
        return done;
    }

    /** A program without a folder before its name is looked for in the path, as always; anything else that is a file here is meant. */
    private static Path ownFile(Path from, String word, int place) {
        boolean isPlainProgram = place == 0 && !word.contains("/") && !word.contains("\\");
        if (isPlainProgram || word.startsWith("-") || word.isBlank() || BRACES.matcher(word).find()) {
            return null;
        }
        try {
            Path file = from.resolve(word);
            return Files.exists(file) ? file.toAbsolutePath().normalize() : null;
        } catch (InvalidPathException noFile) {
            return null;
        }
    }
}
