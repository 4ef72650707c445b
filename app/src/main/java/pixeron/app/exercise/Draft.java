package pixeron.app.exercise;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.work.ByHand;
import pixeron.chain.Link;
import pixeron.chain.Stage;
import pixeron.exercise.Asked;
import pixeron.exercise.Choice;
import pixeron.exercise.Exercise;
import pixeron.exercise.GivenImage;
import pixeron.exercise.Wish;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.project.Project;
import pixeron.step.Bound;
import pixeron.step.Progress;
import pixeron.step.StepType;
import pixeron.step.pointwise.PointStep;
import pixeron.step.table.PixelTable;

/**
 * An exercise as it is being set: fields as they are typed. Immutable.
 *
 * @param title as it is typed
 * @param task likewise
 * @param samples the image that everybody gets where no line makes one
 * @param line of a new image for each variant; blank where everybody gets the same
 * @param steps their lines
 * @param choices name and values
 * @param asked what is to be filled in
 * @param wish what keeps it fit for paper: ties, decimals, clipped, as they are typed
 * @param seed of all draws
 */
record Draft(String title, String task, Result samples, String line, List<String> steps, List<Named> choices, List<Question> asked, Wishes wish, String seed) {

    private static final Pattern NAME = Pattern.compile("\\{([a-z][a-z0-9]{0,19})\\}");

    /** A choice: its name, and its values as they are typed. */
    record Named(String name, String values) {
    }

    /** What can be asked for. */
    enum Kind {
        ALL("all of the result"), CELLS("cells of the result"), COLUMN("a column of a table"), CONSTANTS("constants"), ON_THE_WAY("intermediate values");

        private final String title;

        Kind(String title) {
            this.title = title;
        }

        String title() {
            return title;
        }
    }

    /**
     * What is asked for.
     *
     * @param step from 1
     * @param kind of it
     * @param detail cells such as {@code 0,0 1,2}, a rectangle such as {@code 0 0 3 3}, a table and its column, or a pixel
     * @param face of the result; blank for the only one
     * @param points as they are typed
     */
    record Question(int step, Kind kind, String detail, String face, String points) {

        Asked asked() {
            Rational worth = Decimals.parse(points.isBlank() ? "1" : points.strip());
            String[] words = detail.strip().split("\\s+");
            Asked.What what = switch (kind) {
                case ALL -> new Asked.All();
                case CONSTANTS -> new Asked.Constants();
                case ON_THE_WAY -> new Asked.OnTheWay(pixel(detail.strip()));
                case COLUMN -> new Asked.Column(words[0], words.length > 1 ? words[1] : "");
                case CELLS -> detail.contains(",") ? new Asked.Some(Stream.of(words).map(Question::pixel).toList()) : new Asked.Part(StepType.AREA.parse(detail));
            };
            return new Asked(step, face.isBlank() ? Image.VALUE : face.strip(), what, worth);
        }

        private static Pixel pixel(String text) {
            if (!text.matches("\\d{1,9},\\d{1,9}")) {
                throw PixeronException.of("“%s” is not a valid cell. Use row,column, such as 0,2.", Decimals.shortened(text));
            }
            String[] both = text.split(",");
            return new Pixel(Integer.parseInt(both[0]), Integer.parseInt(both[1]));
        }

        static Question of(Asked asked) {
            Asked.What what = asked.what();
            String face = asked.face().equals(Image.VALUE) ? "" : asked.face();
            String points = Decimals.print(asked.points());
            if (what instanceof Asked.Some some) {
                return new Question(asked.step(), Kind.CELLS, String.join(" ", some.pixels().stream().map(Question::place).toList()), face, points);
            } else if (what instanceof Asked.Part part) {
                return new Question(asked.step(), Kind.CELLS, part.area().toString(), face, points);
            } else if (what instanceof Asked.Column column) {
                return new Question(asked.step(), Kind.COLUMN, column.table() + " " + column.column(), face, points);
            } else if (what instanceof Asked.OnTheWay way) {
                return new Question(asked.step(), Kind.ON_THE_WAY, place(way.pixel()), face, points);
            }
            return new Question(asked.step(), what instanceof Asked.All ? Kind.ALL : Kind.CONSTANTS, "", face, points);
        }

        private static String place(Pixel pixel) {
            return pixel.row() + "," + pixel.column();
        }
    }

    /** Wishes as they are typed. */
    record Wishes(boolean isWithoutTies, String decimals, String clipped) {

        Wish wish() {
            return new Wish(isWithoutTies, decimals.isBlank() ? OptionalInt.empty() : OptionalInt.of(whole(decimals)), clipped.isBlank() ? 0 : whole(clipped));
        }

        private static int whole(String text) {
            if (!text.strip().matches("\\d{1,6}")) {
                throw PixeronException.of("“%s” is not a whole number of at least 0.", Decimals.shortened(text));
            }
            return Integer.parseInt(text.strip());
        }
    }

    Draft {
        steps = List.copyOf(steps);
        choices = List.copyOf(choices);
        asked = List.copyOf(asked);
    }

    /** Returns the exercise as it is in its file, to be changed. */
    static Draft of(Exercise exercise, Result instead) {
        boolean isMade = exercise.image() instanceof GivenImage.Made;
        return new Draft(exercise.title(), exercise.task(), isMade ? instead : ((GivenImage.Samples) exercise.image()).image(),
                isMade ? ((GivenImage.Made) exercise.image()).line() : "", exercise.steps(), exercise.choices().stream().map(choice ->
                        new Named(choice.name(), choice.text())).toList(), exercise.asked().stream().map(Question::of).toList(), new Wishes(exercise.wish().isWithoutTies(),
                                exercise.wish().decimals().isPresent() ? String.valueOf(exercise.wish().decimals().getAsInt()) : "",
                                exercise.wish().clipped() > 0 ? String.valueOf(exercise.wish().clipped()) : ""), String.valueOf(exercise.seed()));
    }

    /**
     * What is on the bench as an exercise: its image and its steps, and asked for is what has values by hand; where nothing has, the last result.
     *
     * @param seed of the draws
     */
    static Draft of(Project project, long seed) {
        List<Question> asked = new ArrayList<>();
        for (Stage stage : project.chain().stages()) {
            for (String face : stage.bound(Progress.NONE).map(Bound::faces).orElse(List.of())) {
                add(asked, stage, face, project.byHand(stage.position(), face));
            }
        }
        int last = project.chain().size();
        if (asked.isEmpty() && last > 0) {
            asked.add(new Question(last, Kind.ALL, "", "", String.valueOf(Math.min(10, project.chain().input().frame().count()))));
        }
        return new Draft(project.name(), "", project.chain().input(), "", project.chain().links().stream().filter(Link::isOn).map(link -> link.step().line()).toList(),
                List.of(), asked, new Wishes(false, "", ""), String.valueOf(seed));
    }

    private static void add(List<Question> asked, Stage stage, String name, ByHand byHand) {
        int step = stage.position() + 1;
        String face = name.equals(Image.VALUE) ? "" : name;
        for (Map.Entry<String, HandTable> table : new TreeMap<>(byHand.tables()).entrySet()) {
            if (PixelTable.pixel(table.getKey()).isPresent()) {
                Pixel pixel = PixelTable.pixel(table.getKey()).get();
                asked.add(new Question(step, Kind.ON_THE_WAY, Question.place(pixel), face, "2"));
            } else if (table.getKey().equals(PointStep.CONSTANTS.name())) {
                asked.add(new Question(step, Kind.CONSTANTS, "", face, "2"));
            } else {
                table.getValue().cells().keySet().stream().map(HandTable.Place::column).distinct().sorted().forEach(column -> asked.add(
                        new Question(step, Kind.COLUMN, table.getKey() + " " + column, face, "8")));
            }
        }
        HandSheet sheet = byHand.sheet();
        int cells = stage.bound(Progress.NONE).map(bound -> bound.frame().count()).orElse(0);
        if (2 * sheet.cells().size() > cells) {
            asked.add(new Question(step, Kind.ALL, "", face, String.valueOf(Math.min(10, cells))));
        } else if (!sheet.isEmpty()) {
            asked.add(new Question(step, Kind.CELLS, String.join(" ", sheet.cells().keySet().stream().map(Question::place).toList()), face,
                    String.valueOf(sheet.cells().size())));
        }
    }

    /** Returns names in braces that have no choice yet. */
    List<String> missing() {
        Set<String> names = new LinkedHashSet<>();
        Stream.concat(Stream.of(line), steps.stream()).forEach(text -> NAME.matcher(text).results().forEach(found -> names.add(found.group(1))));
        choices.forEach(choice -> names.remove(choice.name()));
        names.remove(Choice.VARIANT);
        return List.copyOf(names);
    }

    /**
     * Returns the exercise.
     *
     * @throws PixeronException if something is missing or not understood; says what
     */
    Exercise exercise() {
        if (!seed.strip().matches("-?\\d{1,18}")) {
            throw PixeronException.of("The seed “%s” is not a whole number.", Decimals.shortened(seed));
        }
        List<String> written = steps.stream().filter(step -> !step.isBlank()).toList();
        return new Exercise(title.strip(), task.strip(), line.isBlank() ? new GivenImage.Samples(samples) : new GivenImage.Made(line.strip()), written,
                choices.stream().filter(choice -> !choice.name().isBlank() || !choice.values().isBlank()).map(choice -> Choice.parse(choice.name().strip(), choice.values()))
                        .toList(), asked.stream().map(Question::asked).toList(), wish.wish(), Long.parseLong(seed.strip()));
    }
}
