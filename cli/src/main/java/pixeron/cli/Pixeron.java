package pixeron.cli;

import java.io.PrintWriter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.ParameterException;
import pixeron.PixeronException;

/** All commands under one name. */
@Command(name = "pixeron", version = "Pixeron 0.1.0", mixinStandardHelpOptions = true,
        description = "Image arithmetic by hand: every number with its working.%n"
                + "Without a command, pixeron [PROJECT or IMAGE] opens the window.")
public final class Pixeron implements Runnable {

    /** Exit code when something differs. */
    static final int DIFFERS = 1;
    /** Exit code for bad use or bad input. */
    static final int BAD = 2;

    /** Every command in the order of the help, made when it is needed: reading what all of them take costs a third of a short one. */
    private static final Map<String, Supplier<Object>> COMMANDS = new LinkedHashMap<>();
    private static final List<String> QUESTIONS = List.of("-h", "--help", "-V", "--version");

    static {
        COMMANDS.put("run", RunCommand::new);
        COMMANDS.put("facts", FactsCommand::new);
        COMMANDS.put("explain", ExplainCommand::new);
        COMMANDS.put("table", TableCommand::new);
        COMMANDS.put("check", CheckCommand::new);
        COMMANDS.put("compare", CompareCommand::new);
        COMMANDS.put("gray", GrayCommand::new);
        COMMANDS.put("new", NewCommand::new);
        COMMANDS.put("steps", StepsCommand::new);
        COMMANDS.put("report", ReportCommand::new);
        COMMANDS.put("worksheet", WorksheetCommand::new);
        COMMANDS.put("mark", MarkCommand::new);
        COMMANDS.put("demo", DemoCommand::new);
    }

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    /** @return true when the words are for the command line, false when they are for the window */
    public static boolean isCommand(String... words) {
        return words.length > 0 && (COMMANDS.containsKey(words[0]) || QUESTIONS.contains(words[0]));
    }

    /**
     * Runs one command.
     *
     * @param out standard output
     * @param err standard error
     * @param words the command and what follows it
     * @return the exit code
     */
    public static int run(PrintWriter out, PrintWriter err, String... words) {
        CommandLine line = new CommandLine(new Pixeron());
        boolean isOne = words.length > 0 && COMMANDS.containsKey(words[0]);
        COMMANDS.forEach((name, command) -> {
            if (!isOne || name.equals(words[0])) {
                line.addSubcommand(name, command.get());
            }
        });
        line.setOut(out).setErr(err)
                .setParameterExceptionHandler((problem, given) -> complain(err, used(problem)))
                .setExecutionExceptionHandler((problem, command, result) -> complain(err, problem));
        int code = line.execute(words);
        out.flush();
        err.flush();
        return code;
    }

    private static Exception used(ParameterException problem) {
        String first = problem.getMessage().lines().findFirst().orElse("The command is not understood");
        String command = problem.getCommandLine().getCommandSpec().qualifiedName();
        return PixeronException.of("%s; see \"%s --help\".", first.replaceAll("[.:]+$", ""), command);
    }

    private static int complain(PrintWriter err, Exception problem) {
        String message = problem instanceof PixeronException ? problem.getMessage()
                : "Something went wrong inside Pixeron (" + problem + "); please report it.";
        err.println("pixeron: " + message.replaceAll("\\R", " "));
        return BAD;
    }

    @Override
    public void run() {
        throw new ParameterException(spec.commandLine(), "A command is missing");
    }
}
