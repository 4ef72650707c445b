package pixeron.exercise.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import pixeron.PixeronException;
import pixeron.exercise.Asked;
import pixeron.exercise.Choice;
import pixeron.exercise.Exercise;
import pixeron.exercise.GivenImage;
import pixeron.exercise.Wish;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.project.Fields;
import pixeron.project.JsonFile;
import pixeron.project.SampleText;
import pixeron.step.StepType;

/** The exercise as one readable JSON file. */
public final class ExerciseFile {

    /** The ending of an exercise's file name. */
    public static final String ENDING = ".pixeron-exercise.json";

    private static final int VERSION = 1;
    private static final String VERSION_FIELD = "pixeronExercise";
    private static final String WISH = "wish";
    private static final String CELLS = "cells";
    private static final String TABLE = "table";
    private static final String PIXEL = "pixel";
    private static final String CONSTANTS = "constants";
    private static final String COMPONENT = "component";
    /** The name of the field in earlier versions, which is still written beside the other. */
    private static final String FACE = "face";
    private static final String AREA = "area";
    private static final String ALL = "all";

    private ExerciseFile() {
    }

    /**
     * Writes an exercise.
     *
     * @param file is replaced as a whole, or stays as it is
     * @throws PixeronException if it cannot be written
     */
    public static void write(Path file, Exercise exercise) {
        JsonFile.write(file, json(exercise));
    }

    /**
     * Returns what it holds.
     *
     * @param file an exercise
     * @throws PixeronException if it cannot be read, is damaged, or was written by a newer version; names the field
     */
    public static Exercise read(Path file) {
        return JsonFile.read(file, ExerciseFile::exercise);
    }

    private static ObjectNode json(Exercise exercise) {
        ObjectNode root = JsonFile.object().put(VERSION_FIELD, VERSION).put("title", exercise.title()).put("task", exercise.task());
        ObjectNode image = root.putObject("image");
        if (exercise.image() instanceof GivenImage.Made made) {
            image.put("line", made.line());
        } else {
            SampleText.write(((GivenImage.Samples) exercise.image()).image(), image);
        }
        ArrayNode steps = root.putArray("steps");
        exercise.steps().forEach(steps::add);
        ObjectNode choices = root.putObject("choices");
        exercise.choices().forEach(choice -> write(choice, choices));
        ArrayNode asked = root.putArray("asked");
        exercise.asked().forEach(part -> write(part, asked.addObject()));
        if (exercise.wish().isAny()) {
            ObjectNode wish = root.putObject(WISH);
            if (exercise.wish().isWithoutTies()) {
                wish.put("noTies", true);
            }
            exercise.wish().decimals().ifPresent(most -> wish.put("decimals", most));
            if (exercise.wish().clipped() > 0) {
                wish.put("clipped", exercise.wish().clipped());
            }
        }
        return root.put("seed", exercise.seed());
    }

    private static void write(Choice choice, ObjectNode choices) {
        if (choice instanceof Choice.OfList list) {
            ArrayNode values = choices.putArray(choice.name());
            list.values().forEach(values::add);
        } else {
            Choice.OfRange range = (Choice.OfRange) choice;
            choices.putObject(choice.name()).put("from", Decimals.print(range.from())).put("to", Decimals.print(range.to()))
                    .put("step", Decimals.print(range.step()));
        }
    }

    private static void write(Asked part, ObjectNode node) {
        node.put("step", part.step());
        if (!part.face().equals(Image.VALUE)) {
            node.put(COMPONENT, part.face()).put(FACE, part.face());
        }
        Asked.What what = part.what();
        if (what instanceof Asked.All) {
            node.put(CELLS, ALL);
        } else if (what instanceof Asked.Part rectangle) {
            node.put(AREA, rectangle.area().toString());
        } else if (what instanceof Asked.Some some) {
            ArrayNode cells = node.putArray(CELLS);
            some.pixels().forEach(pixel -> cells.add(place(pixel)));
        } else if (what instanceof Asked.Column column) {
            node.put(TABLE, column.table()).put("column", column.column());
        } else if (what instanceof Asked.OnTheWay way) {
            node.put(PIXEL, place(way.pixel()));
        } else {
            node.put(CONSTANTS, true);
        }
        node.put("points", Decimals.print(part.points()));
    }

    private static String place(Pixel pixel) {
        return pixel.row() + "," + pixel.column();
    }

    private static Exercise exercise(JsonNode root) {
        JsonFile.requireVersion(root, VERSION_FIELD, VERSION, "exercise");
        Fields fields = new Fields("exercise", root);
        Fields image = fields.object("image");
        GivenImage given = image.has("line") ? new GivenImage.Made(image.text("line")) : new GivenImage.Samples(SampleText.read(image));
        List<Choice> choices = fields.find("choices").map(ExerciseFile::choices).orElse(List.of());
        List<Asked> asked = new ArrayList<>();
        for (Fields part : fields.objects("asked")) {
            asked.add(asked(part));
        }
        return new Exercise(fields.text("title"), fields.findText("task").orElse(""), given, fields.texts("steps"), choices, asked,
                fields.find(WISH).map(ExerciseFile::wish).orElse(Wish.NONE), fields.longNumber("seed"));
    }

    private static List<Choice> choices(Fields fields) {
        List<Choice> choices = new ArrayList<>();
        for (String name : fields.names()) {
            if (fields.isList(name)) {
                choices.add(new Choice.OfList(name, fields.scalars(name)));
            } else {
                Fields range = fields.object(name);
                choices.add(new Choice.OfRange(name, number(range, "from"), number(range, "to"), range.has("step") ? number(range, "step") : Rational.ONE));
            }
        }
        return choices;
    }

    private static Rational number(Fields fields, String field) {
        String written = fields.scalar(field);
        try {
            return Decimals.parse(written);
        } catch (PixeronException notANumber) {
            throw fields.problem(field, "is not a number but \"" + Decimals.shortened(written) + "\"");
        }
    }

    private static Wish wish(Fields fields) {
        fields.names().stream().filter(name -> !List.of("noTies", "decimals", "clipped").contains(name)).findFirst().ifPresent(name -> {
            throw fields.problem(name, "is not a constraint. Use noTies, decimals and clipped");
        });
        return new Wish(fields.has("noTies") && fields.flag("noTies"), fields.has("decimals") ? OptionalInt.of(fields.number("decimals"))
                : OptionalInt.empty(), fields.has("clipped") ? fields.number("clipped") : 0);
    }

    private static Asked asked(Fields part) {
        List<String> kinds = List.of(CELLS, AREA, TABLE, PIXEL, CONSTANTS).stream().filter(part::has).toList();
        if (kinds.size() != 1) {
            throw part.problem(CELLS, "or area, table, pixel or constants: use exactly one of them");
        }
        Asked.What what = switch (kinds.get(0)) {
            case CELLS -> part.isText(CELLS) && part.text(CELLS).equals(ALL) ? new Asked.All() : new Asked.Some(part.texts(CELLS).stream()
                    .map(place -> pixel(part, CELLS, place)).toList());
            case AREA -> new Asked.Part(part.read(AREA, StepType.AREA::parse));
            case TABLE -> new Asked.Column(part.text(TABLE), part.text("column"));
            case PIXEL -> new Asked.OnTheWay(pixel(part, PIXEL, part.text(PIXEL)));
            default -> new Asked.Constants();
        };
        return new Asked(part.number("step"), part.findText(COMPONENT).or(() -> part.findText(FACE)).orElse(Image.VALUE), what,
                part.has("points") ? number(part, "points") : Rational.ONE);
    }

    private static Pixel pixel(Fields part, String field, String place) {
        if (!place.matches("\\d{1,9},\\d{1,9}")) {
            throw part.problem(field, "has the place \"" + Decimals.shortened(place) + "\". Use the form \"row,column\"");
        }
        String[] numbers = place.split(",");
        return new Pixel(Integer.parseInt(numbers[0]), Integer.parseInt(numbers[1]));
    }
}
