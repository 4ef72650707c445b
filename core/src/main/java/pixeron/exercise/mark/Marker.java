package pixeron.exercise.mark;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.work.Start;
import pixeron.byhand.work.StepWork;
import pixeron.exercise.Code;
import pixeron.exercise.Part;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerReader;
import pixeron.exercise.answer.Handed;
import pixeron.exercise.answer.Received;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.project.Project;
import pixeron.project.ProjectWork;
import pixeron.report.Report;
import pixeron.step.Progress;

/**
 * Marks answers to an exercise. An answer is checked as any work by hand is; the findings about it here are counted over the cells that are
 * asked for. A value that differs, but is right for the user's own earlier values, follows and counts as right.
 *
 * <p>May be asked by several threads. Cost: one check and, where something differs, one search for slips an answer.
 */
public final class Marker {

    /** Variants whose slips are kept: a class of thirty sheets, handed out several times. */
    private static final int KEPT = 64;

    /** One answer does not keep the others waiting. */
    private static final int MOST_SECONDS = 10;

    private final Variants variants;
    private final Supplier<Progress> patience;
    private final String exercise;
    private final Map<Integer, Prepared> prepared = new HashMap<>();

    /** A variant with what is looked for in every answer to it. */
    private record Prepared(Variant variant, List<Part> parts, Map<Object, SlipFinder> finders) {
    }

    public Marker(Variants variants) {
        this(variants, () -> Progress.within(MOST_SECONDS));
    }

    /** @param patience made for each answer; says when it has taken too long */
    Marker(Variants variants, Supplier<Progress> patience) {
        this.variants = variants;
        this.patience = patience;
        this.exercise = variants.variant(1).code().exercise();
    }

    private synchronized Prepared prepared(int number) {
        if (prepared.size() > KEPT) {
            prepared.clear();
        }
        return prepared.computeIfAbsent(number, n -> {
            Variant variant = variants.variant(n);
            return new Prepared(variant, variant.parts(), new HashMap<>());
        });
    }

    /**
     * Returns the findings about each answer in it, at least one.
     *
     * @param file any; the result names what cannot be read or marked
     */
    public List<Marked> marks(Path file) {
        return marks(Handed.of(file));
    }

    /**
     * Returns the findings about each answer in it, at least one.
     *
     * @param handed any; the result names what cannot be read or marked
     */
    public List<Marked> marks(Handed handed) {
        return answers(handed).stream().map(Answer::marked).toList();
    }

    /**
     * An answer.
     *
     * @param received what came in; empty where the file could not be read
     * @param marked the findings about it
     */
    public record Answer(Optional<Received> received, Marked marked) {
    }

    /** Returns the answers in a file, each with the findings about it, at least one; a problem is kept with its answer, and the others are still read else. */
    public List<Answer> answers(Handed handed) {
        try {
            return AnswerReader.read(handed).stream().map(received -> new Answer(Optional.of(received), mark(received))).toList();
        } catch (RuntimeException | Error broken) {
            return List.of(new Answer(Optional.empty(), Marked.problem(handed.source(), handed.person(), Optional.empty(), words(broken))));
        }
    }

    /** Returns what went wrong with one answer, in words. */
    private static String words(Throwable broken) {
        return broken instanceof CancellationException ? "Marking takes longer than " + MOST_SECONDS + " s." : PixeronException.words(broken);
    }

    /** Returns the findings about one answer. */
    public Marked mark(Received answer) {
        Optional<Code> code = answer.code(exercise);
        if (code.isEmpty()) {
            return Marked.problem(answer.source(), answer.name(), Optional.empty(), withoutCode(answer));
        }
        try {
            Prepared variant = prepared(code.get().variant());
            return mark(answer, code.get(), variant, answer.content().on(variant.variant()));
        } catch (RuntimeException | Error broken) {
            return Marked.problem(answer.source(), answer.name(), code, words(broken));
        }
    }

    private String withoutCode(Received answer) {
        List<Code> codes = answer.codes();
        return codes.isEmpty() ? "No code found. Write the code beside \"code\" or into the file name, such as " + new Code(exercise, 1) + "."
                : codes.stream().noneMatch(code -> code.exercise().equals(exercise)) ? "The code " + codes.get(0) + " belongs to another exercise; this one is " + exercise + "."
                        : "The answer has several codes, " + codes.stream().map(Code::toString).collect(Collectors.joining(", ")) + ". Keep the correct one.";
    }

    private Marked mark(Received answer, Code code, Prepared variant, Project work) {
        Progress progress = patience.get();
        List<StepWork> works = ProjectWork.of(work, progress);
        List<Marked.PartMark> parts = new ArrayList<>();
        for (Part part : variant.parts()) {
            parts.add(mark(part, works));
        }
        Optional<String> starts = Start.of(works).map(start -> start.sentence(Pixel::toString));
        try {
            Optional<Marked.Slip> slip = FirstSlip.of(works, step -> finder(step, variant), progress).map(FirstSlip::marked);
            return new Marked(answer.source(), answer.name(), Optional.of(code), parts, slip, starts, Optional.of(work), "", "");
        } catch (CancellationException tooLong) {
            // What is right is known all the same.
            return new Marked(answer.source(), answer.name(), Optional.of(code), parts, Optional.empty(), starts, Optional.of(work),
                    "The slips were not found within " + MOST_SECONDS + " s.", "");
        }
    }

    /**
     * Returns what the user gets back for an answer: at most two pages.
     *
     * @param marked an answer that could be marked, of this exercise
     * @param followCounts whether a value that follows from an earlier difference counts as correct
     * @throws CancellationException when it takes too long
     */
    public Report feedback(Marked marked, boolean followCounts) {
        Prepared variant = prepared(marked.code().orElseThrow().variant());
        Progress progress = patience.get();
        List<StepWork> works = ProjectWork.of(marked.work().orElseThrow(), progress);
        Optional<FirstSlip> slip = marked.slip().isEmpty() ? Optional.empty() : FirstSlip.of(works, step -> finder(step, variant), progress);
        return new Feedback(marked, variant.variant().exercise(), variant.parts(), works, slip, followCounts).report();
    }

    /** Returns the findings about a question. */
    static Marked.PartMark mark(Part part, List<StepWork> works) {
        StepWork work = part.work(works);
        int filled = 0;
        int agree = 0;
        int follow = 0;
        if (part instanceof Part.OfCells cells) {
            Set<Pixel> asked = Set.copyOf(cells.pixels());
            Set<Pixel> following = work.following().pixels();
            for (CellCheck cell : work.check().cells()) {
                if (asked.contains(cell.pixel())) {
                    filled++;
                    agree += cell.state() == Verdict.AGREES ? 1 : 0;
                    follow += following.contains(cell.pixel()) ? 1 : 0;
                }
            }
        } else {
            Part.OfTable table = (Part.OfTable) part;
            Set<Integer> rows = Set.copyOf(table.rows());
            for (TableCheck.Cell cell : work.tables().getOrDefault(table.table().name(), TableCheck.EMPTY).cells()) {
                if (table.columns().contains(cell.column()) && rows.contains(cell.row())) {
                    filled++;
                    agree += cell.state() == Verdict.AGREES ? 1 : 0;
                    follow += cell.state() == Verdict.FOLLOWS ? 1 : 0;
                }
            }
        }
        int all = part.count();
        Rational each = all == 0 ? Rational.ZERO : part.asked().points().dividedBy(Rational.of(all));
        return new Marked.PartMark(all, filled, agree, follow, each.times(Rational.of(agree + follow)), each.times(Rational.of(follow)));
    }

    /** The slips of a step are calculated once for all answers to its variant. */
    private static SlipFinder finder(StepWork work, Prepared variant) {
        synchronized (variant.finders()) {
            return variant.finders().computeIfAbsent(work.position() + work.face(), key -> new SlipFinder(
                    variant.variant().chain().stage(work.position()).bound(Progress.NONE).orElseThrow().face(work.face()).orElseThrow()));
        }
    }

    /**
     * Says of answers that have the same code that they do; each of them is marked.
     *
     * @return the same, with that noted
     */
    public static List<Marked> notingSame(List<Marked> all) {
        Map<Code, List<Marked>> byCode = all.stream().filter(marked -> marked.code().isPresent()).collect(Collectors.groupingBy(marked -> marked.code().get()));
        return all.stream().map(marked -> {
            List<Marked> same = marked.code().map(byCode::get).orElse(List.of());
            String others = same.stream().filter(other -> other != marked).map(Marked::source).limit(3).collect(Collectors.joining(", "));
            return others.isEmpty() ? marked : marked.noting("The same code is in " + others + ".");
        }).toList();
    }

    /** Returns the titles of the questions, of any variant. */
    public List<String> partTitles() {
        return prepared(1).parts().stream().map(Part::title).toList();
    }
}
