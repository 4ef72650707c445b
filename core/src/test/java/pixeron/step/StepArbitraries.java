package pixeron.step;

import java.util.List;
import java.util.Random;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.catalog.Catalog;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.ListParameter;
import pixeron.step.key.MaskParameter;
import pixeron.step.key.MatrixParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.PairsParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;
import pixeron.step.key.TextParameter;

/** Random steps of every kind in the catalog, and random images; a new step is covered without a word here. */
public final class StepArbitraries {

    private static final int LARGEST = 4096;
    private static final int[] MAXIMA = {1, 3, 7, 10, 255, 1000, 65535};

    private static final String[] FORMULAS = {"M - r", "(r - min) / (1 + max - min) * M", "if(i > j, r, mean)",
        "r^2 / M", "sqrt(abs(r)) + x * H", "round(r / 3) * 3 + N - W * H", "L - mod(r + y, 2)"};

    private StepArbitraries() {
    }

    /** Returns a small image with one of many maxima; every third is an open one. */
    public static Image image(Random random) {
        int maximum = MAXIMA[random.nextInt(MAXIMA.length)];
        int rows = 1 + random.nextInt(6);
        int columns = 1 + random.nextInt(6);
        if (random.nextInt(3) > 0) {
            return Image.ofLevels(rows, columns, maximum, n -> random.nextInt(maximum + 1));
        }
        Value[] values = new Value[rows * columns];
        java.util.Arrays.setAll(values, n -> Rational.of(random.nextInt(4 * maximum) - maximum, 1 + random.nextInt(7)));
        return Image.from(rows, columns, maximum, values);
    }

    /** Returns a step of a random kind with random arguments that are allowed for the image. */
    public static Step step(Random random, Image image) {
        while (true) {
            StepType type = Catalog.all().get(random.nextInt(Catalog.all().size()));
            try {
                Arguments arguments = Arguments.NONE;
                for (Parameter<?> parameter : type.parameters()) {
                    if (parameter.isRequired() || random.nextBoolean()) {
                        arguments = with(arguments, parameter, random, image);
                    }
                }
                Step step = new Step(type, arguments);
                // What is hundreds of times larger, by a scale of 402 or a pad of 60,000 rows, would only take minutes.
                Frame frame = step.bind(image).frame();
                if ((long) frame.rows() * frame.columns() <= LARGEST) {
                    // Some formulas have no value for some samples.
                    step.bind(image).result(Progress.NONE);
                    return step;
                }
            } catch (PixeronException notAllowed) {
                // Arguments that exclude each other: try others.
            }
        }
    }

    private static <T> Arguments with(Arguments arguments, Parameter<T> parameter, Random random, Image image) {
        return arguments.with(parameter, parameter.parse(text(parameter, random, image)));
    }

    private static String text(Parameter<?> parameter, Random random, Image image) {
        if (parameter instanceof NumberParameter number) {
            if (number.key().equals("size")) {
                // Larger than most of these images; windows of a thousand cells across would only take time.
                return String.valueOf(1 + random.nextInt(8));
            }
            if (Set.of("row", "column", "height", "width", "down", "right").contains(number.key())) {
                return String.valueOf(random.nextInt(4));
            }
            return number.takesMaximum() && random.nextInt(4) == 0 ? "M"
                    : number.word().isPresent() && random.nextInt(3) == 0 ? number.word().get().word()
                    : random.nextInt(3) == 0 ? String.valueOf(random.nextInt(9) - 2) : number(random,
                            image.maximumLevel());
        } else if (parameter instanceof ListParameter list) {
            if (list.key().equals("anchor")) {
                return "0 0";
            }
            if (list.key().equals("counts")) {
                // One for each level; the step refuses any other number of them.
                return "3 0 1 ".repeat(86).substring(0, 2 * Math.min(256, image.maximumLevel() + 1) - 1);
            }
            // Two rising cuts, three values: the lengths that belong together.
            return list.key().equals("cuts") ? "1/3 5" : "0 2.5 " + random.nextInt(9);
        } else if (parameter.key().equals("shape")) {
            return List.of("1", "0 1 0 | 1 1 1 | 0 1 0", "1 1 1 | 1 1 1", "1 0 0 0 0 0 1", "0 1 | 0 0 | 1 1").get(random.nextInt(5));
        } else if (parameter instanceof MatrixParameter) {
            return List.of("1 2 1 | 2 4 2 | 1 2 1", "0 -1 | 1/2 0.5", "3", "-1 0 1", "1 | -2 | 3 | 1").get(random.nextInt(5));
        } else if (parameter instanceof PairsParameter) {
            return "-1 2 | 1/2 3 | " + (1 + random.nextInt(300)) + " " + number(random, image.maximumLevel());
        } else if (parameter instanceof MaskParameter) {
            return "0b" + Integer.toBinaryString(random.nextInt(65536));
        } else if (parameter instanceof ReferenceParameter) {
            // Alone, a step can refer to nothing but the image before it.
            return "step:0";
        } else if (parameter instanceof TextParameter) {
            return FORMULAS[random.nextInt(FORMULAS.length)];
        } else if (parameter instanceof ChoiceParameter choice) {
            return choice.choices().get(random.nextInt(choice.choices().size())).word();
        }
        int row = random.nextInt(image.rows());
        int column = random.nextInt(image.columns());
        return new Area(row, column, 1 + random.nextInt(image.rows() - row),
                1 + random.nextInt(image.columns() - column)).toString();
    }

    private static String number(Random random, int maximum) {
        return switch (random.nextInt(4)) {
            case 0 -> String.valueOf(random.nextInt(2 * maximum + 1) - maximum);
            case 1 -> (random.nextInt(400) - 200) / 100.0 + "";
            case 2 -> (1 + random.nextInt(9)) + "/" + (1 + random.nextInt(9));
            default -> "-." + random.nextInt(1000);
        };
    }
}
