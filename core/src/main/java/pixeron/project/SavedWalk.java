package pixeron.project;

import java.util.List;
import java.util.Optional;
import pixeron.image.Pixel;
import pixeron.walk.ScanOrder;
import pixeron.walk.Score;

/**
 * Where a walk was when the project was saved.
 *
 * @param order rows or columns; empty along a path
 * @param path the path of one's own; empty for rows and columns
 * @param written how many pixels were written
 * @param isGuessing whether the user guessed first
 * @param isMistaken whether it showed the mistake of its loops
 * @param score of the guesses
 */
public record SavedWalk(Optional<ScanOrder> order, List<Pixel> path, int written, boolean isGuessing, boolean isMistaken,
        Score score) {

    public SavedWalk {
        path = List.copyOf(path);
    }
}
