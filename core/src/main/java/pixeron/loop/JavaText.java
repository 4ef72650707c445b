package pixeron.loop;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;

/** A program in Java: whole numbers are longs, fractions a small record at its end, and doubles only where a root, a logarithm or a sine needs them. */
final class JavaText extends Text {

    JavaText(LoopProgram program) {
        super(program);
    }

    /**
     * Writes what makes the grid {@code after} of those that are read, and begins with their size.
     *
     * @param type of its cells
     * @param cell what is kept of s
     */
    String loop(String type, String cell) {
        line(0, "int H = " + program.inputs().get(0).grid() + ".length;");
        line(0, "int W = " + program.inputs().get(0).grid() + "[0].length;");
        Set<String> before = names(program.start(), new TreeSet<>());
        before.forEach(name -> line(0, declaration(name)));
        block(0, program.start());
        line(0, "int rows = (int) " + in(STRONGEST, program.rows()) + ";");
        line(0, "int columns = (int) " + in(STRONGEST, program.columns()) + ";");
        line(0, type + "[][] after = new " + type + "[rows][columns];");
        line(0, "for (int i = 0; i < rows; i++) {");
        line(1, "for (int j = 0; j < columns; j++) {");
        Set<String> within = names(program.body(), new TreeSet<>());
        within.removeAll(before);
        within.forEach(name -> line(2, declaration(name)));
        block(2, program.body());
        line(2, "after[i][j] = " + cell + ";");
        line(1, "}");
        line(0, "}");
        return written();
    }

    /** Writes helpers, and what those need themselves. */
    void helpers(Set<String> needed, boolean hasFractions) {
        Set<String> all = new LinkedHashSet<>(needed);
        if (all.contains("nearestEven(Fraction)")) {
            all.add("nearest(Fraction)");
        }
        all.forEach(helper -> {
            line(0, "");
            lines(1, JavaHelpers.ALL.get(helper));
        });
        if (hasFractions || all.stream().anyMatch(helper -> helper.contains("Fraction"))) {
            line(0, "");
            lines(1, JavaHelpers.FRACTION);
        }
    }

    @Override
    String text() {
        JavaText body = new JavaText(program);
        String loop = body.loop("String", "String.valueOf(s)");
        line(0, "// " + program.line());
        line(0, "// java " + program.className() + ".java " + files() + " out.csv");
        line(0, "import java.nio.file.Files;");
        line(0, "import java.nio.file.Path;");
        line(0, "import java.util.ArrayList;");
        line(0, "import java.util.Arrays;");
        line(0, "import java.util.Collections;");
        line(0, "import java.util.List;");
        line(0, "");
        line(0, "public class " + program.className() + " {");
        line(1, "public static void main(String[] files) throws Exception {");
        for (int n = 0; n < program.inputs().size(); n++) {
            LoopProgram.Input input = program.inputs().get(n);
            String type = input.isReal() ? "double" : "long";
            line(2, type + "[][] " + input.grid() + " = Files.readAllLines(Path.of(files[" + n + "])).stream().filter(line -> !line.isBlank())");
            line(3, "    .map(line -> Arrays.stream(line.split(\",\"))." + (input.isReal() ? "mapToDouble(cell -> Double.parseDouble" : "mapToLong(cell -> Long.parseLong")
                    + "(cell.strip())).toArray()).toArray(" + type + "[][]::new);");
        }
        lines(2, loop);
        line(2, "Files.write(Path.of(files[" + program.inputs().size() + "]), Arrays.stream(after).map(cells -> String.join(\",\", cells)).toList());");
        line(1, "}");
        helpers(body.helpers(), loop.contains("Fraction"));
        line(0, "}");
        return written();
    }

    /** Variables and lists that statements set, with those in loops and branches; not those that loops go through. */
    private static Set<String> names(List<Statement> statements, Set<String> names) {
        for (Statement statement : statements) {
            if (statement instanceof Statement.Set set) {
                names.add(set.name());
            } else if (statement instanceof Statement.NewList list) {
                names.add(list.name() + "[]");
            } else if (statement instanceof Statement.Loop loop) {
                names(loop.body(), names);
            } else if (statement instanceof Statement.When when) {
                names(when.then(), names);
                names(when.otherwise(), names);
            }
        }
        return names;
    }

    private String type(Kind kind) {
        return kind == Kind.WHOLE ? "long" : kind == Kind.FRACTION ? "Fraction" : "double";
    }

    private String declaration(String name) {
        if (name.endsWith("[]")) {
            String list = name.substring(0, name.length() - 2);
            Kind kind = kinds.getOrDefault(list, Kind.WHOLE);
            return "List<" + (kind == Kind.WHOLE ? "Long" : kind == Kind.FRACTION ? "Fraction" : "Double") + "> " + list + " = new ArrayList<>();";
        }
        Kind kind = kinds.getOrDefault(name, Kind.WHOLE);
        return type(kind) + " " + safe(name) + " = " + (kind == Kind.FRACTION ? "Fraction.of(0)" : "0") + ";";
    }

    private void block(int depth, List<Statement> statements) {
        statements.forEach(statement -> write(depth, statement));
    }

    private void write(int depth, Statement statement) {
        if (statement instanceof Statement.Words words) {
            line(depth, "// " + words.text());
        } else if (statement instanceof Statement.Set set) {
            line(depth, safe(set.name()) + " = " + as(kinds.getOrDefault(set.name(), Kind.WHOLE), set.value()) + ";");
        } else if (statement instanceof Statement.Loop loop) {
            line(depth, "for (int " + loop.name() + " = " + integer(loop.from()) + "; " + loop.name() + " < " + text(loop.below()) + "; " + loop.name() + "++) {");
            block(depth + 1, loop.body());
            line(depth, "}");
        } else if (statement instanceof Statement.When when) {
            line(depth, "if (" + text(when.condition()) + ") {");
            block(depth + 1, when.then());
            line(depth, when.otherwise().isEmpty() ? "}" : "} else {");
            if (!when.otherwise().isEmpty()) {
                block(depth + 1, when.otherwise());
                line(depth, "}");
            }
        } else if (statement instanceof Statement.Values list) {
            Kind kind = kinds.get(list.name());
            line(depth, type(kind) + "[] " + list.name() + " = {");
            inPieces(list.values(), value -> as(kind, new Code.Number(value))).forEach(piece -> line(depth + 1, piece + ","));
            line(depth, "};");
        } else if (statement instanceof Statement.NewList list) {
            line(depth, list.name() + ".clear();");
        } else if (statement instanceof Statement.Zeros zeros) {
            String type = kinds.getOrDefault(zeros.name(), Kind.WHOLE) == Kind.REAL ? "double" : "long";
            line(depth, type + "[] " + zeros.name() + " = new " + type + "[" + integer(zeros.size()) + "];");
        } else if (statement instanceof Statement.Put put) {
            boolean isWhole = kinds.get(put.list()) == Kind.WHOLE;
            line(depth, put.list() + ".add(" + (isWhole ? "(long) " + in(STRONGEST, put.value()) : as(kinds.get(put.list()), put.value())) + ");");
        } else if (statement instanceof Statement.SetAt set) {
            line(depth, set.list() + "[" + integer(set.index()) + "] = " + text(set.value()) + ";");
        } else if (statement instanceof Statement.NewGrid grid) {
            String type = type(kinds.getOrDefault(grid.name(), Kind.WHOLE));
            line(depth, type + "[][] " + grid.name() + " = new " + type + "[" + integer(grid.rows()) + "][" + integer(grid.columns()) + "];");
        } else if (statement instanceof Statement.SetCell set) {
            line(depth, set.grid() + "[" + integer(set.row()) + "][" + integer(set.column()) + "] = " + as(kinds.get(set.grid()), set.value()) + ";");
        } else if (statement instanceof Statement.Sort sort) {
            line(depth, "Collections.sort(" + sort.list() + ");");
        } else {
            Statement.Grid grid = (Statement.Grid) statement;
            Kind kind = kinds.get(grid.name());
            line(depth, type(kind) + "[][] " + grid.name() + " = {" + grid.rows().stream().map(row -> "{" + row.stream().map(value -> as(kind, new Code.Number(value)))
                    .collect(Collectors.joining(", ")) + "}").collect(Collectors.joining(", ")) + "};");
        }
    }

    private String integer(Code code) {
        boolean isPlain = code instanceof Code.Number || code instanceof Code.Rows || code instanceof Code.Columns || code instanceof Code.Name name && Set.of("H", "W", "i", "j", "a", "b", "k", "m", "n").contains(name.name());
        return isPlain ? text(code) : "(int) " + in(STRONGEST, code);
    }

    /** Returns the text of something as a number of a kind at least as wide as its own. */
    private String as(Kind wanted, Code code) {
        Kind own = kind(code);
        if (isComparison(code)) {
            return as(wanted, new Code.Choice(code, Code.of(1), Code.of(0)));
        } else if (own == wanted) {
            return text(code);
        } else if (wanted == Kind.FRACTION) {
            return "Fraction.of(" + text(code) + ")";
        } else if (wanted == Kind.REAL && own == Kind.FRACTION) {
            return in(STRONGEST, code) + ".value()";
        }
        return wanted == Kind.REAL ? "(double) " + in(STRONGEST, code) : text(code);
    }

    @Override
    int strength(Code code) {
        return code instanceof Code.Binary binary ? kind(code) == Kind.FRACTION || binary.operator() == Operator.POWER ? STRONGEST : isFractionCompared(binary) ? COMPARED
                : strength(binary.operator()) : code instanceof Code.Choice || code instanceof Code.All ? WEAKEST : code instanceof Code.Negation ? ADDED
                        : code instanceof Code.Number number && number.value().signum() < 0 ? ADDED
                                : code instanceof Code.Call call && List.of(Function.AND, Function.OR, Function.XOR).contains(call.function()) ? WEAKEST : STRONGEST;
    }

    private boolean isFractionCompared(Code.Binary binary) {
        return isComparison(binary) && kind(binary.left()).with(kind(binary.right())) == Kind.FRACTION;
    }

    @Override
    String text(Code code) {
        if (code instanceof Code.Number number) {
            return number(number.value());
        } else if (code instanceof Code.Name name) {
            return safe(name.name());
        } else if (code instanceof Code.Cell cell) {
            return cell.grid() + "[" + integer(cell.row()) + "][" + integer(cell.column()) + "]";
        } else if (code instanceof Code.At at) {
            return isList(at.list()) ? at.list() + ".get(" + integer(at.index()) + ")" : at.list() + "[" + integer(at.index()) + "]";
        } else if (code instanceof Code.Size size) {
            return size.list() + ".size()";
        } else if (code instanceof Code.Rows rows) {
            return rows.grid() + ".length";
        } else if (code instanceof Code.Columns columns) {
            return columns.grid() + "[0].length";
        } else if (code instanceof Code.Helped helped) {
            return text(helped);
        } else if (code instanceof Code.Negation negation) {
            return kind(code) == Kind.FRACTION ? "Fraction.of(0).minus(" + text(negation.operand()) + ")" : "-" + in(MULTIPLIED, negation.operand());
        } else if (code instanceof Code.Binary binary) {
            return text(binary);
        } else if (code instanceof Code.Call call) {
            return text(call);
        } else if (code instanceof Code.Choice choice) {
            Kind kind = kind(choice);
            return in(COMPARED, choice.condition()) + " ? " + as(kind, choice.then()) + " : " + as(kind, choice.otherwise());
        } else if (code instanceof Code.All all) {
            return all.conditions().stream().map(condition -> in(COMPARED, condition)).collect(Collectors.joining(" && "));
        }
        Code.Rounded rounded = (Code.Rounded) code;
        return rounded(rounded.rounding(), rounded.value());
    }

    private boolean isList(String name) {
        return names(all(), new TreeSet<>()).contains(name + "[]");
    }

    private String number(Value value) {
        return !(value instanceof Rational rational) ? real(Decimals.shortest(value.asDouble())) : rational.isWhole() ? rational.toString() + (rational.isInt() ? "" : "L")
                : "Fraction.of(" + rational.numerator() + ", " + rational.denominator() + ")";
    }

    /** Without a point it would be divided as a whole number. */
    private static String real(String text) {
        return text.matches("-?[0-9]+") ? text + ".0" : text;
    }

    private String rounded(Rounding rounding, Code value) {
        Kind kind = kind(value);
        if (kind == Kind.WHOLE || rounding == Rounding.NONE) {
            return text(value);
        }
        boolean isReal = kind == Kind.REAL;
        String text = isReal ? helper("snap") + "(" + text(value) + ", M)" : text(value);
        return switch (rounding) {
            case NEAREST -> helper(isReal ? "nearest(double)" : "nearest(Fraction)").replaceFirst("\\(.*", "") + "(" + text + ")";
            case NEAREST_EVEN -> isReal ? "(long) Math.rint(" + text + ")" : helper("nearestEven(Fraction)").replaceFirst("\\(.*", "") + "(" + text + ")";
            case TRUNCATE -> isReal ? "(long) (" + text + ")" : in(STRONGEST, value) + ".top() / " + in(STRONGEST, value) + ".below()";
            case CEILING -> isReal ? "(long) Math.ceil(" + text + ")" : "-Fraction.of(0).minus(" + text + ").floor()";
            default -> isReal ? "(long) Math.floor(" + text + ")" : in(STRONGEST, value) + ".floor()";
        };
    }

    private String text(Code.Binary binary) {
        Kind both = kind(binary.left()).with(kind(binary.right()));
        Operator operator = binary.operator();
        if (operator == Operator.POWER) {
            return Kind.isWholePower(binary) ? kind(binary.left()) == Kind.WHOLE ? helper("power") + "(" + text(binary.left()) + ", " + text(binary.right()) + ")"
                    : kind(binary.left()) == Kind.FRACTION ? in(STRONGEST, binary.left()) + ".power(" + text(binary.right()) + ")"
                            : "Math.pow(" + text(binary.left()) + ", " + text(binary.right()) + ")"
                    : helper("snap") + "(Math.pow(" + as(Kind.REAL, binary.left()) + ", " + as(Kind.REAL, binary.right()) + "))";
        } else if (isFractionCompared(binary)) {
            return "(" + as(Kind.FRACTION, binary.left()) + ").compareTo(" + as(Kind.FRACTION, binary.right()) + ") " + sign(operator) + " 0";
        } else if (operator == Operator.DIVIDE && both == Kind.WHOLE) {
            return "Fraction.of(" + text(binary.left()) + ", " + text(binary.right()) + ")";
        } else if (kind(binary) == Kind.FRACTION) {
            String method = switch (operator) {
                case ADD -> "plus";
                case SUBTRACT -> "minus";
                case MULTIPLY -> "times";
                default -> "over";
            };
            String left = as(Kind.FRACTION, binary.left());
            return (binary.left() instanceof Code.Choice ? "(" + left + ")" : left) + "." + method + "(" + as(Kind.FRACTION, binary.right()) + ")";
        }
        int strength = strength(operator);
        boolean isTight = operator == Operator.SUBTRACT || operator == Operator.DIVIDE || strength == COMPARED;
        return operand(both, strength, binary.left()) + " " + sign(operator) + " " + operand(both, isTight ? strength + 1 : strength, binary.right());
    }

    private String operand(Kind both, int strength, Code code) {
        return both == Kind.REAL && kind(code) == Kind.FRACTION ? as(Kind.REAL, code) : in(strength, isComparison(code) ? new Code.Choice(code, Code.of(1), Code.of(0)) : code);
    }

    private String text(Code.Call call) {
        List<Code> arguments = call.arguments();
        Kind kind = kind(call);
        return switch (call.function()) {
            case MIN, MAX -> extreme(call.function(), arguments, kind);
            case ABS -> kind == Kind.FRACTION ? helper("largest") + "(" + text(arguments.get(0)) + ", Fraction.of(0).minus(" + text(arguments.get(0)) + "))"
                    : "Math.abs(" + text(arguments.get(0)) + ")";
            case FLOOR -> rounded(Rounding.FLOOR, arguments.get(0));
            case CEILING -> rounded(Rounding.CEILING, arguments.get(0));
            case ROUND -> rounded(Rounding.NEAREST, arguments.get(0));
            case MOD -> mod(arguments, kind);
            case AND -> in(STRONGEST, arguments.get(0)) + " & " + in(STRONGEST, arguments.get(1));
            case OR -> in(STRONGEST, arguments.get(0)) + " | " + in(STRONGEST, arguments.get(1));
            case XOR -> in(STRONGEST, arguments.get(0)) + " ^ " + in(STRONGEST, arguments.get(1));
            case LN -> helper("snap") + "(Math.log(" + as(Kind.REAL, arguments.get(0)) + "))";
            case LOG2 -> helper("snap") + "(Math.log(" + as(Kind.REAL, arguments.get(0)) + ") / Math.log(2))";
            case ANGLE -> helper("snap") + "(Math.toDegrees(Math.atan2(" + as(Kind.REAL, arguments.get(1)) + " + 0.0, " + as(Kind.REAL, arguments.get(0)) + " + 0.0)))";
            default -> helper("snap") + "(Math." + call.function().word() + "(" + as(Kind.REAL, arguments.get(0)) + "))";
        };
    }

    private String extreme(Function function, List<Code> arguments, Kind kind) {
        String name = kind == Kind.FRACTION ? helper(function == Function.MIN ? "least" : "largest") : "Math." + function.word();
        return IntStream.range(1, arguments.size()).boxed().reduce(as(kind, arguments.get(0)), (text, n) -> name + "(" + text + ", " + as(kind, arguments.get(n)) + ")",
                (a, b) -> b);
    }

    private String mod(List<Code> arguments, Kind kind) {
        if (kind == Kind.WHOLE) {
            return "Math.floorMod(" + text(arguments.get(0)) + ", " + text(arguments.get(1)) + ")";
        }
        String a = as(kind, arguments.get(0));
        String b = as(kind, arguments.get(1));
        return kind == Kind.REAL ? "(" + a + ") - (" + b + ") * Math.floor((" + a + ") / (" + b + "))"
                : "(" + a + ").minus((" + b + ").times(Fraction.of((" + a + ").over(" + b + ").floor())))";
    }
}
