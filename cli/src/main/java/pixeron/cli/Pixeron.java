package pixeron.cli;

import java.io.PrintWriter;
import java.util.List;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.ParameterException;
import pixeron.PixeronException;

/** All commands under one name. */
@Command(name = "pixeron", version = "Pixeron 0.1.0", mixinStandardHelpOptions = true,
        description = "Image arithmetic by hand: every number with its working.%n"
                + "Without a command, pixeron [PROJECT or IMAGE] opens the window.",
        subcommands = {RunCommand.class, FactsCommand.class, ExplainCommand.class, TableCommand.class, CheckCommand.class,
            CompareCommand.class, GrayCommand.class, NewCommand.class, StepsCommand.class, ReportCommand.class,
            WorksheetCommand.class, MarkCommand.class, DemoCommand.class})
public final class Pixeron implements Runnable {

    /** Exit code when something differs. */
    static final int DIFFERS = 1;
    /** Exit code for bad use or bad input. */
    static final int BAD = 2;

    /** Words for the command line; any other first word is a file for the window. */
    private static final List<String> COMMANDS =
            List.of("run", "facts", "explain", "check", "compare", "gray", "new", "steps", "demo", "table",
                    "report", "worksheet", "mark", "-h", "--help", "-V", "--version");

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    /** @return true when the words are for the command line, false when they are for the window */
    public static boolean isCommand(String... words) {
        return words.length > 0 && COMMANDS.contains(words[0]);
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
        CommandLine line = new CommandLine(new Pixeron())
                .setOut(out).setErr(err)
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
