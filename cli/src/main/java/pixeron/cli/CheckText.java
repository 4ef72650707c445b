package pixeron.cli;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.Verdict;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.parts.WrongPart;
import pixeron.byhand.slip.SlipTitles;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.Operation;
import pixeron.working.Table;

/** A check as lines for people. */
final class CheckText {

    private CheckText() {
    }

    /** @param part says which part of an expression is wrong */
    static String of(Check check, Findings found, Function<CellCheck, Optional<String>> part) {
        return of(check, found, part, Pixel::toString);
    }

    /** A check of all faces of a color image. */
    static String of(Check check, Findings found, Abreast faces) {
        return of(check, found, cell -> Optional.empty(), place -> faces.face(place) + ", " + faces.pixel(place));
    }

    private static String of(Check check, Findings found, Function<CellCheck, Optional<String>> part, Function<Pixel, String> place) {
        StringBuilder text = new StringBuilder();
        text.append(String.format("%d filled · %d agree · %d differ%n",
                check.filled(), check.agree(), check.differing().size()));
        for (CellCheck cell : check.differing()) {
            text.append(String.format("  %s: you wrote %s; the correct value is %s (%s%s)%n", place.apply(cell.pixel()), cell.byHand().text(),
                    Decimals.working(cell.value()), Decimals.signed(cell.difference().orElseThrow()),
                    cell.state() == Verdict.NOT_ROUNDED ? ", correct before rounding and overflow" : ""));
            part.apply(cell).ifPresent(words -> text.append(String.format("    %s%n", words)));
        }
        found.slips().forEach(slip -> text.append(String.format("%s: %s%s%n", SlipTitles.of(slip.ids()), slip.text(),
                slip.certainty().words().isEmpty() ? "" : " " + slip.certainty().words())));
        if (!found.wrong().isEmpty()) {
            text.append(found.slips().isEmpty() ? String.format("No known slip explains the difference.%n")
                    : String.format("No known slip explains these cells: %s%n", found.wrong().stream()
                            .map(cell -> place.apply(cell.pixel()) + " is " + cell.distance()).collect(Collectors.joining("; "))));
        }
        return text.toString();
    }

    /** Returns a line on a table of another shape than the result; nothing where it is the same. */
    static String shape(Optional<Frame> written, Frame right) {
        return written.map(shape -> String.format("The table has %s cells, the result has %s. Only cells in both are compared.%n",
                shape.size(), right.size())).orElse("");
    }

    /** Returns which part of an expression for a step is wrong. */
    static Function<CellCheck, Optional<String>> parts(Operation operation) {
        return cell -> WrongPart.of(cell.byHand(), operation, cell.pixel());
    }

    static String of(TableCheck check, Table table, List<TableSlip> slips) {
        StringBuilder text = new StringBuilder();
        text.append(String.format("%d filled · %d agree · %d differ · %d follow from those%n", check.cells().size(),
                check.count(Verdict.AGREES), check.count(Verdict.DIFFERS),
                check.count(Verdict.FOLLOWS)));
        for (TableCheck.Cell cell : check.cells()) {
            if (cell.isWrong()) {
                text.append(String.format("  row %s, %s: you wrote %s; the correct value is %s (%s)%s%n", table.key(cell.row()),
                        cell.column(), cell.byHand().text(), Decimals.working(cell.value()),
                        Decimals.signed(cell.difference().orElseThrow()), cell.state() == Verdict.FOLLOWS
                                ? ", correct given your earlier cells" : ""));
            }
        }
        slips.forEach(slip -> text.append(String.format("%s, %s: %s%n", SlipTitles.of(slip.id()), slip.column(), slip.text())));
        return text.toString();
    }
}
