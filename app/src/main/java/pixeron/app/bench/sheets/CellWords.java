package pixeron.app.bench.sheets;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import pixeron.app.bench.sheets.SheetsPane.Kind;
import pixeron.app.model.Bench;
import pixeron.image.Pixel;
import pixeron.step.Operation;

/** All that is known of a cell in one line, for who does not see the sheets beside each other. */
final class CellWords {

    private CellWords() {
    }

    /** Returns such as "row 2, column 3, before 156, after 150, by hand 112, differs by 38 less"; what is covered or hidden is not told. */
    static String of(Bench bench, SheetsPane sheets, Kind kind, Pixel pixel) {
        int first = bench.looking().display().first();
        String place = "row " + (pixel.row() + first) + ", column " + (pixel.column() + first);
        // Where pixels move, the same place on another sheet is another pixel.
        boolean isMoved = bench.shown() != null && bench.shown().operation().filter(Operation::isMoving).isPresent();
        List<Kind> told = !isMoved ? List.of(Kind.BEFORE, Kind.AFTER, Kind.BY_HAND) : kind == Kind.BEFORE ? List.of(Kind.BEFORE)
                : List.of(Kind.AFTER, Kind.BY_HAND);
        return told.stream().filter(each -> sheets.visibleProperty(each).get())
                .map(each -> ", " + each.title().toLowerCase(Locale.ROOT) + " " + sheets.sheet(each).says(pixel)).collect(Collectors.joining("", place, ""));
    }
}
