package pixeron.cli;

import java.io.PrintWriter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.make.Maker;
import pixeron.make.Makers;
import pixeron.step.Common;
import pixeron.step.StepType;
import pixeron.step.catalog.Catalog;
import pixeron.step.catalog.StepLine;
import pixeron.step.key.KeyedLine;
import pixeron.step.key.Parameter;

/** {@code pixeron steps}: every step line with its keys, defaults and ranges. */
final class StepsCommand implements Runnable {

    private final Syntax syntax;

    StepsCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("List all steps with their parameters, defaults and ranges.");
    }

    @Override
    public void run() {
        PrintWriter out = syntax.out();
        for (StepType type : Catalog.all()) {
            out.println(StepLine.usage(type));
            out.println("    " + type.sentence() + "  " + type.formula(type.starter(Image.BYTE_MAXIMUM).arguments()));
            type.ownParameters().forEach(parameter -> print(out, parameter));
            if (!type.common().equals(Common.ALL)) {
                out.println("    takes " + taken(type));
            }
            out.println();
        }
        out.println("parameters of all steps, unless listed otherwise");
        print(out, StepType.ROUNDING);
        print(out, StepType.OVERFLOW);
        print(out, StepType.AREA);
        print(out, StepType.CHANNELS);
        out.println();
        out.println("new images, for the command \"new\"");
        for (Maker maker : Makers.all()) {
            out.println("    " + KeyedLine.usage(maker));
            out.println("        " + maker.sentence());
        }
    }

    /** Returns which of the keys that most steps take this one takes, and which not. */
    private static String taken(StepType type) {
        List<String> all = Arrays.stream(Common.values()).map(key -> key.name().toLowerCase(Locale.ROOT)).toList();
        List<String> own = all.stream().filter(word -> type.common().stream().anyMatch(key -> key.name().equalsIgnoreCase(word))).toList();
        List<String> others = all.stream().filter(word -> !own.contains(word)).toList();
        String not = others.size() == 1 ? "not " + others.get(0) : "neither " + String.join(" nor ", others);
        return own.isEmpty() ? not : String.join(", ", own) + ", but " + not;
    }

    private static <T> void print(PrintWriter out, Parameter<T> parameter) {
        Optional<String> byDefault = parameter.defaultValue().map(parameter::print);
        out.printf("    %-9s %s%s%n", parameter.key(), parameter.range(), parameter.isRequired() ? "; required"
                : byDefault.map(value -> "; default: " + value).orElse("; optional"));
    }
}
