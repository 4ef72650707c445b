package pixeron.byhand.slip.search;

import java.util.List;
import java.util.stream.Stream;
import pixeron.byhand.CellCheck;

/**
 * The findings about the differing cells of a sheet.
 *
 * @param slips what explains some of them, best first
 * @param wrong those that nothing explains, in reading order
 */
public record Findings(List<Explanation> slips, List<CellCheck> wrong) {

    /** Nothing differs. */
    public static final Findings NONE = new Findings(List.of(), List.of());

    public Findings {
        slips = List.copyOf(slips);
        wrong = List.copyOf(wrong);
    }

    /** Returns these with another explanation first. */
    public Findings with(Explanation first) {
        return new Findings(Stream.concat(Stream.of(first), slips.stream()).toList(), wrong);
    }
}
