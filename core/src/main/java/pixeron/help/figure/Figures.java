package pixeron.help.figure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import pixeron.byhand.HandSheet;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.Area;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.make.Makers;
import pixeron.number.Decimals;
import pixeron.project.SavedProject;

/** All figures, each under the name of its page; a figure is calculated when it is asked for. */
public final class Figures {

    private static final String SORT = "levels-of-the-sort";
    private static final String ORNAMENT = "dusty-ornament";
    private static final String COLOR = "color-proof";
    private static final Map<String, Supplier<Figure>> ALL = all();

    private Figures() {
    }

    private static Map<String, Supplier<Figure>> all() {
        Map<String, Supplier<Figure>> all = new LinkedHashMap<>();
        all.put("looking", Figures::looking);
        all.put("new-images", Figures::newImages);
        all.put("numbers-in", Figures::numbersIn);
        all.put("numbers-out", () -> numbersOut(Work.on("faint-proof", "crop row=4 column=4 height=4 width=4", "linear gain=3.75 bias=-360")));
        all.put("gray", Figures::gray);
        all.put("color", () -> color(Work.on(COLOR, "crop row=3 column=8 height=4 width=3")));
        all.put("color-models", () -> colorModels(Work.on(COLOR, "crop row=8 column=9 height=3 width=2", "convert to=hsv")));
        all.put("point-steps", () -> pointSteps(Work.on("faint-proof", "linear gain=3.75 bias=-360")));
        all.put("equalization", () -> equalization(Work.on(SORT, "equalize")));
        all.put("thresholds", () -> thresholds(Work.on("speckled-proof", "threshold-otsu")));
        all.put("kernels", () -> kernels(Work.on(ORNAMENT, "median size=3 border=replicate")));
        all.put("moving", Figures::moving);
        all.put("resampling", Figures::resampling);
        all.put("drawing", () -> drawing(Work.on(SORT, "line from=\"3 0\" to=\"0 2\" value=7", "rectangle area=\"4 3 3 5\" value=0")));
        all.put("two-images", () -> twoImages(new Work(Work.demo("two-pulls").saved().project().chain())));
        all.put("noise", () -> noise(Work.on("banded-proof", "salt-pepper count=24", "median size=3 border=replicate")));
        all.put("frequency", () -> frequency(Work.on("banded-proof", "periodic-noise amplitude=24 period-rows=4 period-columns=8", "fourier", "notch u=4 v=2",
                "fourier-inverse")));
        all.put("low-rank", Figures::lowRank);
        all.put("by-hand", Figures::byHand);
        all.put("walk", () -> walk(Work.on(ORNAMENT, "kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\" border=replicate")));
        all.put("practice", Figures::practice);
        all.put("exercises", Figures::exercises);
        all.put("variants", Figures::variants);
        all.put("words", Figures::words);
        return all;
    }

    /** Returns the names of all figures. */
    public static Set<String> names() {
        return ALL.keySet();
    }

    /** Returns the figure of this name, calculated anew at each call. */
    public static Optional<Figure> find(String name) {
        return Optional.ofNullable(ALL.get(name)).map(Supplier::get);
    }

    private static Figure looking() {
        Work sort = Work.on(SORT);
        return Figure.of(sort.cells("Picked pixel and rectangle", 0).picking(1, 6).marking(new Area(3, 1, 3, 4)), sort.countsOf("Histogram", 0, true));
    }

    private static Figure newImages() {
        List<Part> parts = new ArrayList<>();
        for (String line : List.of("gradient", "checker size=2", "disc radius=2.5")) {
            parts.add(Part.Cells.of(line, Makers.make(line + " rows=6 columns=6 maximum=5")));
        }
        return new Figure(parts);
    }

    private static Figure numbersIn() {
        return Figure.of(Part.Cells.of("[[52, 55], [61, 59]]", ImageFiles.parse("[[52, 55], [61, 59]]", ReadOptions.DEFAULT).result()),
                Part.Cells.of("[[[52, 107, 172], … ], … ]", ImageFiles.parse("[[[52, 107, 172], [240, 240, 240]], [[42, 84, 160], [230, 232, 236]]]", ReadOptions.DEFAULT).result()));
    }

    private static Figure numbersOut(Work work) {
        return Figure.of(work.cells("Before", 1), work.cells("After, written as an array", 2));
    }

    private static Figure gray() {
        String crop = "crop row=3 column=7 height=4 width=4";
        return Figure.of(Work.on(COLOR, crop).cells("Color", 1), Work.on(COLOR, crop, "gray rule=mean").cells("gray rule=mean", 2),
                Work.on(COLOR, crop, "gray rule=luma-601").cells("gray rule=luma-601", 2));
    }

    private static Figure color(Work work) {
        List<Part> parts = new ArrayList<>(List.of(work.cells("Color", 1)));
        parts.addAll(work.cells("", 1).channels());
        return new Figure(parts);
    }

    private static Figure colorModels(Work work) {
        List<Part> parts = new ArrayList<>(List.of(work.cells("Color", 1)));
        work.cells("", 2).channels().stream().limit(3).forEach(parts::add);
        return new Figure(parts);
    }

    private static Figure pointSteps(Work work) {
        return Figure.of(work.cells("Before", 0), work.cells("After", 1), work.curve("Curve of the step", 1));
    }

    private static Figure equalization(Work work) {
        return Figure.of(work.cells("Before", 0), work.cells("After", 1), work.counts("Histograms, with cumulative counts", 1, true));
    }

    private static Figure thresholds(Work work) {
        return Figure.of(work.cells("Before", 0), work.cells("After threshold-otsu", 1), work.countsOf("Histogram before", 0, false));
    }

    private static Figure kernels(Work work) {
        return Figure.of(work.window("Before, with the window", 1, 2, 4), work.cells("After median size=3", 1).picking(2, 4));
    }

    private static Figure moving() {
        Work corner = Work.on("border-strip");
        return Figure.of(corner.cells("Before", 0), Work.on("border-strip", "translate down=1 right=2").cells("translate down=1 right=2", 1),
                Work.on("border-strip", "flip direction=left-right").cells("flip left-right", 1));
    }

    private static Figure resampling() {
        String crop = "crop row=1 column=1 height=3 width=3";
        return Figure.of(Work.on(ORNAMENT, crop).cells("Before", 1), Work.on(ORNAMENT, crop, "resize height=5 width=5 by=nearest").cells("by=nearest", 2),
                Work.on(ORNAMENT, crop, "resize height=5 width=5 by=linear").cells("by=linear", 2));
    }

    private static Figure drawing(Work work) {
        return Figure.of(work.cells("After a line with value 7", 1), work.cells("Then a rectangle with value 0", 2));
    }

    private static Figure twoImages(Work work) {
        return Figure.of(work.cells("r: second pull, moved back", 1), Part.Cells.of("t: first pull", work.chain().others().get("first-pull").input()), work.cells("|r − t|", 2));
    }

    private static Figure noise(Work work) {
        return Figure.of(work.cells("Before", 0), work.cells("salt-pepper count=24", 1), work.cells("Then median size=3", 2));
    }

    private static Figure frequency(Work work) {
        return Figure.of(work.cells("A proof with a wave", 1), work.cells("Spectrum, log", 2), work.cells("After the notch", 4));
    }

    private static Figure lowRank() {
        List<Part> parts = new ArrayList<>(List.of(Work.on("dusty-strip").cells("Before", 0)));
        for (int rank : List.of(1, 2, 6)) {
            parts.add(Work.on("dusty-strip", "low-rank keep=" + rank).cells("Rank k = " + rank, 1));
        }
        return new Figure(parts);
    }

    private static Figure byHand() {
        SavedProject saved = Work.demo("three-bit-sort").saved();
        Work work = new Work(saved.project().chain());
        HandSheet sheet = saved.project().byHand(0, "value").sheet();
        return Figure.of(work.cells("After multiply factor=1.25", 1), work.byHand("By hand", 1, sheet));
    }

    private static Figure walk(Work work) {
        return Figure.of(work.window("Before, with the window", 1, 3, 4), work.cells("After, so far", 1).picking(3, 4).upTo(3 * 8 + 4));
    }

    private static Figure practice() {
        Variant variant = variants("median").get(0);
        Work work = new Work(variant.chain());
        HandSheet written = HandSheet.EMPTY;
        for (int n = 0; n < 3; n++) {
            Pixel pixel = new Pixel(2, n);
            // Two values of the result, and one that is still that of the image.
            Result from = work.result(n == 2 ? 0 : 1);
            written = written.with(pixel, Decimals.table(from.faces().get(0).image().value(pixel)));
        }
        return Figure.of(work.cells("Before", 0), work.byHand("By hand, after Check and Show where", 1, written));
    }

    private static Figure exercises() {
        Variant variant = variants("lighter").get(0);
        Work work = new Work(variant.chain());
        return Figure.of(work.cells("Image of variant 1", 0), work.byHand("Empty cells for the student", 1, HandSheet.EMPTY), work.cells("Answer key", 1));
    }

    private static Figure variants() {
        List<Part> parts = new ArrayList<>();
        variants("lighter").forEach(variant -> parts.add(new Work(variant.chain()).cells("Variant " + variant.number(), 0)));
        return new Figure(parts);
    }

    private static Figure words() {
        Work work = Work.on(SORT, "median size=3 border=replicate");
        return Figure.of(work.window("Pixel with its window", 1, 2, 3), work.countsOf("Histogram, with cumulative counts", 0, true));
    }

    private static List<Variant> variants(String topic) {
        return new Variants(Library.topic(topic).orElseThrow().exercise(Size.SMALL)).first(3);
    }
}
