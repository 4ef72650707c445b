package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.formula.Compiled;
import pixeron.formula.Expression;
import pixeron.formula.Trace;
import pixeron.formula.TraceLines;
import pixeron.formula.Typeset;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Role;
import pixeron.working.Run;

/**
 * How a step with windows works: numbers out of the window's cells, then a formula of those, of r, the pixel itself, and of
 * the numbers of the step's line, part by part. The value, the lines of the working, the loop and the bulk result all come
 * from it. Immutable.
 */
public final class WindowRule {

    /**
     * A part of the formula.
     *
     * @param label in front of its line
     * @param name what its value is called in the parts after it, and among the numbers on the way; empty: s, the end
     * @param expression over r, the numbers of the line, the reductions, and the parts before
     * @param note behind the line
     */
    private record Part(String label, Optional<String> name, Expression expression, String note) {
    }

    private final List<Reduction<?>> reductions;
    private final List<Part> parts;
    private final Map<String, Value> numbers;
    private final Supplier<Optional<Codes>> codes;
    /** The parts' formulas, made ready to be evaluated for every pixel. */
    private final List<Compiled> formulas;
    private final int partsFrom;

    private WindowRule(List<Reduction<?>> reductions, List<Part> parts, Map<String, Value> numbers,
            Supplier<Optional<Codes>> codes) {
        this.reductions = List.copyOf(reductions);
        this.parts = List.copyOf(parts);
        this.numbers = Map.copyOf(numbers);
        this.codes = codes;
        this.partsFrom = 1 + reductions.size();
        this.formulas = this.parts.stream().map(part -> Compiled.of(withNumbersOfLine(part.expression), this::place)).toList();
    }

    /** Returns a rule whose value is that of the last one, unless parts follow. */
    public static WindowRule of(Reduction<?>... reductions) {
        return new WindowRule(List.of(reductions), List.of(), Map.of(), Optional::empty);
    }

    /** Returns this with numbers of the step's line, by the names that the formula has for them. */
    public WindowRule withNumbers(Map<String, Value> more) {
        Map<String, Value> all = new HashMap<>(numbers);
        all.putAll(more);
        return new WindowRule(reductions, parts, all, codes);
    }

    /** Returns this with one more part of the formula, whose value is a number on the way; the last one is the value. */
    public WindowRule then(String label, String name, Expression expression, String note) {
        return with(new Part(label, Optional.of(name), expression, note));
    }

    /** Returns this with the last part of the formula. */
    public WindowRule ending(Expression expression) {
        return with(new Part("this pixel", Optional.empty(), expression, ""));
    }

    private WindowRule with(Part part) {
        List<Part> all = new ArrayList<>(parts);
        all.add(part);
        return new WindowRule(reductions, all, numbers, codes);
    }

    /** Returns this with a fast way to the values of all pixels, where there is one; calculated when it is asked for. */
    public WindowRule withCodes(Supplier<Optional<Codes>> fast) {
        return new WindowRule(reductions, parts, numbers, fast);
    }

    List<Reduction<?>> reductions() {
        return reductions;
    }

    Optional<Codes> codes() {
        return codes.get();
    }

    /** Returns the weight of a cell in a result that is a weighted sum; empty where it is none. */
    Optional<Value> weight(Window.Cell cell) {
        return reductions.get(0).weight(cell);
    }

    Value value(Neighborhood around) {
        Value[] found = new Value[reductions.size()];
        for (int n = 0; n < found.length; n++) {
            found[n] = reductions.get(n).of(around);
        }
        return value(around.sample(), found);
    }

    /**
     * Returns the value before rounding.
     *
     * @param found the value of each reduction
     */
    public Value value(Value sample, Value... found) {
        Value[] known = known(sample, found);
        for (int n = 0; n < parts.size(); n++) {
            known[partsFrom + n] = formulas.get(n).at(known);
        }
        return parts.isEmpty() ? found[found.length - 1] : known[known.length - 1];
    }

    /** Returns the numbers of one pixel: r, the reductions, the parts as far as they are known. */
    private Value[] known(Value sample, Value... found) {
        Value[] known = new Value[partsFrom + parts.size()];
        known[0] = sample;
        System.arraycopy(found, 0, known, 1, found.length);
        return known;
    }

    /** Returns the place of a name among {@link #known}; −1 for a number of the line. */
    private int place(String name) {
        if (name.equals("r")) {
            return 0;
        }
        for (int n = 0; n < reductions.size(); n++) {
            if (reductions.get(n).name().equals(name)) {
                return 1 + n;
            }
        }
        for (int n = 0; n < parts.size(); n++) {
            if (parts.get(n).name.filter(name::equals).isPresent()) {
                return partsFrom + n;
            }
        }
        return -1;
    }

    private Expression withNumbersOfLine(Expression expression) {
        return Trace.substitute(expression, name -> numbers.containsKey(name) ? Expression.Literal.of(numbers.get(name)) : null);
    }

    private Expression filled(Expression expression, Value... known) {
        return Trace.substitute(withNumbersOfLine(expression), name -> new Expression.Literal(known[place(name)],
                name.equals("r") ? Role.BEFORE : Role.PLAIN));
    }

    List<Line> lines(Neighborhood around) {
        List<Line> lines = new ArrayList<>(WindowText.lines(around));
        Value[] found = new Value[reductions.size()];
        for (int n = 0; n < found.length; n++) {
            lines.addAll(reductions.get(n).lines(around));
            found[n] = reductions.get(n).of(around);
        }
        Value[] known = known(around.sample(), found);
        for (int n = 0; n < parts.size(); n++) {
            known[partsFrom + n] = formulas.get(n).at(known);
            lines.addAll(lines(parts.get(n), filled(parts.get(n).expression, known), known[partsFrom + n]));
        }
        return lines;
    }

    private static List<Line> lines(Part part, Expression filled, Value value) {
        List<Run> formula = new ArrayList<>(part.name.isPresent() ? List.of() : List.of(Run.plain("s = ")));
        formula.addAll(Typeset.runs(part.expression));
        if (filled instanceof Expression.Choice) {
            // Read in one line, "else 0 = 255" would be wrong.
            List<Line> lines = new ArrayList<>(List.of(new Line("formula", formula)));
            lines.addAll(TraceLines.under(part.label, "s = ", filled));
            return lines;
        }
        formula.add(Run.plain(" = "));
        formula.addAll(TraceLines.inOneLine(filled));
        if (!part.note.isEmpty()) {
            formula.add(Run.note("   " + part.note));
        }
        Line line = new Line(part.label, formula);
        return List.of(part.name.map(name -> line.arriving(name, value)).orElse(line));
    }

    /**
     * Returns what is done for a pixel up to the value before rounding, called {@code exact}; empty where a reduction is not told as a program.
     *
     * @param window the cells
     * @param before what is done before the loop over all pixels, added to
     */
    Optional<List<Statement>> statements(WindowProgram window, List<Statement> before) {
        Optional<List<Reduced>> reduced = WindowProgram.all(reductions);
        return reduced.map(all -> {
            all.forEach(one -> before.addAll(one.once()));
            List<Statement> body = new ArrayList<>();
            all.forEach(one -> body.addAll(one.start()));
            body.add(window.over(all.stream().flatMap(one -> one.each().stream()).toList()));
            all.forEach(one -> body.addAll(one.end()));
            body.add(Statement.set("r", window.sample()));
            for (int n = 0; n < parts.size(); n++) {
                String name = n == parts.size() - 1 ? "exact" : parts.get(n).name.orElse("exact");
                body.add(Statement.set(name, Code.of(withNumbersOfLine(parts.get(n).expression), Code::name)));
            }
            if (parts.isEmpty()) {
                body.add(Statement.set("exact", Code.name(reductions.get(reductions.size() - 1).name())));
            }
            return body;
        });
    }

    void follow(Neighborhood around, LoopWriter out) {
        List<Taking<?>> all = reductions.stream().<Taking<?>>map(Taking::new).toList();
        all.forEach(taking -> taking.show(out));
        out.line(0, String.join(", ", reductions.stream().map(Reduction::start).toList()));
        String head = head(around.window());
        // Where no cell counts, the loop over them is not gone through, but it is there.
        out.mention(0, head);
        reductions.forEach(reduction -> out.mention(1, reduction.each()));
        for (Window.Cell cell : around.cells()) {
            out.takeCell();
            if (reductions.stream().anyMatch(reduction -> reduction.counts(cell))) {
                WindowText.place(out, around.window(), cell);
                reductions.forEach(reduction -> reduction.show(cell, out));
                out.line(0, head);
                all.forEach(taking -> taking.take(cell, out));
            }
        }
        Value[] found = all.stream().map(taking -> taking.end(around, out)).toArray(Value[]::new);
        followParts(known(around.sample(), found), out);
    }

    private String head(Window window) {
        return reductions.get(0).head(window);
    }

    private void followParts(Value[] known, LoopWriter out) {
        if (parts.stream().anyMatch(part -> Trace.has(part.expression, "r"))) {
            out.set("r", known[0]).line(0, "r ← before[i][j]");
        }
        for (int n = 0; n < parts.size(); n++) {
            Part part = parts.get(n);
            String name = n == parts.size() - 1 ? "s" : part.name.orElse("s");
            known[partsFrom + n] = formulas.get(n).at(known);
            out.set(name, known[partsFrom + n]).line(0, name + " ← " + Typeset.text(withNumbersOfLine(part.expression)));
        }
    }

    /** A reduction while a loop is gone through. */
    private static final class Taking<A> {

        private final Reduction<A> reduction;
        private A taken;

        Taking(Reduction<A> reduction) {
            this.reduction = reduction;
            this.taken = reduction.none();
        }

        void show(LoopWriter out) {
            reduction.show(taken, out);
        }

        void take(Window.Cell cell, LoopWriter out) {
            if (reduction.counts(cell)) {
                taken = reduction.with(taken, cell);
                show(out);
                out.line(1, reduction.each());
            }
        }

        Value end(Neighborhood around, LoopWriter out) {
            Value value = reduction.value(taken, around);
            reduction.end().ifPresent(line -> out.set(reduction.name(), value).line(0, line));
            return value;
        }
    }
}
