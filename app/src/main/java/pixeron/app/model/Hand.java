package pixeron.app.model;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import pixeron.byhand.Check;
import pixeron.byhand.ComplexCells;
import pixeron.byhand.HandSheet;
import pixeron.byhand.HandValue;
import pixeron.byhand.Verdict;
import pixeron.byhand.color.ColorCells;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.table.HandTable;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.SpectrumFace;
import pixeron.look.PackedPixel;
import pixeron.project.Project;
import pixeron.step.Explained;

/** The user's values by hand for the selected step: where what is written goes, and which differ. */
public final class Hand {

    private final Bench bench;
    private final Commas commas = new Commas();

    Hand(Bench bench) {
        this.bench = bench;
    }

    /** Returns how commas in numbers are meant. */
    public Commas commas() {
        return commas;
    }

    /** Applies the user's choice for the comma in numbers such as 1,234 to the values of the selected step. */
    public void sayCommas(Commas.Reading answer) {
        commas.say(answer);
        Target target = target();
        if (answer == Commas.Reading.GROUPS) {
            target.position(bench.project()).filter(at -> at >= 0).ifPresent(at -> bench.edit(project -> project.withByHand(at, target.face(), written -> {
                var changed = written.withSheet(sheet -> commas.read(HandSheet.EMPTY, sheet));
                for (String table : written.tables().keySet()) {
                    changed = changed.withTable(table, hand -> commas.read(HandTable.EMPTY, hand));
                }
                return changed;
            })));
        }
    }

    /** Returns what an edit that is begun now belongs to, wherever the selection moves until it is written. */
    public Target target() {
        Optional<Seen> after = bench.shown() == null ? Optional.empty() : bench.shown().seenAfter();
        return bench.position() < 0 ? new Target(0, Image.VALUE, Optional.empty()) : new Target(bench.project().chain().stage(bench.position()).link().id(),
                after.map(seen -> seen.name(bench.looking().channelProperty().get())).orElse(Image.VALUE),
                after.filter(seen -> seen.hasColor() && bench.looking().isWhole()).map(seen -> ColorCells.of(seen.result())));
    }

    /** Returns whether what comes of the selected step is looked at as pixels with all their channels. */
    public boolean isWhole() {
        return bench.shown() != null && bench.shown().whole().isPresent() && bench.looking().isWhole();
    }

    /** Returns the findings about the values: of all channels where they are looked at together, as places beside each other. */
    public Check check() {
        return isWhole() ? whole().check() : bench.shown().check();
    }

    /** Returns what explains those that differ. */
    public Findings found() {
        return isWhole() ? whole().found() : bench.shown().found();
    }

    private Whole whole() {
        return bench.shown().whole().orElseThrow();
    }

    /** Changes the values by hand of the selected step, of the channel that is looked at. */
    public void edit(UnaryOperator<HandSheet> change) {
        edit(target(), change);
    }

    /** Changes the values by hand of the face that an edit was begun in; nothing where its step is gone meanwhile. */
    public void edit(Target target, UnaryOperator<HandSheet> change) {
        edit(target, Map.of(target.face(), change));
    }

    /** Changes the values by hand of several faces of a step as one; nothing where it is gone meanwhile. */
    public void edit(Target target, Map<String, UnaryOperator<HandSheet>> changes) {
        target.position(bench.project()).filter(at -> at >= 0).ifPresent(at -> bench.edit(project -> {
            Project changed = project;
            for (var change : changes.entrySet()) {
                changed = changed.withByHand(at, change.getKey(), written -> written.withSheet(sheet -> commas.read(sheet, change.getValue().apply(sheet))));
            }
            return changed;
        }));
    }

    /**
     * Puts a whole sheet in the place of what was written for a face; of a spectrum cells with both parts of a coefficient go to the sheets of
     * those.
     */
    public void take(Target target, HandSheet sheet) {
        Map<String, UnaryOperator<HandSheet>> changes = new LinkedHashMap<>();
        Map<String, HandSheet> apart = SpectrumFace.named(target.face()).map(face -> ComplexCells.apart(sheet, target.face())).orElse(Map.of(target.face(), sheet));
        changes.put(target.face(), old -> apart.getOrDefault(target.face(), HandSheet.EMPTY).withTolerance(old.tolerance()));
        apart.forEach((face, part) -> changes.putIfAbsent(face, old -> {
            Map<Pixel, String> texts = new HashMap<>();
            part.cells().forEach((pixel, value) -> texts.put(pixel, value.text()));
            return old.with(texts);
        }));
        edit(target, changes);
    }

    /**
     * Writes a value by hand: for one face, or for all channels of a pixel where those are looked at together.
     *
     * @param text a number or an expression; a packed value or a number for each channel; empty clears the cell
     * @throws pixeron.PixeronException if it is packed, and the channels have no eight bits
     */
    public void write(Target target, Pixel pixel, String text) {
        Map<String, Map<Pixel, String>> texts = new LinkedHashMap<>();
        if (text.isBlank()) {
            target.whole().map(ColorCells::faces).orElse(List.of(target.face())).forEach(face -> texts.put(face, Map.of(pixel, "")));
        } else {
            values(target, text).forEach((face, value) -> texts.put(face, Map.of(pixel, value)));
        }
        write(target, texts);
    }

    /**
     * Writes a block of cells as {@link #write} does each of them; blank cells leave what is there.
     *
     * @param corner where the first of them goes
     * @throws pixeron.PixeronException if one is packed, and the channels have no eight bits
     */
    public void writeBlock(Target target, Pixel corner, List<List<String>> written) {
        boolean isOneColumn = bench.shown() != null && bench.shown().grid().columns() == 1;
        List<List<String>> rows = isOneColumn ? target.whole().map(cells -> cells.inOneColumn(written)).orElse(written) : written;
        Map<String, Map<Pixel, String>> texts = new LinkedHashMap<>();
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.get(i).size(); j++) {
                Pixel pixel = new Pixel(corner.row() + i, corner.column() + j);
                String text = rows.get(i).get(j).strip();
                if (!text.isEmpty()) {
                    values(target, text).forEach((face, value) -> texts.computeIfAbsent(face, name -> new HashMap<>()).put(pixel, value));
                }
            }
        }
        write(target, texts);
    }

    /** Returns what a text says of each channel, or of both parts of a coefficient; a single number or expression is of the face that is looked at. */
    private static Map<String, String> values(Target target, String text) {
        Optional<Map<String, String>> parts = SpectrumFace.named(target.face()).flatMap(face -> ComplexCells.find(text)).map(found -> {
            Map<String, String> texts = new LinkedHashMap<>();
            found.forEach((part, value) -> texts.put(part.word(), value));
            return texts;
        });
        return target.whole().flatMap(cells -> cells.find(text)).or(() -> parts).orElse(Map.of(target.face(), text));
    }

    private void write(Target target, Map<String, Map<Pixel, String>> texts) {
        Map<String, UnaryOperator<HandSheet>> changes = new LinkedHashMap<>();
        texts.forEach((face, cells) -> changes.put(face, sheet -> sheet.with(cells)));
        edit(target, changes);
    }

    /** Changes the values by hand in a table of the step that an edit was begun in; nothing where it is gone meanwhile. */
    public void editTable(Target target, String table, UnaryOperator<HandTable> change) {
        target.position(bench.project()).filter(at -> at >= 0).ifPresent(at -> bench.edit(project -> project.withByHand(at, target.face(), written ->
                written.withTable(table, hand -> commas.read(hand, change.apply(hand))))));
    }

    /** Picks the next pixel in reading order with a value that differs, if there is one; of any channel where all are looked at. */
    public Optional<Pixel> pickNextDifference() {
        Optional<Pixel> next = bench.shown() == null ? Optional.empty() : differing().filter(pixel -> pixel.compareTo(bench.pickedProperty().get()) > 0)
                .findFirst().or(() -> differing().findFirst());
        next.ifPresent(bench::pick);
        return next;
    }

    private Stream<Pixel> differing() {
        return check().cells().stream().filter(cell -> cell.state() != Verdict.AGREES)
                .map(cell -> isWhole() ? whole().faces().pixel(cell.pixel()) : cell.pixel()).distinct().sorted();
    }

    /** Returns what is in a cell of the selected step, nothing where the image itself is selected: for all channels a number each, or the packed value where those are seen. */
    public String text(Pixel pixel) {
        Target target = target();
        if (target.whole().isEmpty()) {
            return text(target.face(), pixel);
        }
        List<String> colors = target.whole().get().faces();
        List<String> texts = colors.stream().map(face -> text(face, pixel)).toList();
        boolean isOpaque = texts.size() < 4 || texts.get(3).isEmpty();
        List<String> written = isOpaque ? texts.subList(0, 3) : texts;
        Optional<PackedPixel> packed = bench.looking().display().cells() == Display.Cells.PACKED ? PackedPixel.parse(written) : Optional.empty();
        return packed.map(PackedPixel::hexadecimal).orElseGet(() -> written.stream().noneMatch(String::isEmpty) ? String.join(" ", written)
                : text(target.face(), pixel));
    }

    private String text(String face, Pixel pixel) {
        // While a result is on its way, what is shown may still be that of a step that is gone.
        if (bench.position() < 0) {
            return "";
        }
        HandValue value = bench.project().byHand(bench.position(), face).sheet().cells().get(pixel);
        return value == null ? "" : value.text();
    }

    /** Returns whether what would be written at a pixel is right, in all channels that it says something of. */
    boolean agrees(Pixel pixel, String text) {
        Shown shown = bench.shown();
        Target target = target();
        return values(target, text).entrySet().stream().allMatch(value -> {
            Explained right = isWhole() ? whole().faces().bound().face(value.getKey()).orElseThrow()
                    : shown.operation(value.getKey()).orElseThrow();
            HandSheet sheet = HandSheet.EMPTY.withTolerance(shown.sheet().tolerance()).with(pixel, value.getValue());
            return Check.of(sheet, right).cells().get(0).state() == Verdict.AGREES;
        });
    }
}
