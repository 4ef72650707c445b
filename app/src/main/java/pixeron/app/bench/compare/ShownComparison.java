package pixeron.app.bench.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.app.model.Seen;
import pixeron.image.ColorImage;
import pixeron.image.Comparison;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.project.Project;
import pixeron.step.Progress;

/**
 * Results with what differs from the first of them. Made away from the window's thread.
 *
 * @param places one for each result
 */
record ShownComparison(List<Place> places) {

    /**
     * One result of the comparison.
     *
     * @param choice what was asked for
     * @param seen what it is; empty when there is none
     * @param map the signed differences from the first; empty for the first itself and where sizes differ
     * @param measures against the first
     * @param problem why there is no image, or none of the measures
     */
    record Place(Choice choice, Optional<Seen> seen, Optional<Seen> map, Optional<Comparison> measures, String problem) {
    }

    static ShownComparison of(Project project, List<Choice> choices, Progress progress) {
        List<Place> places = new ArrayList<>();
        Result first = null;
        for (Choice choice : choices) {
            try {
                Result result = choice.result(project, progress);
                places.add(place(choice, result, first));
                first = first == null ? result : first;
            } catch (PixeronException problem) {
                places.add(new Place(choice, Optional.empty(), Optional.empty(), Optional.empty(),
                        problem.getMessage()));
            }
            progress.report((double) places.size() / choices.size());
        }
        return new ShownComparison(places);
    }

    private static Place place(Choice choice, Result result, Result first) {
        Optional<Seen> seen = Optional.of(Seen.of(result));
        if (first == null) {
            return new Place(choice, seen, Optional.empty(), Optional.empty(), "");
        }
        try {
            Comparison measures = Comparison.of(first, result);
            return new Place(choice, seen, Optional.of(Seen.of(difference(first, result))), Optional.of(measures), "");
        } catch (PixeronException notAlike) {
            return new Place(choice, seen, Optional.empty(), Optional.empty(), notAlike.getMessage());
        }
    }

    /** The signed differences, channel by channel where there is color. */
    private static Result difference(Result first, Result other) {
        if (first instanceof Image one && other instanceof Image two) {
            return Comparison.difference(one, two);
        }
        return ColorImage.of(first.faces().stream().map(face -> Comparison.difference(face.image(), other.face(face.name()).orElseThrow())).toList());
    }
}
