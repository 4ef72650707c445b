package pixeron.loop;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.formula.Operator;
import pixeron.number.Value;

/** A program written down, line by line; each language adds what differs. */
abstract class Text {

    private static final int PIECE = 16;
    private static final String INDENT = "    ";
    /** Binds weaker than everything that is in it. */
    static final int WEAKEST = 0;
    static final int COMPARED = 1;
    static final int ADDED = 2;
    static final int MULTIPLIED = 3;
    static final int STRONGEST = 9;

    private final StringBuilder out = new StringBuilder();
    final Map<String, Kind> kinds;
    final LoopProgram program;
    /** Helpers that are needed, in the order in which they came up. */
    private final Set<String> helpers = new LinkedHashSet<>();
    private boolean isDrawing;

    Text(LoopProgram program) {
        this.program = program;
        this.kinds = Kind.of(program);
    }

    abstract String text();

    final void line(int depth, String text) {
        out.append(text.isEmpty() ? "" : INDENT.repeat(depth)).append(text).append('\n');
    }

    final void lines(int depth, String text) {
        text.lines().forEach(one -> line(depth, one));
    }

    final String written() {
        return out.toString();
    }

    final Kind kind(Code code) {
        return Kind.of(code, kinds);
    }

    /** Returns the text of something, in brackets where it binds weaker than what it is in. */
    final String in(int strength, Code code) {
        String text = text(code);
        return strength(code) < strength ? "(" + text + ")" : text;
    }

    abstract int strength(Code code);

    abstract String text(Code code);

    static int strength(Operator operator) {
        return switch (operator) {
            case ADD, SUBTRACT -> ADDED;
            case MULTIPLY, DIVIDE -> MULTIPLIED;
            case POWER -> STRONGEST - 1;
            default -> COMPARED;
        };
    }

    static String sign(Operator operator) {
        return switch (operator) {
            case LESS -> "<";
            case GREATER -> ">";
            case AT_MOST -> "<=";
            case AT_LEAST -> ">=";
            case EQUAL -> "==";
            case NOT_EQUAL -> "!=";
            case ADD -> "+";
            case SUBTRACT -> "-";
            case MULTIPLY -> "*";
            case DIVIDE -> "/";
            case POWER -> "**";
        };
    }

    /** Returns the files that are read, as they are in a command. */
    final String files() {
        return program.inputs().stream().map(LoopProgram.Input::file).collect(Collectors.joining(" "));
    }

    /** Returns its name; from now on it is needed. */
    final String helper(String name) {
        helpers.add(name);
        return name;
    }

    final String text(Code.Helped helped) {
        isDrawing |= helped.helper().isDrawn();
        return helper(helped.helper().word()) + "(" + helped.arguments().stream().map(this::text).collect(Collectors.joining(", ")) + ")";
    }

    /** Returns what is needed, with what random numbers are made of. */
    final Set<String> helpers() {
        if (isDrawing) {
            helpers.add("bits");
        }
        return helpers;
    }

    static boolean isComparison(Code code) {
        return code instanceof Code.All || code instanceof Code.Binary binary && strength(binary.operator()) == COMPARED;
    }

    /** Names that languages keep for themselves get an underscore. */
    static String safe(String name) {
        return Set.of("min", "max", "lambda", "in", "is", "not", "and", "or", "long", "int", "round", "abs", "list", "sum").contains(name) ? name + "_" : name;
    }

    /** Returns numbers in lines of so many that they can be read. */
    static List<String> inPieces(List<Value> values, Function<Value, String> text) {
        return IntStream.range(0, (values.size() + PIECE - 1) / PIECE).mapToObj(n -> values.subList(n * PIECE, Math.min(values.size(), (n + 1) * PIECE)).stream()
                .map(text).collect(Collectors.joining(", "))).toList();
    }

    final List<Statement> all() {
        return Stream.concat(program.start().stream(), program.body().stream()).toList();
    }
}
