package pixeron.exercise.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.exercise.Asked;
import pixeron.exercise.Code;
import pixeron.number.Rational;

/**
 * A line for each person, as grade books take them in.
 *
 * @param lines the people in their order, then answers of nobody on the list
 * @param maximum points for everything
 * @param followCounts whether a value that follows from an earlier mistake counts as right
 */
public record GradeTable(List<Line> lines, Rational maximum, boolean followCounts) {

    /** What a column says; its name in small letters is the word for it. */
    public enum Column {
        ID, NAME, CODE, POINTS, MAXIMUM, PERCENT, FEEDBACK
    }

    /** A column with what is above it. */
    public record Titled(Column column, String title) {
    }

    /**
     * The findings about a user.
     *
     * @param handing how often something was handed in
     * @param answer the one that counts; empty where nothing that can be marked was handed in
     * @param note what else is to be known; empty where there is nothing
     */
    public record Line(People.Person person, Handing handing, Optional<Marked> answer, String note) {

        /** Returns the name, or what else there is to call the user by. */
        public String who() {
            return !person.name().isEmpty() ? person.name() : !person.id().isEmpty() ? person.id() : answer.map(Marked::source).orElse("");
        }
    }

    /** How often a user handed something in. */
    public enum Handing {
        NOTHING("no answer"), ONCE(""), SEVERAL("more than one answer"), NOT_LISTED("not on the list");

        private final String words;

        Handing(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private static final List<Column> USUAL = List.of(Column.ID, Column.NAME, Column.POINTS, Column.MAXIMUM, Column.FEEDBACK);

    public GradeTable {
        lines = List.copyOf(lines);
    }

    /**
     * Creates the table.
     *
     * @param people who should have handed something in; empty: whoever did
     * @param maximum points for everything
     */
    public static GradeTable of(List<Marked> marks, Optional<People> people, Rational maximum, boolean followCounts) {
        List<Line> lines = new ArrayList<>();
        Set<Marked> known = new HashSet<>();
        for (People.Person person : people.map(People::all).orElse(List.of())) {
            List<Marked> own = marks.stream().filter(person::handedIn).toList();
            known.addAll(own);
            lines.add(line(person, own, followCounts));
        }
        for (Marked other : marks) {
            if (!known.contains(other)) {
                People.Person somebody = new People.Person(people.isPresent() ? "" : ClassTable.who(other), other.name(), other.code());
                Line line = line(somebody, List.of(other), followCounts);
                lines.add(people.isEmpty() ? line : new Line(somebody, Handing.NOT_LISTED, line.answer(), joined("Not on the list.", line.note())));
            }
        }
        return new GradeTable(lines, maximum, followCounts);
    }

    private static Line line(People.Person person, List<Marked> own, boolean followCounts) {
        Optional<Marked> best = own.stream().filter(Marked::isMarked).max(Comparator.comparing(answer -> answer.points(followCounts)));
        if (own.isEmpty()) {
            return new Line(person, Handing.NOTHING, best, "No answer was submitted.");
        }
        String problem = best.orElse(own.get(0)).problem();
        return own.size() == 1 ? new Line(person, Handing.ONCE, best, problem)
                : new Line(person, Handing.SEVERAL, best, joined(own.size() + " answers were submitted; the one with the most points counts.", problem));
    }

    private static String joined(String first, String then) {
        return then.isEmpty() ? first : first + " " + then;
    }

    /**
     * Reads which columns there are, such as {@code id=Student,points,feedback}.
     *
     * @param text columns, each with its title behind "=" where it is not the word itself; empty for the usual ones
     * @throws PixeronException if there is no such column
     */
    public static List<Titled> columns(Optional<String> text) {
        return text.map(words -> Arrays.stream(words.split(",", -1)).map(GradeTable::titled).toList())
                .orElse(USUAL.stream().map(column -> new Titled(column, word(column))).toList());
    }

    private static Titled titled(String text) {
        int equals = text.indexOf('=');
        String word = (equals < 0 ? text : text.substring(0, equals)).strip().toLowerCase(Locale.ROOT);
        Column column = Arrays.stream(Column.values()).filter(one -> word(one).equals(word)).findFirst().orElseThrow(() ->
                PixeronException.of("There is no column \"%s\". Use id, name, code, points, maximum, percent and feedback.", word));
        return new Titled(column, equals < 0 ? word : text.substring(equals + 1).strip());
    }

    private static String word(Column column) {
        return column.name().toLowerCase(Locale.ROOT);
    }

    /** Returns head and rows. */
    public List<List<String>> rows(List<Titled> columns) {
        List<List<String>> rows = new ArrayList<>(List.of(columns.stream().map(Titled::title).toList()));
        lines.forEach(line -> rows.add(columns.stream().map(titled -> cell(line, titled.column())).toList()));
        return rows;
    }

    private String cell(Line line, Column column) {
        return switch (column) {
            case ID -> line.person().id();
            case NAME -> line.person().name().isEmpty() ? line.answer().map(Marked::name).orElse("") : line.person().name();
            case CODE -> line.answer().flatMap(Marked::code).or(line.person()::code).map(Code::toString).orElse("");
            case POINTS -> line.answer().map(answer -> Asked.written(answer.points(followCounts))).orElse("");
            case MAXIMUM -> Asked.written(maximum);
            case PERCENT -> line.answer().filter(answer -> maximum.signum() > 0)
                    .map(answer -> Asked.written(answer.points(followCounts).times(Rational.of(100)).dividedBy(maximum))).orElse("");
            case FEEDBACK -> feedback(line);
        };
    }

    /** In one cell: how much, where it goes wrong, which slip that is, and what else there is. */
    private String feedback(Line line) {
        List<String> words = new ArrayList<>();
        line.answer().ifPresent(answer -> {
            words.add(Asked.written(answer.points(followCounts)) + " of " + Asked.worth(maximum) + ".");
            if (answer.filled() < answer.cells()) {
                words.add(answer.filled() + " of " + answer.cells() + " cells are filled in.");
            } else if (answer.agree() == answer.cells()) {
                words.add("All values are correct.");
            }
            answer.starts().ifPresent(words::add);
            answer.slip().map(Marked.Slip::words).ifPresent(words::add);
            if (!answer.comment().isBlank()) {
                words.add(answer.comment());
            }
        });
        if (!line.note().isEmpty()) {
            words.add(line.note());
        }
        return String.join(" ", words);
    }
}
