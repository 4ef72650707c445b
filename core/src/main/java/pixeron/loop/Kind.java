package pixeron.loop;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pixeron.formula.Operator;
import pixeron.number.Rational;
import pixeron.number.Rounding;

/** What kind of numbers something is calculated in. */
enum Kind {
    WHOLE, FRACTION, REAL;

    Kind with(Kind other) {
        return compareTo(other) >= 0 ? this : other;
    }

    /** The kinds of all variables and lists of a program: the widest of what they get anywhere. */
    static Map<String, Kind> of(LoopProgram program) {
        Map<String, Kind> kinds = new HashMap<>();
        program.inputs().stream().filter(LoopProgram.Input::isReal).forEach(input -> kinds.put(input.grid(), REAL));
        Map<String, Kind> before;
        do {
            before = Map.copyOf(kinds);
            program.start().forEach(statement -> collect(statement, kinds));
            program.body().forEach(statement -> collect(statement, kinds));
        } while (!before.equals(kinds));
        return kinds;
    }

    private static void collect(Statement statement, Map<String, Kind> kinds) {
        if (statement instanceof Statement.Set set) {
            kinds.merge(set.name(), of(set.value(), kinds), Kind::with);
        } else if (statement instanceof Statement.Put put) {
            kinds.merge(put.list(), of(put.value(), kinds), Kind::with);
        } else if (statement instanceof Statement.SetAt set) {
            kinds.merge(set.list(), of(set.value(), kinds), Kind::with);
        } else if (statement instanceof Statement.SetCell set) {
            kinds.merge(set.grid(), of(set.value(), kinds), Kind::with);
        } else if (statement instanceof Statement.Grid grid) {
            kinds.merge(grid.name(), grid.rows().stream().flatMap(List::stream).map(value -> of(new Code.Number(value), kinds)).reduce(WHOLE, Kind::with), Kind::with);
        } else if (statement instanceof Statement.Values list) {
            kinds.merge(list.name(), list.values().stream().map(value -> of(new Code.Number(value), kinds)).reduce(WHOLE, Kind::with), Kind::with);
        } else if (statement instanceof Statement.Loop loop) {
            loop.body().forEach(inner -> collect(inner, kinds));
        } else if (statement instanceof Statement.When when) {
            when.then().forEach(inner -> collect(inner, kinds));
            when.otherwise().forEach(inner -> collect(inner, kinds));
        }
    }

    static Kind of(Code code, Map<String, Kind> kinds) {
        if (code instanceof Code.Number number) {
            return !(number.value() instanceof Rational) ? REAL : number.value().isWhole() ? WHOLE : FRACTION;
        } else if (code instanceof Code.Name name) {
            return kinds.getOrDefault(name.name(), WHOLE);
        } else if (code instanceof Code.Cell cell) {
            return kinds.getOrDefault(cell.grid(), WHOLE);
        } else if (code instanceof Code.At at) {
            return kinds.getOrDefault(at.list(), WHOLE);
        } else if (code instanceof Code.Negation negation) {
            return of(negation.operand(), kinds);
        } else if (code instanceof Code.Choice choice) {
            return of(choice.then(), kinds).with(of(choice.otherwise(), kinds));
        } else if (code instanceof Code.Rounded rounded) {
            return rounded.rounding() == Rounding.NONE ? of(rounded.value(), kinds) : WHOLE;
        } else if (code instanceof Code.Binary binary) {
            return of(binary, kinds);
        } else if (code instanceof Code.Call call) {
            return of(call, kinds);
        } else if (code instanceof Code.Helped helped) {
            return helped.helper().kind();
        }
        return WHOLE;
    }

    private static Kind of(Code.Binary binary, Map<String, Kind> kinds) {
        Kind both = of(binary.left(), kinds).with(of(binary.right(), kinds));
        return switch (binary.operator()) {
            case LESS, GREATER, AT_MOST, AT_LEAST, EQUAL, NOT_EQUAL -> WHOLE;
            case DIVIDE -> both.with(FRACTION);
            case POWER -> isWholePower(binary) ? of(binary.left(), kinds) : REAL;
            default -> both;
        };
    }

    /** Returns whether the exponent is a whole number from 0 on, as it is known before anything runs. */
    static boolean isWholePower(Code.Binary binary) {
        return binary.operator() == Operator.POWER && binary.right() instanceof Code.Number exponent && exponent.value().isWhole() && exponent.value().signum() >= 0;
    }

    private static Kind of(Code.Call call, Map<String, Kind> kinds) {
        return switch (call.function()) {
            case FLOOR, CEILING, ROUND, AND, OR, XOR -> WHOLE;
            case MIN, MAX, ABS, MOD -> call.arguments().stream().map(argument -> of(argument, kinds)).reduce(WHOLE, Kind::with);
            default -> REAL;
        };
    }
}
