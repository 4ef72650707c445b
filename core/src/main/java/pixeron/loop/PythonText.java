package pixeron.loop;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;

/** A program in Python: whole numbers and fractions are exact there, and doubles only where a root, a logarithm or a sine needs them. */
final class PythonText extends Text {

    private static final Map<String, String> HELPERS = Map.of(
            "nearest", "def nearest(x):\n    # halves away from zero\n    return math.floor(x + Fraction(1, 2)) if x >= 0 else -math.floor(-x + Fraction(1, 2))\n",
            "snap", "def snap(x, size=1):\n    # the end of a calculation is 7 and not 6.999999999999999\n    half = round(2 * x) / 2\n"
                    + "    return half if abs(x - half) < 1e-12 * max(size, abs(x)) else x\n",
            "nearly", "def nearly(x):\n    half = round(2 * x) / 2\n    return half if abs(x - half) < 1e-9 else x\n",
            "bits", "def bits(seed, n):\n    # a random number of 64 bits; the same seed and n always give the same number\n    every = 2 ** 64 - 1\n"
                    + "    z = (seed + (n + 1) * 0x9E3779B97F4A7C15) & every\n    z = (z ^ z >> 30) * 0xBF58476D1CE4E5B9 & every\n"
                    + "    z = (z ^ z >> 27) * 0x94D049BB133111EB & every\n    return z ^ z >> 31\n",
            "order", "def order(seed, n):\n    return bits(seed, n) - 2 ** 63\n",
            "share", "def share(seed, n):\n    # at least 0, below 1\n    return (bits(seed, n) >> 11) / 2 ** 53\n",
            "below", "def below(seed, n, size):\n    # one of the whole numbers 0 to size - 1\n    return (bits(seed, n) >> 11) * size >> 53\n");

    PythonText(LoopProgram program) {
        super(program);
    }

    /** Writes what makes the grid {@code after} of those that are read, and begins with their size. */
    String loop() {
        line(0, "H = len(" + program.inputs().get(0).grid() + ")");
        line(0, "W = len(" + program.inputs().get(0).grid() + "[0])");
        block(0, program.start());
        line(0, "after = []");
        line(0, "for i in range(" + text(program.rows()) + "):");
        line(1, "line = []");
        line(1, "for j in range(" + text(program.columns()) + "):");
        block(2, program.body());
        line(2, "line.append(s)");
        line(1, "after.append(line)");
        return written();
    }

    /** Returns the text of a helper. */
    static String helped(String helper) {
        return HELPERS.get(helper);
    }

    @Override
    String text() {
        PythonText body = new PythonText(program);
        String loop = body.loop();
        boolean hasFractions = loop.contains("Fraction(") || body.helpers().contains("nearest");
        line(0, "# " + program.line());
        line(0, "# python3 " + program.name() + ".py " + files() + " out.csv");
        line(0, "import csv");
        if (loop.contains("math.") || !body.helpers().isEmpty()) {
            line(0, "import math");
        }
        line(0, "import sys");
        if (hasFractions) {
            line(0, "from fractions import Fraction");
        }
        line(0, "");
        body.helpers().forEach(helper -> {
            line(0, "");
            lines(0, HELPERS.get(helper));
            line(0, "");
        });
        for (int n = 0; n < program.inputs().size(); n++) {
            LoopProgram.Input input = program.inputs().get(n);
            line(0, "with open(sys.argv[" + (n + 1) + "]) as file:");
            line(1, input.grid() + " = [[" + (input.isReal() ? "float" : "int") + "(cell) for cell in row] for row in csv.reader(file) if row]");
        }
        lines(0, loop);
        line(0, "with open(sys.argv[" + (program.inputs().size() + 1) + "], 'w', newline='') as file:");
        line(1, "csv.writer(file).writerows(after)");
        return written();
    }

    private void block(int depth, List<Statement> statements) {
        statements.forEach(statement -> write(depth, statement));
        if (statements.stream().allMatch(Statement.Words.class::isInstance) && depth > 0) {
            line(depth, "pass");
        }
    }

    private void write(int depth, Statement statement) {
        if (statement instanceof Statement.Words words) {
            line(depth, "# " + words.text());
        } else if (statement instanceof Statement.Set set) {
            line(depth, safe(set.name()) + " = " + text(set.value()));
        } else if (statement instanceof Statement.Loop loop) {
            String from = loop.from().equals(Code.of(0)) ? "" : text(loop.from()) + ", ";
            line(depth, "for " + loop.name() + " in range(" + from + text(loop.below()) + "):");
            block(depth + 1, loop.body());
        } else if (statement instanceof Statement.When when) {
            line(depth, "if " + text(when.condition()) + ":");
            block(depth + 1, when.then());
            if (!when.otherwise().isEmpty()) {
                line(depth, "else:");
                block(depth + 1, when.otherwise());
            }
        } else if (statement instanceof Statement.Values list) {
            line(depth, list.name() + " = [");
            inPieces(list.values(), this::number).forEach(piece -> line(depth + 1, piece + ","));
            line(depth, "]");
        } else if (statement instanceof Statement.NewList list) {
            line(depth, list.name() + " = []");
        } else if (statement instanceof Statement.Zeros zeros) {
            line(depth, zeros.name() + " = [0] * " + in(STRONGEST, zeros.size()));
        } else if (statement instanceof Statement.Put put) {
            line(depth, put.list() + ".append(" + text(put.value()) + ")");
        } else if (statement instanceof Statement.SetAt set) {
            line(depth, set.list() + "[" + text(set.index()) + "] = " + text(set.value()));
        } else if (statement instanceof Statement.NewGrid grid) {
            line(depth, grid.name() + " = [[0] * " + in(STRONGEST, grid.columns()) + " for row in range(" + text(grid.rows()) + ")]");
        } else if (statement instanceof Statement.SetCell set) {
            line(depth, set.grid() + "[" + text(set.row()) + "][" + text(set.column()) + "] = " + text(set.value()));
        } else if (statement instanceof Statement.Sort sort) {
            line(depth, sort.list() + ".sort()");
        } else {
            Statement.Grid grid = (Statement.Grid) statement;
            line(depth, grid.name() + " = [" + grid.rows().stream().map(row -> "[" + row.stream().map(this::number).collect(Collectors.joining(", ")) + "]")
                    .collect(Collectors.joining(", ")) + "]");
        }
    }

    private String number(Value value) {
        return !(value instanceof Rational rational) ? Decimals.shortest(value.asDouble()) : rational.isWhole() ? rational.toString()
                : "Fraction(" + rational.numerator() + ", " + rational.denominator() + ")";
    }

    @Override
    int strength(Code code) {
        return code instanceof Code.Binary binary ? kind(code) == Kind.FRACTION && isFractionOfWholes(binary) ? STRONGEST : strength(binary.operator())
                : code instanceof Code.Choice ? WEAKEST : code instanceof Code.All ? WEAKEST : code instanceof Code.Negation ? ADDED
                        : code instanceof Code.Number number && number.value().signum() < 0 ? ADDED
                                : code instanceof Code.Call call && call.function() == Function.MOD ? ADDED
                                        : code instanceof Code.Call call && List.of(Function.AND, Function.OR, Function.XOR).contains(call.function()) ? WEAKEST : STRONGEST;
    }

    private boolean isFractionOfWholes(Code.Binary binary) {
        return binary.operator() == Operator.DIVIDE && kind(binary.left()) == Kind.WHOLE && kind(binary.right()) == Kind.WHOLE;
    }

    @Override
    String text(Code code) {
        if (code instanceof Code.Number number) {
            return number(number.value());
        } else if (code instanceof Code.Name name) {
            return safe(name.name());
        } else if (code instanceof Code.Cell cell) {
            return cell.grid() + "[" + text(cell.row()) + "][" + text(cell.column()) + "]";
        } else if (code instanceof Code.At at) {
            return at.list() + "[" + text(at.index()) + "]";
        } else if (code instanceof Code.Size size) {
            return "len(" + size.list() + ")";
        } else if (code instanceof Code.Rows rows) {
            return "len(" + rows.grid() + ")";
        } else if (code instanceof Code.Columns columns) {
            return "len(" + columns.grid() + "[0])";
        } else if (code instanceof Code.Helped helped) {
            return text(helped);
        } else if (code instanceof Code.Negation negation) {
            return "-" + in(MULTIPLIED, negation.operand());
        } else if (code instanceof Code.Binary binary) {
            return text(binary);
        } else if (code instanceof Code.Call call) {
            return text(call);
        } else if (code instanceof Code.Choice choice) {
            return in(COMPARED, choice.then()) + " if " + in(COMPARED, choice.condition()) + " else " + text(choice.otherwise());
        } else if (code instanceof Code.All all) {
            return all.conditions().stream().map(condition -> in(COMPARED, condition)).collect(Collectors.joining(" and "));
        }
        Code.Rounded rounded = (Code.Rounded) code;
        return rounded(rounded.rounding(), rounded.value());
    }

    private String rounded(Rounding rounding, Code value) {
        if (kind(value) == Kind.WHOLE || rounding == Rounding.NONE) {
            return text(value);
        }
        String number = kind(value) == Kind.REAL ? helper("snap") + "(" + text(value) + ", M)" : text(value);
        return switch (rounding) {
            case NEAREST -> helper("nearest") + "(" + number + ")";
            case NEAREST_EVEN -> "round(" + number + ")";
            case TRUNCATE -> "math.trunc(" + number + ")";
            case CEILING -> "math.ceil(" + number + ")";
            default -> "math.floor(" + number + ")";
        };
    }

    private String text(Code.Binary binary) {
        if (isFractionOfWholes(binary)) {
            return "Fraction(" + text(binary.left()) + ", " + text(binary.right()) + ")";
        } else if (binary.operator() == Operator.POWER && !Kind.isWholePower(binary)) {
            return helper("snap") + "(math.pow(" + text(binary.left()) + ", " + text(binary.right()) + "))";
        }
        int strength = strength(binary.operator());
        boolean isTight = binary.operator() == Operator.SUBTRACT || binary.operator() == Operator.DIVIDE || strength == COMPARED;
        return in(strength, binary.left()) + " " + sign(binary.operator()) + " " + in(isTight ? strength + 1 : strength, binary.right());
    }

    private String text(Code.Call call) {
        List<String> arguments = call.arguments().stream().map(this::text).toList();
        String joined = String.join(", ", arguments);
        return switch (call.function()) {
            case MIN, MAX, ABS -> call.function().word() + "(" + joined + ")";
            case FLOOR -> rounded(Rounding.FLOOR, call.arguments().get(0));
            case CEILING -> rounded(Rounding.CEILING, call.arguments().get(0));
            case ROUND -> rounded(Rounding.NEAREST, call.arguments().get(0));
            case MOD -> in(MULTIPLIED, call.arguments().get(0)) + " % " + in(STRONGEST, call.arguments().get(1));
            case AND -> in(STRONGEST, call.arguments().get(0)) + " & " + in(STRONGEST, call.arguments().get(1));
            case OR -> in(STRONGEST, call.arguments().get(0)) + " | " + in(STRONGEST, call.arguments().get(1));
            case XOR -> in(STRONGEST, call.arguments().get(0)) + " ^ " + in(STRONGEST, call.arguments().get(1));
            case LN -> helper("snap") + "(math.log(" + joined + "))";
            case ANGLE -> helper("snap") + "(math.degrees(math.atan2(" + arguments.get(1) + " + 0.0, " + arguments.get(0) + " + 0.0)))";
            default -> helper("snap") + "(math." + call.function().word() + "(" + joined + "))";
        };
    }
}
