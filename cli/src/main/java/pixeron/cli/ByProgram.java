package pixeron.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.SlipTitles;
import pixeron.byhand.slip.search.Findings;
import pixeron.chain.Chain;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.program.ProgramCheck;
import pixeron.program.ProgramCommand;
import pixeron.program.ProgramLimits;
import pixeron.step.Progress;

/** A user's program in place of a table by hand. */
final class ByProgram {

    private static final int MOST_SECONDS = 3600;

    private final Argument<String> command;
    private final Argument<Integer> cases;
    private final Argument<Long> seed;
    private final Argument<Integer> seconds;

    ByProgram(Syntax syntax) {
        command = syntax.option("--by-program", "COMMAND", String.class,
                "Run a program instead of --by-hand, such as \"python3 mine.py {in} {out}\". It reads the image from {in} (a CSV; "
                        + "{in.pgm}, {in.ppm}, {in.png}, {in.npy}) and writes a table or an array to {out} (or {out.png} and so on), or prints it if {out} is omitted. {with} is the other image. A color image is a table of "
                        + "packed pixels.");
        cases = syntax.option("--cases", "N", int.class, "0", "Number of random images of the same size to test as well; default: ${DEFAULT-VALUE}.");
        seed = syntax.option("--seed", "S", long.class, "1", "Seed of the random images; default: ${DEFAULT-VALUE}.");
        seconds = syntax.option("--seconds", "T", int.class, "10", "Time limit for one run, in seconds; default: ${DEFAULT-VALUE}.");
    }

    boolean isGiven() {
        return command.isGiven();
    }

    /** Returns the exit code. */
    int check(Chain chain, Optional<String> face, boolean isJson, PrintWriter out) {
        if (cases.value() < 0 || cases.value() > ProgramCheck.MOST_CASES) {
            throw PixeronException.of("--cases %d is not valid. Use 0 to %d.", cases.value(), ProgramCheck.MOST_CASES);
        } else if (seconds.value() < 1 || seconds.value() > MOST_SECONDS) {
            throw PixeronException.of("--seconds %d is not valid. Use 1 to %d.", seconds.value(), MOST_SECONDS);
        }
        ProgramCheck program = new ProgramCheck(ProgramCommand.parse(command.value()), chain, new ProgramCheck.Conditions(seed.value(),
                ProgramLimits.ofSeconds(seconds.value()), Path.of(""),
                face.orElse(Image.VALUE)));
        ProgramCheck.Outcome outcome = program.run(cases.value(), cases.value() > 0, Progress.NONE);
        out.print(isJson ? Json.text(json(outcome, face)) + System.lineSeparator() : text(outcome));
        return outcome.isRight() ? 0 : Pixeron.DIFFERS;
    }

    private static ObjectNode json(ProgramCheck.Outcome outcome, Optional<String> face) {
        List<ProgramCheck.Case> all = outcome.all();
        ObjectNode node = json(all.get(0), face);
        if (all.size() > 1) {
            ArrayNode cases = node.putArray("cases");
            for (ProgramCheck.Case one : all.subList(1, all.size())) {
                cases.add(json(one, face).put("case", one.number()));
            }
        }
        outcome.smallest().ifPresent(found -> {
            ObjectNode entry = json(found, face);
            if (found.image() instanceof Image image) {
                entry.set("image", rows(image));
            } else {
                ObjectNode channels = entry.putObject("image");
                found.image().faces().forEach(one -> channels.set(one.name(), rows(one.image())));
            }
            node.set("smallest", entry);
        });
        return node;
    }

    private static ArrayNode rows(Image image) {
        ArrayNode rows = Json.object().putArray("rows");
        for (int i = 0; i < image.rows(); i++) {
            ArrayNode row = rows.addArray();
            for (int j = 0; j < image.columns(); j++) {
                Json.add(row, image.value(i * image.columns() + j));
            }
        }
        return rows;
    }

    private static ObjectNode json(ProgramCheck.Case one, Optional<String> face) {
        Findings found = one.findings(Progress.NONE);
        ObjectNode node = one.right() instanceof Abreast faces ? Json.colorCheck(one.check(), found, faces) : Json.withFace(Json.check(one.check(), found), face);
        one.problem().ifPresent(problem -> node.put("problem", problem));
        return node;
    }

    private static String text(ProgramCheck.Outcome outcome) {
        StringBuilder text = new StringBuilder();
        for (ProgramCheck.Case one : outcome.all()) {
            if (one.number() == 0) {
                text.append(details(one));
            } else {
                Findings found = one.findings(Progress.NONE);
                text.append(String.format("case %d: %s%n", one.number(), one.problem().orElseGet(() -> one.isRight() ? "all " + one.check().agree() + " agree"
                        : one.check().differing().size() + " of " + one.check().filled() + " differ" + found.slips().stream().findFirst().map(slip -> ", "
                                + SlipTitles.of(slip.ids())).orElse(""))));
            }
        }
        outcome.smallest().ifPresent(found -> text.append(String.format("Smallest failing image, %s:%n%s%s", found.image().frame().size(),
                found.image().faces().stream().map(one -> (one.name().equals(Image.VALUE) ? "" : "  " + one.name() + System.lineSeparator()) + text(one.image()))
                        .collect(Collectors.joining()), details(found))));
        return text.toString();
    }

    private static String details(ProgramCheck.Case one) {
        String said = one.said().isBlank() || one.problem().isEmpty() ? "" : one.said().lines().map(line -> "  | " + line.replaceAll("\\p{Cntrl}", " ")
                + System.lineSeparator()).limit(20).collect(Collectors.joining());
        return one.problem().map(problem -> problem + System.lineSeparator() + said).orElse("") + (one.check().filled() == 0 ? ""
                : one.right() instanceof Abreast faces ? CheckText.of(one.check(), one.findings(Progress.NONE), faces)
                        : CheckText.of(one.check(), one.findings(Progress.NONE), cell -> Optional.empty()));
    }

    private static String text(Image image) {
        return IntStream.range(0, image.rows()).mapToObj(i -> "  " + IntStream.range(0, image.columns()).mapToObj(j -> Decimals.table(image.value(i * image.columns() + j)))
                .collect(Collectors.joining(" ")) + System.lineSeparator()).collect(Collectors.joining());
    }
}
