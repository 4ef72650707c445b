package pixeron.project.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntUnaryOperator;
import pixeron.byhand.HandSheet;
import pixeron.chain.Chain;
import pixeron.image.Area;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.PackedPixel;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** The color proof, worked on channel by channel; the values by hand are packed pixels taken apart, some with a slip. */
final class ColorCase {

    private static final Area LEFT = new Area(4, 4, 3, 8);
    private static final Area RIGHT = new Area(4, 12, 3, 8);
    private static final int BRIGHTER = 0x282828;

    private ColorCase() {
    }

    static DemoCase colorProof() {
        return new DemoCase("color-proof", "Color proof",
                "Two inks, channel by channel. By hand, 40 was added to the packed value, a wrong mask was used, and two channels "
                        + "were swapped.", Workshop::colorProof, proof -> saved((ColorImage) proof));
    }

    /** Marks by which two inks are brought over each other. The pixel that was set by hand has its row and column exchanged. */
    static DemoCase registrationMarks() {
        return new DemoCase("registration-marks", "Registration marks",
                "A red pixel, a diagonal and a frame on tinted stock, then more red and less blue. By hand, row and column were swapped.",
                Workshop::stock, stock -> marked((ColorImage) stock));
    }

    private static SavedProject marked(ColorImage stock) {
        Chain chain = Chain.of(stock);
        for (String line : List.of("set-pixels at=\"2 5 0xD22828\"", "line from=\"0 0\" to=\"7 7\" value=0x000000", "rectangle area=\"1 1 6 6\" value=0x16409A",
                "add amount=\"20 0 -40\"")) {
            chain = chain.withStep(chain.size(), StepLine.parse(line));
        }
        Project project = Project.of("Registration marks", new Origin("demo data", "demo", 3, List.of()), chain);
        ColorImage exchanged = (ColorImage) Chain.of(stock).withStep(0, StepLine.parse("set-pixels at=\"5 2 0xD22828\"")).last(Progress.NONE).required();
        project = written(project, 0, new Area(0, 0, 6, 6), n -> packed(exchanged, n));
        ColorImage toned = after(chain, 3);
        return new SavedProject(written(project, 3, new Area(0, 0, 2, 8), n -> packed(toned, n)), new View(0, new Pixel(2, 5)));
    }

    private static SavedProject saved(ColorImage proof) {
        Chain chain = Chain.of(proof);
        for (String line : List.of("add amount=40", "invert", "gray rule=red area=\"0 0 24 12\"", "multiply factor=0 channels=green",
                "gray rule=luma-601")) {
            chain = chain.withStep(chain.size(), StepLine.parse(line));
        }
        Project project = Project.of("Color proof", new Origin("demo data", "demo", 4, List.of()), chain);
        // What exceeds 255 in a channel runs into the next one.
        project = written(project, 0, LEFT, n -> packed(proof, n) + BRIGHTER);
        ColorImage brighter = after(chain, 0);
        ColorImage negative = after(chain, 1);
        project = written(project, 1, LEFT, n -> rgb(level(negative.red(), n), 255 - level(brighter.blue(), n), level(negative.blue(), n)));
        ColorImage purple = after(chain, 3);
        project = written(project, 3, RIGHT, n -> rgb(level(purple.blue(), n), level(purple.green(), n), level(purple.red(), n)));
        Image byMean = (Image) Chain.of(purple).withStep(0, StepLine.parse("gray rule=mean")).last(Progress.NONE).required();
        return new SavedProject(project.withSheet(4, none -> DemoCases.values(byMean, RIGHT)), new View(0, new Pixel(4, 4)));
    }

    private static ColorImage after(Chain chain, int position) {
        return (ColorImage) chain.stage(position).after(Progress.NONE).required();
    }

    private static int level(Image channel, int n) {
        return channel.level(n);
    }

    private static int rgb(int red, int green, int blue) {
        return PackedPixel.of(255, red, green, blue).packed();
    }

    private static int packed(ColorImage image, int n) {
        return rgb(level(image.red(), n), level(image.green(), n), level(image.blue(), n));
    }

    /** What was written for red, green and blue, out of packed values. */
    private static Project written(Project project, int position, Area area, IntUnaryOperator packed) {
        Project changed = project;
        int columns = project.chain().input().frame().columns();
        for (String channel : List.of("red", "green", "blue")) {
            Map<Pixel, String> texts = new HashMap<>();
            for (int i = area.row(); i < area.row() + area.height(); i++) {
                for (int j = area.column(); j < area.column() + area.width(); j++) {
                    texts.put(new Pixel(i, j), Integer.toString(new PackedPixel(packed.applyAsInt(i * columns + j)).level(channel)));
                }
            }
            changed = changed.withByHand(position, channel, none -> none.withSheet(empty -> HandSheet.EMPTY.with(texts)));
        }
        return changed;
    }
}
