package pixeron.exercise;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.number.Rational;

/**
 * A task with choices. Immutable.
 *
 * @param title what it is called
 * @param task in words; a choice in braces is there as its value
 * @param image that it begins with
 * @param steps their lines, in which numbers may be written as {@code {name}}
 * @param choices the names and what each can be; in their order they are drawn
 * @param asked what is to be filled in, at least one part
 * @param wish what keeps a variant fit for paper
 * @param seed of all draws
 */
public record Exercise(String title, String task, GivenImage image, List<String> steps, List<Choice> choices, List<Asked> asked, Wish wish,
        long seed) {

    private static final Pattern BRACES = Pattern.compile("\\{([^{}]*)\\}");
    private static final int MOST_STEPS = 100;

    public Exercise {
        steps = List.copyOf(steps);
        choices = List.copyOf(choices);
        asked = List.copyOf(asked);
        Set<String> names = new HashSet<>(Set.of(Choice.VARIANT));
        for (Choice choice : choices) {
            if (!names.add(choice.name())) {
                throw PixeronException.of("The choice \"%s\" is given twice.", choice.name());
            }
        }
        Stream.concat(steps.stream(), image instanceof GivenImage.Made made ? Stream.of(made.line()) : Stream.<String>empty())
                .flatMap(line -> BRACES.matcher(line).results()).map(found -> found.group(1)).filter(name -> !names.contains(name))
                .findFirst().ifPresent(name -> {
                    throw PixeronException.of("There is no choice \"%s\". There %s.", name, names.size() == 1 ? "is only {variant}"
                            : "are " + String.join(", ", names.stream().sorted().toList()));
                });
        if (title.isBlank()) {
            throw PixeronException.of("The exercise has no title.");
        } else if (asked.isEmpty()) {
            throw PixeronException.of("The exercise asks for nothing. Add at least one question.");
        } else if (steps.size() > MOST_STEPS) {
            throw PixeronException.of("The exercise has %d steps. At most %d are possible.", steps.size(), MOST_STEPS);
        }
        for (Asked part : asked) {
            if (part.step() > steps.size()) {
                throw PixeronException.of("The exercise asks for step %d, but there %s.", part.step(), steps.size() == 1 ? "is 1" : "are " + steps.size());
            }
        }
    }

    /** Returns the points of all parts. */
    public Rational points() {
        return asked.stream().map(Asked::points).reduce(Rational.ZERO, Rational::plus);
    }

    /** Returns the position of the last step in question, from 0. */
    public int lastAsked() {
        return asked.stream().mapToInt(Asked::position).max().orElseThrow();
    }

    /** Returns whether the number of the variant is in what is calculated, so that no two variants can be alike. */
    boolean namesVariant() {
        String braces = "{" + Choice.VARIANT + "}";
        return steps.stream().anyMatch(line -> line.contains(braces)) || image instanceof GivenImage.Made made && made.line().contains(braces);
    }

    /** Returns a text with the number of a variant and its values in place of the names in braces; a name without a value stays. */
    static String filled(String text, int number, Map<String, String> values) {
        return BRACES.matcher(text).replaceAll(found -> Matcher.quoteReplacement(found.group(1).equals(Choice.VARIANT) ? String.valueOf(number)
                : values.getOrDefault(found.group(1), found.group())));
    }
}
