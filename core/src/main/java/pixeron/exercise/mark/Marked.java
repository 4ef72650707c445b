package pixeron.exercise.mark;

import java.util.List;
import java.util.Optional;
import pixeron.exercise.Code;
import pixeron.number.Rational;
import pixeron.project.Project;

/**
 * The findings about one answer.
 *
 * @param source the file that it came in
 * @param name of the user; empty where none is known
 * @param code of the variant; empty where it is not known
 * @param parts the findings about each question, in their order; none where it could not be marked
 * @param slip the slip that explains most where the work first goes wrong
 * @param starts where it first goes wrong, in one sentence
 * @param work the variant's project with the user's values; empty where it could not be marked
 * @param problem why it could not be marked, or what else is to be known of it; empty where there is nothing
 * @param comment of the instructor
 */
public record Marked(String source, String name, Optional<Code> code, List<PartMark> parts, Optional<Slip> slip, Optional<String> starts,
        Optional<Project> work, String problem, String comment) {

    public Marked {
        parts = List.copyOf(parts);
    }

    /**
     * The findings about a part.
     *
     * @param cells in question
     * @param filled cells in which something stands
     * @param agree cells that are right
     * @param follow cells that differ, but follow from an earlier difference
     * @param points for it
     * @param followPoints of them those of the cells that follow
     */
    public record PartMark(int cells, int filled, int agree, int follow, Rational points, Rational followPoints) {

        /** Returns cells that differ and follow from nothing, or are not understood. */
        public int differ() {
            return filled - agree - follow;
        }

        /** Returns the points; what follows from an earlier mistake counts as right, or not. */
        public Rational points(boolean followCounts) {
            return followCounts ? points : points.minus(followPoints);
        }
    }

    /**
     * A slip.
     *
     * @param id its stable id; two with a plus between them
     * @param words what it explains, in a sentence
     */
    public record Slip(String id, String words) {
    }

    /** Returns the id of the slip that explains most where the work first goes wrong; two with a plus between them. */
    public Optional<String> firstSlip() {
        return slip.map(Slip::id);
    }

    /** Returns an answer that could not be marked. */
    static Marked problem(String source, String name, Optional<Code> code, String problem) {
        return new Marked(source, name, code, List.of(), Optional.empty(), Optional.empty(), Optional.empty(), problem, "");
    }

    /** Returns the findings about something that was to be an answer and cannot even be looked for. */
    public static Marked unreadable(String source, String problem) {
        return problem(source, "", Optional.empty(), problem);
    }

    public boolean isMarked() {
        return work.isPresent();
    }

    public int cells() {
        return parts.stream().mapToInt(PartMark::cells).sum();
    }

    public int filled() {
        return parts.stream().mapToInt(PartMark::filled).sum();
    }

    public int agree() {
        return parts.stream().mapToInt(PartMark::agree).sum();
    }

    public int follow() {
        return parts.stream().mapToInt(PartMark::follow).sum();
    }

    public int differ() {
        return parts.stream().mapToInt(PartMark::differ).sum();
    }

    /** Returns the points; what follows from an earlier mistake counts as right, or not. */
    public Rational points(boolean followCounts) {
        return parts.stream().map(part -> part.points(followCounts)).reduce(Rational.ZERO, Rational::plus);
    }

    /** Returns this with something more to be known of it. */
    public Marked noting(String more) {
        return new Marked(source, name, code, parts, slip, starts, work, problem.isEmpty() ? more : problem + " " + more, comment);
    }

    /** Returns this without what was noted of it; why it could not be marked stays. */
    public Marked withoutNote() {
        return isMarked() ? new Marked(source, name, code, parts, slip, starts, work, "", comment) : this;
    }

    /** Returns this with another comment. */
    public Marked commented(String other) {
        return new Marked(source, name, code, parts, slip, starts, work, problem, other);
    }
}
