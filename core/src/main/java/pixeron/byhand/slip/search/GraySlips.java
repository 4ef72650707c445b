package pixeron.byhand.slip.search;

import java.util.ArrayList;
import java.util.List;
import pixeron.number.Rounding;
import pixeron.step.Way;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.GraySource;
import pixeron.step.gray.Transparency;

/** Slips in gray that is made of a colour picture: another rule, transparency that is not dealt with, another rounding. */
final class GraySlips {

    private GraySlips() {
    }

    static List<Candidate> of(GraySource right) {
        List<Candidate> all = new ArrayList<>();
        all.add(new Candidate(List.of("not-rounded"), new Way("the value is not rounded", right::exact, true,
                java.util.Optional.empty(), java.util.Optional.empty()), right.frame()));
        add(all, right, "rounded-down", "the fraction is dropped instead of rounded", Rounding.TRUNCATE);
        add(all, right, "rounded-up", "the value is always rounded up", Rounding.CEILING);
        for (GrayRule rule : GrayRule.ready()) {
            if (!rule.equals(right.rule())) {
                all.add(new Candidate(List.of("other-gray-rule"), Way.of("gray is made by " + rule.word() + " ("
                        + rule.formula() + ") instead of " + right.rule().word(), right.with(rule)), right.frame()));
            }
        }
        if (right.picture().alpha().isPresent() && right.transparency() != Transparency.IGNORED) {
            all.add(new Candidate(List.of("transparency-ignored"), Way.of("transparent pixels are taken as if they were opaque",
                    right.with(Transparency.IGNORED)), right.frame()));
        }
        return all;
    }

    private static void add(List<Candidate> all, GraySource right, String id, String words, Rounding rounding) {
        all.add(new Candidate(List.of(id), Way.of(words, pixel -> rounding.apply(right.exact(pixel))), right.frame()));
    }
}
