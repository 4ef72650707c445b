package pixeron.cli;

import java.io.PrintWriter;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;
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
@Command(name = "steps", mixinStandardHelpOptions = true,
        description = "Lists every step with its keys, defaults and ranges.")
final class StepsCommand implements Runnable {

    @Spec
    private CommandSpec spec;

    @Override
    public void run() {
        PrintWriter out = spec.commandLine().getOut();
        for (StepType type : Catalog.all()) {
            out.println(StepLine.usage(type));
            out.println("    " + type.sentence() + "  " + type.formula(type.starter(Image.BYTE_MAXIMUM).arguments()));
            type.ownParameters().forEach(parameter -> print(out, parameter));
            if (!type.common().equals(Common.ALL)) {
                out.println("    takes " + (type.common().isEmpty() ? "neither rounding nor overflow nor area"
                        : "area, but neither rounding nor overflow"));
            }
            out.println();
        }
        out.println("steps take, unless they say otherwise");
        print(out, StepType.ROUNDING);
        print(out, StepType.OVERFLOW);
        print(out, StepType.AREA);
        out.println();
        out.println("new images, for the command \"new\"");
        for (Maker maker : Makers.all()) {
            out.println("    " + KeyedLine.usage(maker));
            out.println("        " + maker.sentence());
        }
    }

    private static <T> void print(PrintWriter out, Parameter<T> parameter) {
        Optional<String> byDefault = parameter.defaultValue().map(parameter::print);
        out.printf("    %-9s %s%s%n", parameter.key(), parameter.range(), parameter.isRequired() ? "; must be given"
                : byDefault.map(value -> "; default " + value).orElse("; may be left out"));
    }
}
