package pixeron.step.key;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.number.Decimals;

/**
 * A name and keys as one line of text: {@code name key=value key="several values"}.
 *
 * <p>An error names the word, its place in the line (counted from 1) and what would be right.
 *
 * @param type what the name names
 * @param arguments the values of its keys
 * @param <K> the kind of thing that the line is about
 */
public record KeyedLine<K extends Keyed>(K type, Arguments arguments) {

    /** A word of the line with its place, counted from 1. */
    private record Word(String key, String value, int place) {
    }

    /**
     * Returns the type and its arguments.
     *
     * @param what the kind of thing, for messages: {@code step}
     * @param line the line
     * @param find gives what a name names; throws what would be right for a name that names nothing
     * @throws PixeronException if the name or a key is unknown, a key occurs twice, or a value is missing or not
     * allowed
     */
    public static <K extends Keyed> KeyedLine<K> parse(String what, String line, Function<String, K> find) {
        List<Word> words = words(line);
        if (words.isEmpty()) {
            throw PixeronException.of("The %s line is empty. Begin it with a name.", what);
        }
        Word name = words.get(0);
        if (name.value() != null) {
            throw at(name, "expected the name of a %s, found \"%s=…\".", what, Decimals.shortened(name.key()));
        }
        K type = found(name, find);
        Arguments arguments = Arguments.NONE;
        Set<String> seen = new HashSet<>();
        for (Word word : words.subList(1, words.size())) {
            Parameter<?> parameter = parameter(type, word);
            if (!seen.add(word.key())) {
                throw at(word, "%s is given twice.", word.key());
            }
            arguments = with(type, arguments, parameter, word);
        }
        return new KeyedLine<>(type, arguments);
    }

    private static <K> K found(Word name, Function<String, K> find) {
        try {
            return find.apply(name.key());
        } catch (PixeronException unknown) {
            throw at(name, "%s", unknown.getMessage());
        }
    }

    private static Parameter<?> parameter(Keyed type, Word word) {
        String keys = type.parameters().stream().map(Parameter::key).collect(Collectors.joining(", "));
        if (word.value() == null) {
            throw at(word, "\"%s\" has no value. Write key=value; %s has the keys %s.",
                    Decimals.shortened(word.key()), type.name(), keys);
        }
        return type.parameters().stream().filter(p -> p.key().equals(word.key())).findFirst()
                .orElseThrow(() -> at(word, "%s has no parameter \"%s\". It has %s.",
                        type.name(), Decimals.shortened(word.key()), keys));
    }

    private static <T> Arguments with(Keyed type, Arguments arguments, Parameter<T> parameter, Word word) {
        try {
            return arguments.withText(parameter, word.value(), type.takesEach());
        } catch (PixeronException problem) {
            throw at(word, "%s", problem.getMessage());
        }
    }

    private static PixeronException at(Word word, String message, Object... values) {
        return PixeronException.of("Character %d: %s", word.place(), String.format(message, values));
    }

    private static List<Word> words(String line) {
        List<Word> words = new ArrayList<>();
        int at = 0;
        while (true) {
            while (at < line.length() && Character.isWhitespace(line.charAt(at))) {
                at++;
            }
            if (at == line.length()) {
                return words;
            }
            int start = at;
            while (at < line.length() && !Character.isWhitespace(line.charAt(at)) && line.charAt(at) != '=') {
                at++;
            }
            String key = line.substring(start, at);
            if (at == line.length() || line.charAt(at) != '=') {
                words.add(new Word(key, null, start + 1));
                continue;
            }
            int end = endOfValue(line, ++at, start);
            boolean isQuoted = at < end && line.charAt(at) == '"';
            words.add(new Word(key, isQuoted ? line.substring(at + 1, end - 1) : line.substring(at, end), start + 1));
            at = end;
        }
    }

    private static int endOfValue(String line, int at, int start) {
        int end = at;
        if (at < line.length() && line.charAt(at) == '"') {
            end = line.indexOf('"', at + 1) + 1;
            boolean isEnded = end > 0 && (end == line.length() || Character.isWhitespace(line.charAt(end)));
            if (!isEnded) {
                throw PixeronException.of(end == 0 ? "Character %d: the closing quote is missing."
                        : "Character %d: put a space after the closing quote.", end == 0 ? at + 1 : end + 1);
            }
            return end;
        }
        while (end < line.length() && !Character.isWhitespace(line.charAt(end))) {
            end++;
        }
        return end;
    }

    /** Returns what a user can write: the name, required keys, others with their default. */
    public static String usage(Keyed type) {
        return type.name() + type.parameters().stream().map(KeyedLine::usage).collect(Collectors.joining());
    }

    private static <T> String usage(Parameter<T> parameter) {
        String shown = parameter.defaultValue().map(parameter::print).orElse("…");
        return parameter.isRequired() ? " " + parameter.key() + "=…" : " [" + parameter.key() + "=" + shown + "]";
    }

    /**
     * Checks that no argument is missing.
     *
     * @throws PixeronException if a required key of type has no value
     */
    public static void requireAll(Keyed type, Arguments arguments) {
        for (Parameter<?> parameter : type.parameters()) {
            if (parameter.isRequired() && arguments.find(parameter).isEmpty()) {
                throw PixeronException.of("%s needs %s=…: %s.", type.name(), parameter.key(), parameter.range());
            }
        }
    }
}
