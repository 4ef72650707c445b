package pixeron.project.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Decimals;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.ProjectWork;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.table.LevelRows;
import pixeron.working.Table;

/** The demo cases. The values by hand are calculated here, some of them with the slip that the case is about. */
public final class DemoCases {

    private DemoCases() {
    }

    /** Returns all cases, in the order in which they are offered; made anew at each call. */
    public static List<DemoCase> all() {
        return List.of(threeBitSort(), levelsOfTheSort(), faintProof(), faintProofLarge(), speckledProof(),
                unevenlyLitProof(), dustyOrnament(), PlacesCases.twoPulls(), PlacesCases.bandedProof(), PlacesCases.laidPaper(), PlacesCases.borderStrip(), PlacesCases.dustyStrip(),
                ColorCase.colorProof(), ColorCase.registrationMarks(), PlacesCases.twoProofs());
    }

    private static DemoCase threeBitSort() {
        return demo("Three-bit sort", Workshop::sort,
                "An 8 × 8 type sort with levels 0–7. Five rows by hand: fractions were rounded down.",
                List.of("multiply factor=1.25", "subtract amount=1", "threshold at=4 compare=at-least"),
                project -> withHand(project, 0, new Area(0, 0, 5, 8), step(project, 0).with(Rounding.TRUNCATE)));
    }

    private static DemoCase levelsOfTheSort() {
        return demo("Levels of the sort", Workshop::sort,
                "The same sort equalized over its levels table. By hand, one sum is wrong and others follow from it.",
                List.of("equalize", "threshold-otsu"),
                project -> withSlippedSum(withHand(project, 0, new Area(0, 0, 3, 8),
                        StepLine.parse("equalize rounding=truncate"))));
    }

    /** Counts are right; from level 4 on the cumulative counts are one too low, and new levels follow from them. */
    private static Project withSlippedSum(Project project) {
        Table levels = step(project, 0).bind(project.chain().source()).tables().stream()
                .filter(table -> table.kind().equals(LevelRows.LEVELS)).findFirst().orElseThrow();
        Map<HandTable.Place, String> texts = new HashMap<>();
        for (int row = 0; row < levels.rows().size(); row++) {
            Rational running = (Rational) levels.value(row, "running").orElseThrow();
            Rational written = row < 4 ? running : running.minus(Rational.ONE);
            Rational mapped = written.times(Rational.of(7, 64));
            String key = levels.key(row);
            texts.put(new HandTable.Place(key, "n"), Decimals.table(levels.value(row, "n").orElseThrow()));
            texts.put(new HandTable.Place(key, "running"), Decimals.table(written));
            texts.put(new HandTable.Place(key, "s"), Decimals.table(Rounding.NEAREST.apply(mapped)));
        }
        return project.withTable(0, levels.name(), table -> table.with(texts));
    }

    private static DemoCase faintProof() {
        return demo("Faint proof", () -> Workshop.faintProof(16),
                "Too little ink: levels 96–164 are stretched to 0–255, then brightened. Both steps have a slip by hand.",
                List.of("linear gain=3.75 bias=-360", "add amount=30", "threshold at=128 compare=at-least"),
                project -> withHand(
                        withHand(project, 0, new Area(4, 0, 6, 16), step(project, 0).with(Rounding.TRUNCATE)),
                        1, new Area(0, 0, 4, 16), step(project, 1).with(Overflow.KEEP)));
    }

    private static DemoCase faintProofLarge() {
        return demo("Faint proof, large", () -> Workshop.faintProof(64),
                "The same proof as a picture of 64 × 64. Some values by hand were not rounded.",
                List.of("linear gain=3.75 bias=-360", "invert", "clamp low=16 high=235"),
                project -> withHand(project, 0, new Area(30, 28, 4, 8), step(project, 0).with(Rounding.NONE)));
    }

    private static DemoCase speckledProof() {
        return demo("Speckled proof", Workshop::speckledProof,
                "Dust on the plate. By hand, some bright values were not clipped at 255.",
                List.of("add amount=45", "threshold at=150"),
                project -> withHand(project, 0, new Area(0, 0, 6, 10), step(project, 0).with(Overflow.KEEP)));
    }

    private static DemoCase unevenlyLitProof() {
        return demo("Unevenly lit proof", Workshop::unevenlyLitProof,
                "Lit from the left: one threshold cannot separate ink from paper. By hand, values above 255 wrapped around.",
                List.of("multiply factor=1.3", "threshold at=140"),
                project -> withHand(project, 0, new Area(0, 0, 6, 12), step(project, 0).with(Overflow.WRAP)));
    }

    private static DemoCase dustyOrnament() {
        return demo("Dusty ornament", Workshop::dustyOrnament,
                "Two specks of dust: a kernel spreads them, a median removes them. By hand, fractions were rounded down.",
                List.of("kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\" border=replicate", "median size=3 border=mirror-whole",
                        "sobel part=x border=replicate"),
                project -> withHand(project, 0, new Area(1, 0, 3, 8), step(project, 0).with(Rounding.TRUNCATE)));
    }

    static DemoCase demo(String title, Supplier<Image> image, String sentence, List<String> lines,
            UnaryOperator<Project> byHand) {
        String id = title.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", "-");
        return new DemoCase(id, title, sentence, image, drawn -> {
            Project project = byHand.apply(project(title, (Image) drawn, lines));
            return new SavedProject(project, new View(0, firstDifference(project)));
        });
    }

    private static Project project(String name, Image image, List<String> lines) {
        return with(Project.of(name, new Origin("demo data", "demo", 1, List.of()), image), lines);
    }

    /** Returns the project with these steps behind those that it has. */
    static Project with(Project project, List<String> lines) {
        Project changed = project;
        for (String line : lines) {
            changed = changed.withChain(chain -> chain.withStep(chain.size(), StepLine.parse(line)));
        }
        return changed;
    }

    static Step step(Project project, int position) {
        return project.chain().stage(position).link().step();
    }

    /** Fills an area with what the slipped step gives: right values where the slip changes nothing. */
    static Project withHand(Project project, int position, Area area, Step slipped) {
        Image answer = slipped.bind(project.chain().stage(position).inputs(Progress.NONE).orElseThrow()).result(Progress.NONE);
        return project.withSheet(position, sheet -> values(answer, area));
    }

    /**
     * Fills an area of one face of a spectrum, with two decimals.
     *
     * @param from the place whose value a user writes at a place
     * @param change what else they write
     */
    static Project withFace(Project project, int position, SpectrumFace face, Area area, UnaryOperator<Pixel> from, UnaryOperator<HandSheet> change) {
        Spectrum after = (Spectrum) project.chain().stage(position).after(Progress.NONE).required();
        Map<Pixel, String> texts = new HashMap<>();
        for (int n = 0; n < area.count(); n++) {
            Pixel pixel = new Pixel(area.row() + n / area.width(), area.column() + n % area.width());
            texts.put(pixel, twoDecimals(after.value(face, from.apply(pixel))));
        }
        return project.withByHand(position, face.word(), written -> written.withSheet(sheet -> change.apply(sheet.with(texts))));
    }

    static String twoDecimals(Value value) {
        return value.isWhole() ? Decimals.table(value) : Decimals.print(Decimals.parse(Decimals.table(value)).toDecimals(2));
    }

    static HandSheet values(Image answer, Area area) {
        Map<Pixel, String> texts = new HashMap<>();
        for (int i = area.row(); i < area.row() + area.height(); i++) {
            for (int j = area.column(); j < area.column() + area.width(); j++) {
                Pixel pixel = new Pixel(i, j);
                texts.put(pixel, Decimals.table(answer.value(pixel)));
            }
        }
        return HandSheet.EMPTY.with(texts);
    }

    private static Pixel firstDifference(Project project) {
        return ProjectWork.of(project, Progress.NONE).stream().filter(work -> work.position() == 0).flatMap(work -> work.check().first().stream()).findFirst().orElseThrow().pixel();
    }
}
