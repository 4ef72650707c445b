package pixeron.cli;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import pixeron.PixeronException;
import pixeron.format.SafeFile;

/**
 * The arguments of a command, declared to the library by calls. Annotations on fields would do as well, but to
 * read them Java makes classes while it runs, which was a quarter of a short command.
 */
final class Syntax {

    private static final String OUT = "--out";
    /** Options that name a file that is written. */
    private static final Set<String> WRITTEN = Set.of(OUT, "--grades");

    private final PrintWriter out;
    private final PrintWriter err;
    private final List<OptionSpec> options = new ArrayList<>();
    private final List<PositionalParamSpec> words = new ArrayList<>();
    private String[] sentences = {};
    private String[] version = {};

    Syntax(PrintWriter out, PrintWriter err) {
        this.out = out;
        this.err = err;
        options.add(OptionSpec.builder("-h", "--help").type(boolean.class).usageHelp(true).description("Show this help and exit.").build());
        options.add(OptionSpec.builder("-V", "--version").type(boolean.class).versionHelp(true).description("Show the version and exit.").build());
    }

    /** Returns standard output. */
    PrintWriter out() {
        return out;
    }

    /** Returns standard error. */
    PrintWriter err() {
        return err;
    }

    /** What the command does, for its help. */
    void describe(String sentence) {
        sentences = new String[] {sentence};
    }

    /** What --version says. */
    void version(String name) {
        version = new String[] {name};
    }

    /** The next word that is no option; it must be given. */
    <T> Argument<T> next(String label, Class<T> type, String description) {
        return positional(PositionalParamSpec.builder().index(String.valueOf(words.size())).arity("1").required(true).paramLabel(label).type(type).description(description));
    }

    /** All other words that are no options, as paths. */
    Argument<List<Path>> others(String label, String description) {
        return positional(PositionalParamSpec.builder().index(words.size() + "..*").arity("0..*").paramLabel(label).type(List.class).auxiliaryTypes(Path.class)
                .initialValue(List.of()).description(description));
    }

    private <T> Argument<T> positional(PositionalParamSpec.Builder builder) {
        PositionalParamSpec spec = builder.build();
        words.add(spec);
        return new Argument<>(spec);
    }

    /** An option that may be left out. */
    <T> Argument<T> option(String name, String label, Class<T> type, String description) {
        return add(OptionSpec.builder(name).paramLabel(label).type(type).description(description));
    }

    /** An option that earlier versions had. It is read, and no help names it. */
    <T> Argument<T> earlier(String name, Class<T> type) {
        return add(OptionSpec.builder(name).type(type).hidden(true));
    }

    /** An option that has a value when it is omitted. */
    <T> Argument<T> option(String name, String label, Class<T> type, String byDefault, String description) {
        return add(OptionSpec.builder(name).paramLabel(label).type(type).defaultValue(byDefault).description(description));
    }

    /** An option whose word is read by a converter. */
    <T> Argument<T> option(String name, String label, Class<T> type, ITypeConverter<T> converter, String description) {
        return add(OptionSpec.builder(name).paramLabel(label).type(type).converters(converter).description(description));
    }

    /** An option that must be given. */
    <T> Argument<T> required(String name, String label, Class<T> type, String description) {
        return add(OptionSpec.builder(name).paramLabel(label).type(type).required(true).description(description));
    }

    /** An option that may be given several times. */
    Argument<List<String>> repeated(String name, String label, String description) {
        return add(OptionSpec.builder(name).paramLabel(label).type(List.class).auxiliaryTypes(String.class).initialValue(List.of()).description(description));
    }

    /** An option without a value: true when it is given. */
    Argument<Boolean> flag(String name, String description) {
        return add(OptionSpec.builder(name).type(boolean.class).initialValue(false).description(description));
    }

    /** How a command answers that has several ways; the names of the constants are the words. */
    <T extends Enum<T>> Argument<T> format(Class<T> type) {
        return add(OptionSpec.builder("--format").paramLabel("<format>").type(type).defaultValue("text").description("${COMPLETION-CANDIDATES}; default: ${DEFAULT-VALUE}."));
    }

    private <T> Argument<T> add(OptionSpec.Builder builder) {
        OptionSpec spec = builder.build();
        options.add(spec);
        return new Argument<>(spec);
    }

    /**
     * Returns what reads the words and then does the command.
     *
     * @param command a Runnable or a Callable of an exit code
     */
    CommandLine line(String name, Object command) {
        Callable<Object> guarded = () -> {
            requireOther();
            if (command instanceof Callable<?> call) {
                return call.call();
            }
            ((Runnable) command).run();
            return 0;
        };
        CommandSpec spec = CommandSpec.wrapWithoutInspection(guarded).name(name).version(version);
        spec.usageMessage().description(sentences);
        options.forEach(spec::addOption);
        words.forEach(spec::addPositional);
        // Plain words: what goes to the terminal has no signs that color it.
        return new CommandLine(spec).setOut(out).setErr(err).setColorScheme(CommandLine.Help.defaultColorScheme(CommandLine.Help.Ansi.OFF));
    }

    /** Nothing that a command reads is written by it. */
    private void requireOther() {
        Stream<OptionSpec> writing = options.stream().filter(option -> WRITTEN.contains(option.longestName()));
        List<Path> read = Stream.concat(words.stream(), options.stream().filter(option -> !option.longestName().startsWith(OUT) && !WRITTEN.contains(option.longestName())))
                .flatMap(spec -> paths(spec.getValue())).toList();
        writing.flatMap(option -> paths(option.getValue())).filter(Files::isRegularFile).forEach(target -> {
            if (read.stream().anyMatch(path -> SafeFile.isSame(path, target))) {
                throw PixeronException.of("%s is an input of this command. Give the output another name.", target);
            }
        });
    }

    /** Paths as such, in lists, and behind the name of an image. */
    private static Stream<Path> paths(Object value) {
        if (value instanceof Path path) {
            return Stream.of(path);
        } else if (value instanceof Collection<?> several) {
            return several.stream().flatMap(Syntax::paths);
        }
        String text = value instanceof String named ? named : "";
        try {
            return text.indexOf('=') > 0 ? Stream.of(Path.of(text.substring(text.indexOf('=') + 1))) : Stream.empty();
        } catch (InvalidPathException noPath) {
            return Stream.empty();
        }
    }
}
