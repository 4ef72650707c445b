package pixeron.step.kernel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Step;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * A gradient bound to an image: the two sums g_x and g_y, and the part that is asked for. Roots and angles are doubles, as
 * in a formula; a multiple of ½ that they come near to is taken for it.
 */
final class GradientOperation extends WindowOperation {

    private final Weights across;
    private final Weights down;
    private final Gradient.Part part;

    GradientOperation(Step step, Image before, Window window, Weights across, Weights down, Gradient.Part part) {
        super(step, before, window);
        this.across = across;
        this.down = down;
        this.part = part;
    }

    private Value combined(Value gx, Value gy) {
        return switch (part) {
            case X -> gx;
            case Y -> gy;
            case SUM -> gx.absolute().plus(gy.absolute());
            case ROOT -> root(gx.times(gx).plus(gy.times(gy)));
            case ANGLE -> snapped(degrees(gx, gy));
        };
    }

    private Value root(Value squares) {
        return snapped(Math.sqrt(squares.asDouble()));
    }

    private Value snapped(double number) {
        return Approximate.snapped(number, before().maximumLevel());
    }

    private static double degrees(Value gx, Value gy) {
        // A double of −0 would turn 180° into −180°; adding 0 makes it 0.
        return Math.toDegrees(Math.atan2(gy.asDouble() + 0.0, gx.asDouble() + 0.0));
    }

    @Override
    protected Value valueOf(Pixel pixel, List<Window.Cell> cells) {
        return combined(across.sumOver(cells), down.sumOver(cells));
    }

    @Override
    protected Optional<Codes> codes() {
        if (part == Gradient.Part.ANGLE || !Plane.isPossible(before(), window())) {
            return Optional.empty();
        }
        int[][] x = across.whole().orElseThrow().numerators();
        int[][] y = down.whole().orElseThrow().numerators();
        Optional<KernelCodes.Range> rangeX = KernelCodes.range(x, before(), window());
        Optional<KernelCodes.Range> rangeY = KernelCodes.range(y, before(), window());
        return rangeX.isEmpty() || rangeY.isEmpty() ? Optional.empty()
                : Optional.of(new Both(x, y, rangeX.get(), rangeY.get())).filter(Both::isPossible).map(codes -> codes);
    }

    /** The codes: one of the sums, |g_x| + |g_y|, or g_x² + g_y². */
    private final class Both implements Codes {

        private final int[][] x;
        private final int[][] y;
        private final KernelCodes.Range rangeX;
        private final KernelCodes.Range rangeY;

        Both(int[][] x, int[][] y, KernelCodes.Range rangeX, KernelCodes.Range rangeY) {
            this.x = x;
            this.y = y;
            this.rangeX = rangeX;
            this.rangeY = rangeY;
        }

        private static long largest(KernelCodes.Range range) {
            return Math.max(-(long) range.least(), range.most());
        }

        private long largestCode() {
            long largestX = largest(rangeX);
            long largestY = largest(rangeY);
            return part == Gradient.Part.ROOT ? largestX * largestX + largestY * largestY : largestX + largestY;
        }

        boolean isPossible() {
            return largestCode() < 1 << 30;
        }

        @Override
        public int least() {
            return part == Gradient.Part.X ? rangeX.least() : part == Gradient.Part.Y ? rangeY.least() : 0;
        }

        @Override
        public int most() {
            return part == Gradient.Part.X ? rangeX.most() : part == Gradient.Part.Y ? rangeY.most()
                    : (int) largestCode();
        }

        @Override
        public Value value(int code) {
            return part == Gradient.Part.ROOT ? root(Rational.of(code)) : Rational.of(code);
        }

        @Override
        public Rows rows(Plane plane) {
            if (part == Gradient.Part.X) {
                return Summation.of(x, plane);
            } else if (part == Gradient.Part.Y) {
                return Summation.of(y, plane);
            }
            Rows sumX = Summation.of(x, plane);
            Rows sumY = Summation.of(y, plane);
            int[] other = new int[plane.columns()];
            boolean isRoot = part == Gradient.Part.ROOT;
            return (row, codes) -> {
                sumX.fill(row, codes);
                sumY.fill(row, other);
                if (isRoot) {
                    addSquares(codes, other);
                } else {
                    addAbsolutes(codes, other);
                }
            };
        }

        private static void addSquares(int[] codes, int... other) {
            for (int j = 0; j < codes.length; j++) {
                codes[j] = codes[j] * codes[j] + other[j] * other[j];
            }
        }

        private static void addAbsolutes(int[] codes, int... other) {
            for (int j = 0; j < codes.length; j++) {
                codes[j] = Math.abs(codes[j]) + Math.abs(other[j]);
            }
        }
    }

    @Override
    protected List<Line> work(Pixel pixel, List<Window.Cell> cells) {
        List<Line> lines = new ArrayList<>(WindowText.lines(window(), pixel, cells));
        lines.addAll(products("x × r", across, cells));
        lines.addAll(products("y × r", down, cells));
        Value gx = across.sumOver(cells);
        Value gy = down.sumOver(cells);
        lines.add(Line.of("sums", Run.plain("g_x = Σ x·r = " + Decimals.working(gx) + ",")).arriving("g_x", gx));
        lines.add(Line.of("", Run.plain("g_y = Σ y·r = " + Decimals.working(gy))).arriving("g_y", gy));
        String result = Decimals.working(valueOf(pixel, cells));
        lines.add(Line.of("this pixel", Run.plain("s = " + switch (part) {
            case X -> "g_x = " + result;
            case Y -> "g_y = " + result;
            case SUM -> "|" + Decimals.working(gx) + "| + |" + Decimals.working(gy) + "| = " + result;
            case ROOT -> "√(" + text(gx) + "² + " + text(gy) + "²) = √"
                    + Decimals.working(gx.times(gx).plus(gy.times(gy))) + " = " + result;
            case ANGLE -> "angle of (" + Decimals.working(gx) + ", " + Decimals.working(gy) + ") = " + result + "°";
        })));
        return lines;
    }

    private static List<Line> products(String label, Weights weights, List<Window.Cell> cells) {
        return WindowText.grid(label, "", weights.width(), cells,
                cell -> WindowText.product(weights.at(cell.row(), cell.column()), cell));
    }

    @Override
    protected void follow(LoopWriter out, Pixel pixel, List<Window.Cell> cells) {
        Value gx = Rational.ZERO;
        Value gy = Rational.ZERO;
        out.set("g_x", gx).set("g_y", gy).line(0, "g_x ← 0, g_y ← 0");
        for (Window.Cell cell : cells) {
            out.takeCell();
            if (cell.value().isPresent()) {
                WindowText.place(out, window(), cell);
                Value x = across.at(cell.row(), cell.column());
                Value y = down.at(cell.row(), cell.column());
                out.set("w_x", x).set("w_y", y).line(0, "for each cell (a, b) with weights w_x and w_y");
                gx = gx.plus(x.times(cell.value().get()));
                out.set("g_x", gx).line(1, "g_x ← g_x + w_x × before[i+a][j+b]");
                gy = gy.plus(y.times(cell.value().get()));
                out.set("g_y", gy).line(1, "g_y ← g_y + w_y × before[i+a][j+b]");
            }
        }
        out.set("s", valueOf(pixel, cells)).line(0, "s ← " + switch (part) {
            case X -> "g_x";
            case Y -> "g_y";
            case SUM -> "|g_x| + |g_y|";
            case ROOT -> "√(g_x² + g_y²)";
            case ANGLE -> "angle of (g_x, g_y) in degrees";
        });
    }
}
