package pixeron.help.figure;

import java.util.List;
import java.util.Optional;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.chain.Chain;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.catalog.StepLine;

/** An image with steps, from which the parts of a figure are taken. */
record Work(Chain chain) {

    /** Returns the image of a demo case with these steps. */
    static Work on(String demo, String... lines) {
        return on(demo(demo).image(), lines);
    }

    static DemoCase demo(String id) {
        return DemoCases.all().stream().filter(found -> found.id().equals(id)).findFirst().orElseThrow();
    }

    static Work on(Result image, String... lines) {
        Chain chain = Chain.of(image);
        for (String line : lines) {
            chain = chain.withStep(chain.size(), StepLine.parse(line));
        }
        return new Work(chain);
    }

    /** Returns the result of a step; 0 is the image. */
    Result result(int step) {
        return step == 0 ? chain.input() : chain.stage(step - 1).after(Progress.NONE).required();
    }

    Part.Cells cells(String title, int step) {
        return Part.Cells.of(title, result(step));
    }

    /** Returns the input of a step with the cells that a value of its result is calculated from. */
    Part.Cells window(String title, int step, int row, int column) {
        return cells(title, step - 1).picking(row, column).under(sources(step, row, column));
    }

    private List<Source> sources(int step, int row, int column) {
        return operation(step).sources(new Pixel(row, column));
    }

    Part counts(String title, int step, boolean isCumulative) {
        return new Part.Counts(title, Optional.of(histogram(step - 1)), Optional.of(histogram(step)), isCumulative);
    }

    Part countsOf(String title, int step, boolean isCumulative) {
        return new Part.Counts(title, Optional.of(histogram(step)), Optional.empty(), isCumulative);
    }

    Part curve(String title, int step) {
        return new Part.Curve(title, operation(step).mapping().orElseThrow(), histogram(step - 1), histogram(step));
    }

    Part byHand(String title, int step, HandSheet sheet) {
        Operation operation = operation(step);
        return new Part.ByHand(title, sheet, Check.of(sheet, operation), operation.frame().rows(), operation.frame().columns());
    }

    private Histogram histogram(int step) {
        return Histogram.of((Image) result(step));
    }

    private Operation operation(int step) {
        return chain.stage(step - 1).operation(Progress.NONE).orElseThrow();
    }
}
