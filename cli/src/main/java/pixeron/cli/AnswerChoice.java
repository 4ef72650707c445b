package pixeron.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.answer.Answer;
import pixeron.byhand.answer.AnswerFile;
import pixeron.image.Frame;
import pixeron.number.Decimals;
import pixeron.step.Operation;

/** Which block of a file with values by hand is meant. */
final class AnswerChoice {

    private final Argument<String> block;
    private final Argument<Boolean> isSwapped;

    AnswerChoice(Syntax syntax) {
        block = syntax.option("--block", "CELLS", String.class, "Block of a spreadsheet, if several fit, such as \"Work!B2:I9\".");
        isSwapped = syntax.flag("--swap", "Transpose the values: rows of the file become columns of the result.");
    }

    /**
     * Returns the values of a file.
     *
     * @throws PixeronException if it cannot be read, nothing in it fits or more than one thing does
     */
    Written written(Operation operation, Path file, String tolerance) {
        Written written = read(file, operation.frame());
        return tolerance == null ? written : new Written(written.sheet().withTolerance(Optional.of(Decimals.parse(tolerance))),
                written.otherShape());
    }

    /**
     * Values by hand from a file.
     *
     * @param otherShape rows and columns of the table where they are not those of the result
     */
    record Written(HandSheet sheet, Optional<Frame> otherShape) {
    }

    private Written read(Path file, Frame grid) {
        List<Answer> all = AnswerFile.read(file, grid);
        List<Answer> found = block.isGiven() ? all.stream().filter(answer -> answer.where().equalsIgnoreCase(block.value())).toList() : all;
        if (found.size() != 1) {
            throw PixeronException.of("%s: %s %s. Choose one with --block.", file.getFileName(), found.isEmpty()
                    ? Decimals.shortened(block.value()) + " does not fit. These blocks fit:" : "More than one block fits:",
                    all.stream().map(Answer::where).collect(Collectors.joining(", ")));
        }
        try {
            HandSheet sheet = found.get(0).sheet(grid);
            if (found.get(0).isSwapped() && !isSwapped.value()) {
                throw PixeronException.of("The block fits only when transposed. Add --swap to transpose it.");
            }
            return new Written(isSwapped.value() && !found.get(0).isSwapped() ? sheet.swapped() : sheet, found.get(0).otherShape());
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s: %s", file.getFileName(), problem.getMessage());
        }
    }
}
