package pixeron.exercise.quiz;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.Wording;
import pixeron.byhand.table.TableSlips;
import pixeron.chain.Stage;
import pixeron.exercise.Asked;
import pixeron.exercise.Part;
import pixeron.exercise.SlipValues;
import pixeron.exercise.Variant;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Step;

/**
 * A variant of an exercise as a quiz asks it, whatever the format: the image, the steps, and a box for each cell in question.
 *
 * @param variant it asks for
 * @param parts what is asked for, in order
 * @param picture the given image, to be shown above its numbers
 */
record Question(Variant variant, List<Section> parts, Picture picture) {

    /** So many sentences a part has at most. A part with more boxes than that is filled in by a program, and gets none. */
    private static final int MOST_SENTENCES = 20_000;
    private static final int FEWEST_SLIPS = 4;

    /**
     * A part of what is asked.
     *
     * @param number from 1
     * @param part it
     * @param fields its boxes, in reading order
     */
    record Section(int number, Part part, List<Field> fields) {

        String title() {
            return number + ". " + part.title() + " (" + Asked.worth(part.asked().points()) + ")";
        }

        Grid grid() {
            return part instanceof Part.OfCells cells ? Grid.of(cells, fields) : Grid.of((Part.OfTable) part, fields);
        }
    }

    /** A table of given numbers with its title. */
    record Given(String title, Grid grid) {
    }

    static Question of(Variant variant) {
        List<Part> parts = variant.parts();
        OptionalInt decimals = variant.exercise().wish().decimals();
        List<Section> sections = IntStream.range(0, parts.size()).mapToObj(n -> new Section(n + 1, parts.get(n), fields(n + 1, parts.get(n), decimals))).toList();
        return new Question(variant, sections, Picture.of(variant));
    }

    /** Returns a question for each part by itself. */
    List<Question> apart() {
        return parts.stream().map(part -> new Question(variant, List.of(part), picture)).toList();
    }

    Stream<Field> fields() {
        return parts.stream().flatMap(part -> part.fields().stream());
    }

    Rational points() {
        return parts.stream().map(part -> part.part().asked().points()).reduce(Rational.ZERO, Rational::plus);
    }

    private static List<Field> fields(int number, Part part, OptionalInt decimals) {
        List<Field> fields = new ArrayList<>();
        if (part instanceof Part.OfCells cells) {
            SlipValues slips = new SlipValues(part.operation());
            int most = MOST_SENTENCES / cells.pixels().size();
            for (Pixel pixel : cells.pixels()) {
                fields.add(Field.of(id(number, pixel.row(), pixel.column()), part.operation().value(pixel), most < FEWEST_SLIPS ? List.of() : slips.at(pixel, most),
                        pixel.toString(), decimals));
            }
        } else {
            Part.OfTable table = (Part.OfTable) part;
            List<TableSlips.TableWay> ways = TableSlips.ways(table.table(), table.operation());
            for (int row : table.rows()) {
                for (String column : table.columns()) {
                    String place = (table.table().isKeyed() ? table.table().rowName(row) + ", " : "") + table.table().kind().column(column);
                    table.table().value(row, column).ifPresent(value -> fields.add(Field.of(id(number, row, table.columns().indexOf(column)), value,
                            SlipValues.inTable(ways, table.table(), row, column), place, decimals)));
                }
            }
        }
        return fields;
    }

    private static String id(int part, int row, int column) {
        return "P" + part + "R" + row + "C" + column;
    }

    /** Returns the task and the steps, a paragraph each. */
    List<String> task() {
        List<String> paragraphs = new ArrayList<>();
        if (!variant.task().isBlank()) {
            paragraphs.add(variant.task());
        }
        for (Stage stage : variant.chain().stages()) {
            Step step = stage.link().step();
            paragraphs.add("Step " + (stage.position() + 1) + ": " + Variant.words(step) + "  (" + step.line() + ")");
        }
        return paragraphs;
    }

    List<Given> given() {
        return variant.chain().input().faces().stream().map((Result.Face face) -> new Given(variant.title(face), Grid.of(face.image()))).toList();
    }

    /** Returns the sentence for a wrong value that a slip gives. */
    static String feedback(Field field, SlipValues.SlipValue slip) {
        return Wording.capital(field.place()) + ": " + Decimals.table(slip.value()) + " is what you get when " + slip.words() + ".";
    }
}
