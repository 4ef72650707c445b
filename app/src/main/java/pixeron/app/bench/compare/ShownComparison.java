package pixeron.app.bench.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.app.model.Shown;
import pixeron.image.Comparison;
import pixeron.image.Image;
import pixeron.project.Project;
import pixeron.step.Progress;

/**
 * Results with what differs from the first of them. Made away from the window's thread.
 *
 * @param places one for each result
 */
record ShownComparison(List<Place> places) {

    /**
     * @param result what was asked for
     * @param image what it is; empty when there is none
     * @param map the signed differences from the first; empty for the first itself and where sizes differ
     * @param measures against the first
     * @param problem why there is no image, or none of the measures
     */
    record Place(Result result, Optional<Shown.Described> image, Optional<Shown.Described> map, Optional<Comparison> measures, String problem) {
    }

    static ShownComparison of(Project project, List<Result> results, Progress progress) {
        List<Place> places = new ArrayList<>();
        Image first = null;
        for (Result result : results) {
            try {
                Image image = result.image(project, progress);
                places.add(place(result, image, first));
                first = first == null ? image : first;
            } catch (PixeronException problem) {
                places.add(new Place(result, Optional.empty(), Optional.empty(), Optional.empty(),
                        problem.getMessage()));
            }
            progress.report((double) places.size() / results.size());
        }
        return new ShownComparison(places);
    }

    private static Place place(Result result, Image image, Image first) {
        Optional<Shown.Described> described = Optional.of(Shown.Described.of(image));
        if (first == null) {
            return new Place(result, described, Optional.empty(), Optional.empty(), "");
        }
        try {
            return new Place(result, described, Optional.of(Shown.Described.of(Comparison.difference(first, image))), Optional.of(Comparison.of(first, image)), "");
        } catch (PixeronException otherSize) {
            return new Place(result, described, Optional.empty(), Optional.empty(),
                    otherSize.getMessage());
        }
    }
}
