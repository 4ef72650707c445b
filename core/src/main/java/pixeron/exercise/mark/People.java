package pixeron.exercise.mark;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.exercise.Code;
import pixeron.format.CellTable;

/**
 * The people of a class as a list: who should have handed something in.
 *
 * @param all in the order of the list
 */
public record People(List<Person> all) {

    private static final List<String> HEADS = List.of("id", "name", "code");

    /**
     * A user on the list.
     *
     * @param id by which a grade book knows the user; empty where the list has none
     * @param name of the user; empty where the list has none
     * @param code of the sheet that the user got; empty where the list does not say it
     */
    public record Person(String id, String name, Optional<Code> code) {

        /** By the code where both have one, else by the name, or by an identifier that is in the place of a name. */
        boolean handedIn(Marked answer) {
            if (code.isPresent() && answer.code().isPresent()) {
                return code.equals(answer.code());
            }
            String said = alike(answer.name());
            return !said.isEmpty() && (said.equals(alike(name)) || said.equals(alike(id)));
        }

        private static String alike(String words) {
            return words.toLowerCase(Locale.ROOT).strip().replaceAll("\\s+", " ");
        }
    }

    public People {
        all = List.copyOf(all);
    }

    /**
     * Reads a class list.
     *
     * @param file a table whose first row names its columns, of which id, name and code are read
     * @throws PixeronException if it cannot be read or names none of them
     */
    public static People read(Path file) {
        List<List<String>> rows = CellTable.readPlain(file).trimmed().rows();
        List<String> head = rows.isEmpty() ? List.of() : rows.get(0).stream().map(word -> word.toLowerCase(Locale.ROOT)).toList();
        if (head.stream().noneMatch(HEADS::contains)) {
            throw PixeronException.of("%s: The first row must name the columns. Use id, name or code.", file.getFileName());
        }
        List<Person> all = new ArrayList<>();
        for (List<String> row : rows.subList(1, rows.size())) {
            String code = cell(row, head.indexOf("code"));
            Person person = new Person(cell(row, head.indexOf("id")), cell(row, head.indexOf("name")), Code.all(code).stream().findFirst());
            if (!code.isEmpty() && person.code().isEmpty()) {
                throw PixeronException.of("%s: “%s” is not a valid code. Use the form K3F7-012.", file.getFileName(), code);
            } else if (!person.id().isEmpty() || !person.name().isEmpty() || person.code().isPresent()) {
                all.add(person);
            }
        }
        return new People(all);
    }

    private static String cell(List<String> row, int column) {
        return column < 0 || column >= row.size() ? "" : row.get(column);
    }
}
