package pixeron.step.pointwise;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pixeron.formula.Expression;
import pixeron.formula.Trace;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Rational;
import pixeron.number.Value;

/** The program of a point step: its formula, and before the loop what the formula needs of the image. */
final class PointProgram {

    /** What is told of this name is the whole calculation, up to the value before rounding. */
    private static final String EXACT = "exact";
    private static final Map<String, String> PLACES = Map.of("x", "j", "y", "i");

    private final PointOperation operation;
    private final PointRule rule;
    private final Map<String, Value> constants;
    private final Map<String, Origin> origins;
    private final List<Statement> start = new ArrayList<>();
    private final List<Statement> each = new ArrayList<>();

    /** @param constants numbers of the line and of the image, by their names */
    PointProgram(PointOperation operation, PointRule rule, Map<String, Value> constants) {
        this.operation = operation;
        this.rule = rule;
        this.constants = constants;
        this.origins = rule.origins();
    }

    /** Returns the program; empty where a number of the image is needed whose way is not told as a program. */
    Optional<LoopProgram> program(Optional<Area> area) {
        boolean hasOther = rule.other().isPresent();
        start.add(Statement.set("M", Code.of(operation.before().maximumLevel())));
        each.add(Statement.set("r", Code.before(Code.name("i"), Code.name("j"))));
        if (hasOther) {
            each.add(Statement.set("t", new Code.Cell("other", Code.name("i"), Code.name("j"))));
        }
        boolean isKnown = origins.containsKey(EXACT) ? isTold(origins.get(EXACT)) : rule.formula().filter(this::isKnown).isPresent();
        if (!isKnown) {
            return Optional.empty();
        }
        int largest = operation.frame().maximumLevel();
        boolean isSame = largest == operation.before().maximumLevel();
        if (!isSame) {
            // M means that of the image in the formula, and that of the result at its end.
            start.add(Statement.set("largest", Code.of(largest)));
        }
        each.addAll(Ending.of(operation.step().rounding(), operation.step().overflow(), Code.name(isSame ? "M" : "largest")));
        boolean readsOther = hasOther || origins.values().stream().anyMatch(Origin::readsOther);
        return Optional.of(new LoopProgram(operation.step().type().name(), operation.step().line(), readsOther ? LoopProgram.BEFORE_AND_OTHER : LoopProgram.BEFORE, start, Code.name("H"), Code.name("W"), Ending.within(area, each))
                .reading(rule.other().map(other -> new Image[] {operation.before(), other.image()}).orElseGet(() -> new Image[] {operation.before()})));
    }

    private boolean isTold(Origin whole) {
        start.addAll(whole.start());
        each.addAll(whole.each());
        return true;
    }

    private boolean isKnown(Expression formula) {
        Map<String, Origin> needed = new LinkedHashMap<>();
        boolean[] isKnown = {true};
        Trace.substitute(formula, name -> {
            boolean isOther = name.equals("t") && rule.other().isPresent();
            if (!isOther && !Set.of("r", "i", "j", "x", "y", "M", "H", "W").contains(name)) {
                Origin origin = origins.get(name);
                if (origin == null && !rule.constants().containsKey(name) && constants.get(name) instanceof Rational number) {
                    origin = Origin.once(named(name), Code.of(number));
                }
                isKnown[0] &= origin != null;
                needed.put(name, origin);
            }
            return null;
        });
        if (!isKnown[0]) {
            return false;
        }
        List<Statement> all = new ArrayList<>();
        for (Origin origin : needed.values()) {
            // Two numbers may need the same counts, which are made once.
            origin.start().stream().filter(statement -> !all.contains(statement)).forEach(all::add);
            each.addAll(origin.each());
        }
        start.addAll(all);
        each.add(Statement.set(EXACT, Code.of(formula, name -> Code.name(PLACES.getOrDefault(name, named(name))))));
        return true;
    }

    /** Keys are written with a dash, variables are not. */
    private static String named(String name) {
        return name.replace('-', '_');
    }
}
