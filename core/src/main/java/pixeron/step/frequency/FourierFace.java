package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import pixeron.image.Frequency;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.loop.LoopProgram;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Table;

/** A coefficient as the sum over all pixels, and the same row by row and then along the column of sums, as it is done by hand. */
final class FourierFace extends FaceOperation {

    /** Of larger images a loop is only written down. */
    private static final int MOST_LOOPED = 1 << 10;
    /** More rows than these, or rows of more pixels together, are not summed up one by one. */
    private static final int MOST_ROWS = 8;
    private static final int MOST_IN_ROWS = 1 << 12;

    private final Image image;

    FourierFace(Step step, Inputs inputs, SpectrumFace face, Supplier<Spectrum> after) {
        super(step, () -> (Image) inputs.before(), inputs, face, after);
        this.image = (Image) inputs.before();
    }

    @Override
    public Optional<LoopProgram> program() {
        return Optional.of(SpectrumProgram.forwards(step(), face(), frame().maximumLevel()).reading(image));
    }

    @Override
    List<Line> parts(Pixel result, Complex parts) {
        Frequency at = after().frequency(result);
        List<Line> lines = new ArrayList<>();
        if (WindowText.isShown(image.rows(), image.columns())) {
            lines.addAll(grid("a", "   of a turn", turn -> Run.plain(turn.turn.text()), at));
            lines.addAll(grid("r cos a", "", term -> product(term.r, term.turn.cosine()), at));
            lines.addAll(grid("r sin a", "", term -> product(term.r, term.turn.sine()), at));
        }
        if (image.rows() <= MOST_ROWS && image.count() <= MOST_IN_ROWS) {
            lines.addAll(rowsFirst(at));
        }
        lines.add(arriving(SpectrumFace.REAL, Line.of("real", Run.plain("Σ r cos a" + Decimals.arriving(parts.real()))), parts.real()));
        lines.add(arriving(SpectrumFace.IMAGINARY, Line.of("imaginary", Run.plain("\u2212Σ r sin a" + Decimals.arriving(parts.imaginary()))), parts.imaginary()));
        return lines;
    }

    /** A pixel with the angle by which it is turned. */
    private record Term(Value r, Turn turn) {
    }

    private List<Line> grid(String label, String note, Function<Term, Run> run, Frequency at) {
        List<Term> terms = IntStream.range(0, image.count()).mapToObj(image::pixel).map(pixel -> new Term(image.value(pixel),
                Turn.of(frame(), at, pixel.row(), pixel.column()))).toList();
        return WindowText.grid(label, note, image.columns(), terms, run);
    }

    private static Run product(Value r, Value factor) {
        return Run.plain(r.times(factor).isExact() ? Decimals.working(r.times(factor)) : Decimals.approximate(r.times(factor)));
    }

    private List<Line> rowsFirst(Frequency at) {
        List<Line> lines = new ArrayList<>();
        List<Complex> rows = Sum.rows(image, at);
        Complex sum = Complex.ZERO;
        for (int row = 0; row < rows.size(); row++) {
            Turn turn = Turn.along(at.u(), row, image.rows());
            Complex term = rows.get(row).turnedBack(turn);
            sum = sum.plus(term);
            lines.add(Line.of(row == 0 ? "rows first" : "", Run.plain("row " + row + ": " + rows.get(row).text()), Run.note("   rotated back by " + turn.text() + ": "
                    + term.text() + "   sum " + sum.text())));
        }
        return lines;
    }

    @Override
    void loop(Pixel result, Complex parts, LoopWriter out) {
        Frequency at = after().frequency(result);
        String head = "for each row k and column l of before:";
        String angle = "a ← u × k ÷ H + v × l ÷ W of a turn";
        String real = "real ← real + before[k][l] × cos a";
        String imaginary = "imaginary ← imaginary \u2212 before[k][l] × sin a";
        out.set("real", "0").set("imaginary", "0").line(0, "real ← 0, imaginary ← 0");
        Complex sum = Complex.ZERO;
        for (int n = 0; n < image.count() && image.count() <= MOST_LOOPED; n++) {
            Pixel pixel = image.pixel(n);
            Turn turn = Turn.of(frame(), at, pixel.row(), pixel.column());
            sum = sum.plus(Complex.turnedBack(image.value(pixel), turn));
            out.set("k", String.valueOf(pixel.row())).set("l", String.valueOf(pixel.column())).line(0, head);
            out.set("a", turn.text()).line(1, angle);
            out.set("real", sum.real()).takeCell().line(1, real);
            out.set("imaginary", sum.imaginary()).line(1, imaginary);
        }
        out.mention(0, head).mention(1, angle).mention(1, real).mention(1, imaginary);
        out.set("real", parts.real()).set("imaginary", parts.imaginary());
    }

    /** Of a coefficient every pixel is a source; in a large image none is named. */
    @Override
    public List<Source> sources(Pixel result) {
        return Source.all(image);
    }

    @Override
    public boolean isSpread() {
        return true;
    }

    @Override
    public List<Table> tables() {
        return List.of(Peaks.table(after()));
    }
}
