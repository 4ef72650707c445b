package pixeron.exercise;

import java.util.List;
import java.util.stream.Collectors;
import pixeron.exercise.answer.AnswerTable;
import pixeron.format.CellTable;
import pixeron.project.Project;

/** A filled-in table as text and back. */
final class AnswerTableTrip {

    private AnswerTableTrip() {
    }

    static Project read(List<List<String>> rows, Variant variant) {
        return AnswerTable.read(CellTable.parse(rows.stream().map(row -> row.stream().map(cell -> "\"" + cell + "\"").collect(Collectors.joining(",")))
                .collect(Collectors.joining("\n"))), variant);
    }
}
