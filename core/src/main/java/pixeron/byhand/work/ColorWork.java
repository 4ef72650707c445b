package pixeron.byhand.work;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.Pixel;
import pixeron.step.Progress;

/**
 * A user's work on all faces of a result with color together: a slip of masks, of exchanged channels or of a packed value
 * shows only there.
 *
 * @param faces the right values, all faces beside each other
 * @param check the user's values against them
 * @param following the places whose values follow from something earlier
 */
public record ColorWork(Abreast faces, Check check, Set<Pixel> following) {

    /** Returns what was written for the faces of one step. */
    public static ColorWork of(Abreast faces, List<StepWork> works) {
        Map<Pixel, CellCheck> cells = new HashMap<>();
        Set<Pixel> following = new HashSet<>();
        for (StepWork work : works) {
            for (CellCheck cell : work.check().cells()) {
                Pixel place = faces.place(work.face(), cell.pixel());
                cells.put(place, new CellCheck(place, cell.byHand(), cell.value(), cell.state()));
            }
            work.following().pixels().forEach(pixel -> following.add(faces.place(work.face(), pixel)));
        }
        return new ColorWork(faces, new Check(cells.keySet().stream().sorted().map(cells::get).toList()), Set.copyOf(following));
    }

    /** Returns what explains the differing values that do not follow from something earlier. */
    public Findings findings(SlipFinder finder, Progress progress) {
        return finder.find(following.isEmpty() ? check : new Check(check.cells().stream().filter(cell ->
                !following.contains(cell.pixel())).toList()), progress);
    }

    /** Returns the values of one pixel that were written, by the name of the face. */
    public Map<String, CellCheck> at(Pixel pixel) {
        return faces.bound().faces().stream().flatMap(name -> cell(name, pixel).stream())
                .collect(Collectors.toMap(cell -> faces.face(cell.pixel()), cell -> cell, (a, b) -> a, LinkedHashMap::new));
    }

    private Optional<CellCheck> cell(String face, Pixel pixel) {
        Pixel place = faces.place(face, pixel);
        return check.cells().stream().filter(cell -> cell.pixel().equals(place)).findFirst();
    }
}
