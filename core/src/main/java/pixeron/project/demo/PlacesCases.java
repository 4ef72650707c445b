package pixeron.project.demo;

import java.util.List;
import pixeron.image.Area;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Overflow;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** Demo cases about places, two images, a disturbance and patterns. */
final class PlacesCases {

    private PlacesCases() {
    }

    /**
     * The second pull lies one row too low and one column too far right. Moved back, the two differ only where a hair lay on the forme at the first.
     * The other branch takes the difference without moving.
     */
    static DemoCase twoPulls() {
        return DemoCases.demo("Two pulls", () -> Workshop.pull(1, false),
                "Two proofs of one forme, one shifted. Translated back, they differ by a hair. By hand, values outside were 0.",
                List.of("translate down=-1 right=-1 border=replicate"), moved -> {
                    Project pulls = moved.withImage("first pull", new Origin("demo data", "demo", 1, List.of()), Workshop.pull(0, true));
                    Project project = DemoCases.with(pulls, List.of("combine with=first-pull by=absolute-difference", "threshold at=40 compare=at-least"));
                    project = DemoCases.withHand(project, 0, new Area(12, 0, 4, 16), StepLine.parse("translate down=-1 right=-1"));
                    project = DemoCases.withHand(project, 1, new Area(5, 4, 4, 8), StepLine.parse("combine with=first-pull by=difference"));
                    return DemoCases.with(project.branched(Project.SOURCE), List.of("combine with=first-pull by=difference overflow=keep")).onBranch(Project.FIRST_BRANCH);
                });
    }

    /** One proof is made brighter, the other darker and harder by steps of its own, and both are added. */
    static DemoCase twoProofs() {
        return DemoCases.demo("Light and dark proof", () -> Workshop.pull(0, false),
                "One proof is made brighter, another darker, and both are added. By hand, values wrapped around.",
                List.of("add amount=60"), brighter -> {
                    Project both = brighter.withImage("even", new Origin("demo data", "demo", 1, List.of()), Workshop.evenProof());
                    Project even = DemoCases.with(both.opened("even"), List.of("subtract amount=50", "stretch"));
                    even = DemoCases.withHand(even, 0, new Area(4, 4, 3, 8), StepLine.parse("add amount=50"));
                    Project project = DemoCases.with(even.atMain(), List.of("combine with=even by=sum", "combine with=even:1 by=absolute-difference"));
                    project = DemoCases.withHand(project, 0, new Area(1, 2, 4, 8), DemoCases.step(project, 0).with(Overflow.WRAP));
                    return DemoCases.withHand(project, 1, new Area(6, 6, 3, 4), StepLine.parse("combine with=even by=sum"));
                });
    }

    /** Every fourth row is too dark, as of a roller that turns unevenly, and a slower wave runs across. The other branch shows the bands alone. */
    static DemoCase bandedProof() {
        return DemoCases.demo("Banded proof", Workshop::evenProof,
                "Bands from an uneven roller are two points in the spectrum. By hand, period and cycles were confused.",
                List.of("periodic-noise amplitude=24 period-rows=4 period-columns=8", "fourier", "notch u=4 v=2", "fourier-inverse"), project -> {
                    Project waves = DemoCases.withHand(project, 0, new Area(4, 0, 5, 16), StepLine.parse("periodic-noise amplitude=24 cycles-rows=4 cycles-columns=8"));
                    Spectrum before = (Spectrum) waves.chain().stage(2).before(Progress.NONE).required();
                    Area around = new Area(2, 4, 13, 9);
                    Pixel mate = Spectrum.place(before.frame(), -4, -2);
                    Project notched = DemoCases.withFace(waves, 2, SpectrumFace.MAGNITUDE, around, pixel -> pixel, sheet -> sheet.with(mate,
                            DemoCases.twoDecimals(before.value(SpectrumFace.MAGNITUDE, mate))));
                    Project apart = DemoCases.with(notched.branched(0), List.of("combine with=step:0 by=absolute-difference"));
                    return DemoCases.withHand(apart, 1, new Area(0, 0, 3, 16), StepLine.parse("combine with=step:0 by=difference")).onBranch(Project.FIRST_BRANCH);
                });
    }

    /** Small enough to be summed up by hand: a wave over the columns, one over the rows, and their mean. */
    static DemoCase laidPaper() {
        return DemoCases.demo("Laid paper", Workshop::laidPaper,
                "A 4 × 4 image, Fourier-transformed by hand. The imaginary parts have the wrong sign.",
                List.of("fourier", "notch u=0 v=1", "fourier-inverse"), project -> {
                    Area all = new Area(0, 0, 4, 4);
                    Project real = DemoCases.withFace(project, 0, SpectrumFace.REAL, all, pixel -> pixel, sheet -> sheet);
                    return DemoCases.withFace(real, 0, SpectrumFace.IMAGINARY, all, pixel -> Spectrum.mate(project.chain().input().frame(), pixel), sheet -> sheet);
                });
    }

    /** A strip of few different rows, so that it is made of few patterns. */
    static DemoCase borderStrip() {
        return DemoCases.demo("Border strip", Workshop::corner,
                "A corner, flipped and repeated in a row. By hand, the flip was wrong, and a crop used the last pixel as its size.",
                List.of("flip direction=left-right", "tile right=4 mirrored=yes", "crop row=1 column=3 height=4 width=12"), project -> {
                    Project flipped = DemoCases.withHand(project, 0, new Area(0, 0, 6, 6), StepLine.parse("flip direction=up-down"));
                    Project tiled = DemoCases.withHand(flipped, 1, new Area(0, 0, 3, 24), DemoCases.step(flipped, 1));
                    return DemoCases.withHand(tiled, 2, new Area(0, 0, 4, 14), StepLine.parse("crop row=1 column=3 height=4 width=14"));
                });
    }

    /** The strip is made of six patterns; every speck of dust needs more of them. */
    static DemoCase dustyStrip() {
        return DemoCases.demo("Dusty strip", Workshop::dustyStrip,
                "A border strip has low rank, dust has not: keep the largest singular values. By hand, σ was added instead of σ².",
                List.of("low-rank energy=98 measure=squares", "combine with=step:0 by=absolute-difference", "threshold at=40 compare=at-least"), project ->
                    DemoCases.withHand(project, 0, new Area(0, 0, 4, 12), StepLine.parse("low-rank energy=98")));
    }
}
