package pixeron.step.kernel;

import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.neighborhood.CellRows;
import pixeron.step.neighborhood.CodeNumbers;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;

/** The codes of a gradient: one of its sums, |g_x| + |g_y|, g_x² + g_y², or for the angle both sums in one number. */
final class GradientCodes implements Codes {

    /** In larger images an arc tangent for each pair of sums there can be costs less than one for each pixel. */
    private static final int MANY = 1 << 18;

    private final Gradient.Part part;
    private final int[][] x;
    private final int[][] y;
    private final KernelCodes.Range rangeX;
    private final KernelCodes.Range rangeY;
    /** Bits that hold any second sum above its least one. */
    private final int bitsY;

    private GradientCodes(Gradient.Part part, int[][] x, int[][] y, KernelCodes.Range rangeX, KernelCodes.Range rangeY) {
        this.part = part;
        this.x = x;
        this.y = y;
        this.rangeX = rangeX;
        this.rangeY = rangeY;
        this.bitsY = Integer.SIZE - Integer.numberOfLeadingZeros(rangeY.most() - rangeY.least());
    }

    /** Returns the codes; empty where they are no whole numbers, or could become too large. */
    static Optional<GradientCodes> of(Gradient.Part part, Weights across, Weights down, Image before, Window window) {
        int[][] x = across.whole().orElseThrow().numerators();
        int[][] y = down.whole().orElseThrow().numerators();
        return KernelCodes.range(x, before, window).flatMap(rangeX -> KernelCodes.range(y, before, window).map(
                rangeY -> new GradientCodes(part, x, y, rangeX, rangeY))).filter(GradientCodes::isPossible);
    }

    private static long largest(KernelCodes.Range range) {
        return Math.max(-(long) range.least(), range.most());
    }

    private long largestCode() {
        long largestX = largest(rangeX);
        long largestY = largest(rangeY);
        return part == Gradient.Part.ROOT ? largestX * largestX + largestY * largestY : part != Gradient.Part.ANGLE ? largestX + largestY
                : (rangeX.most() - (long) rangeX.least() + 1 << bitsY) - 1;
    }

    private boolean isPossible() {
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
        return hasDoubles() ? Approximate.snapped(number(code), 1) : Rational.of(code);
    }

    private int across(int code) {
        return (code >> bitsY) + rangeX.least();
    }

    private int down(int code) {
        return (code & (1 << bitsY) - 1) + rangeY.least();
    }

    @Override
    public boolean hasDoubles() {
        return part == Gradient.Part.ROOT || part == Gradient.Part.ANGLE;
    }

    @Override
    public double number(int code) {
        return part == Gradient.Part.ROOT ? Math.sqrt(code) : pixeron.formula.Function.degrees(across(code), down(code));
    }

    @Override
    public Optional<CodeNumbers> numbers(Finish finish, int count) {
        if (part != Gradient.Part.ANGLE || finish.rounding() != Rounding.NONE || count < MANY) {
            return Optional.empty();
        }
        Angles angles = Angles.of(finish.maximumLevel());
        // Read from the fields for each pixel, as one by one, these would take a fifth more.
        int leastX = rangeX.least();
        int leastY = rangeY.least();
        int bits = bitsY;
        return Optional.of((codes, into, at, apart, columns) -> {
            for (int j = 0; j < columns; j++) {
                into[at + apart * j] = angles.of((codes[j] >> bits) + leastX, (codes[j] & (1 << bits) - 1) + leastY);
            }
        });
    }

    @Override
    public Optional<Line> line() {
        return hasDoubles() ? Optional.empty() : Optional.of(new Line(1, 0, 1));
    }

    @Override
    public Rows rows(Plane plane) {
        return runRows(plane).inOneRun();
    }

    /** Weights of gradients are few and not equal: columns may be in any order. */
    @Override
    public Optional<Function<CellRows, RunRows>> inAnyOrder() {
        return Optional.of(this::runRows);
    }

    private RunRows runRows(CellRows rows) {
        if (part == Gradient.Part.X) {
            return Summation.cellByCell(x, rows);
        } else if (part == Gradient.Part.Y) {
            return Summation.cellByCell(y, rows);
        }
        RunRows sumX = Summation.cellByCell(x, rows);
        RunRows sumY = Summation.cellByCell(y, rows);
        int[][] other = rows.room();
        return (row, codes) -> {
            sumX.fill(row, codes);
            sumY.fill(row, other);
            for (int run = 0; run < codes.length; run++) {
                if (part == Gradient.Part.ROOT) {
                    addSquares(codes[run], other[run]);
                } else if (part == Gradient.Part.ANGLE) {
                    join(codes[run], other[run]);
                } else {
                    addAbsolutes(codes[run], other[run]);
                }
            }
        };
    }

    private void join(int[] codes, int... other) {
        for (int j = 0; j < codes.length; j++) {
            codes[j] = (codes[j] - rangeX.least() << bitsY) + other[j] - rangeY.least();
        }
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
