package pixeron.byhand.slip.search;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.ending.LeftUnfinished;
import pixeron.byhand.slip.ending.NotClipped;
import pixeron.byhand.slip.ending.NotRounded;
import pixeron.byhand.slip.ending.RoundedDown;
import pixeron.byhand.slip.ending.RoundedNearest;
import pixeron.byhand.slip.ending.RoundedUp;
import pixeron.byhand.slip.ending.TiesToEven;
import pixeron.byhand.slip.ending.Wrapped;
import pixeron.byhand.slip.point.BlackWhiteSwapped;
import pixeron.byhand.slip.point.CountForMaximum;
import pixeron.byhand.slip.point.Counting;
import pixeron.byhand.slip.point.MaximumForCount;
import pixeron.byhand.slip.point.OtherShare;
import pixeron.byhand.slip.point.ParameterOffByOne;
import pixeron.byhand.slip.point.RoundedEarly;
import pixeron.byhand.slip.point.StretchForEqualize;
import pixeron.byhand.slip.point.Strictness;
import pixeron.byhand.slip.point.WrongOperation;
import pixeron.byhand.slip.sheet.RowsColumnsSwapped;
import pixeron.byhand.slip.sheet.ShiftedByOne;
import pixeron.byhand.slip.window.OtherBorder;
import pixeron.byhand.slip.window.Weighted;
import pixeron.byhand.slip.window.WrittenInPlace;
import pixeron.step.neighborhood.Border;

/** All slips that are looked for in several cells. A new one is a class and a line here. */
public final class KnownSlips {

    /** In the order of preference among slips that explain as many cells. */
    private static final List<Slip> ALL = List.of(new NotRounded(), new RoundedDown(), new RoundedUp(), new RoundedNearest(),
            new TiesToEven(), new NotClipped(), new Wrapped(), new LeftUnfinished(), new CountForMaximum(),
            new MaximumForCount(), new WrongOperation(), new Strictness(), new ParameterOffByOne(), new BlackWhiteSwapped(),
            new StretchForEqualize(), Counting.notRunning(), OtherShare.fromFirst(), OtherShare.plain(),
            new OtherBorder(Border.ZERO), new OtherBorder(Border.REPEAT), new OtherBorder(Border.MIRROR_HALF),
            new OtherBorder(Border.MIRROR_WHOLE), new OtherBorder(Border.WRAP), new OtherBorder(Border.KEEP),
            new OtherBorder(Border.INSIDE), Weighted.turned(), Weighted.transposed(), Weighted.noDivisor(),
            Weighted.noOffset(), new WrittenInPlace(), new RowsColumnsSwapped(), new ShiftedByOne(), Weighted.missed(),
            Weighted.twice(), Weighted.sign(), new RoundedEarly(), Counting.running(), Counting.miscounted(),
            new OtherBorder(Border.CONSTANT));

    private KnownSlips() {
    }

    /** @return all of them, in the order of preference */
    public static List<Slip> all() {
        return ALL;
    }
}
