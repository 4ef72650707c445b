package pixeron.walk;

import java.util.ArrayList;
import java.util.List;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.Role;
import pixeron.working.Run;
import pixeron.working.Working;

/** The part of a working that is seen while its value is not written yet: what is given, and the terms so far. */
public final class PartialWorking {

    /** The line where the result begins to come about, where there is no grid of terms. */
    private static final String RESULT = "this pixel";
    private static final String COVER = "…";

    private PartialWorking() {
    }

    /**
     * Returns the lines that are seen.
     *
     * @param taken how many cells of the window were taken so far
     * @param why text that is shown instead of covered values
     */
    public static List<Line> lines(Working working, int taken, String why) {
        int end = working.lines().size();
        for (int n = working.lines().size() - 1; n >= 0; n--) {
            if (working.lines().get(n).isCells()) {
                end = n + 1;
                break;
            } else if (working.lines().get(n).label().equals(RESULT)) {
                end = n;
            }
        }
        List<Line> seen = new ArrayList<>();
        String grid = "";
        int cell = 0;
        for (Line line : working.lines().subList(0, end == working.lines().size() ? 0 : end)) {
            if (!line.label().isBlank()) {
                grid = line.label();
                cell = 0;
            }
            boolean isGiven = !line.isCells() || WindowText.GIVEN.contains(grid);
            List<Run> runs = new ArrayList<>();
            for (Run run : line.runs()) {
                boolean isCovered = !isGiven && run.role() != Role.NOTE && cell++ >= taken;
                runs.add(isCovered ? Run.note(" ".repeat(Math.max(0, run.text().length() - 2)) + COVER + " ") : run);
            }
            seen.add(new Line(line.label(), runs, line.isCells()));
        }
        seen.add(Line.of("covered", Run.note(why)));
        return seen;
    }
}
