package pixeron.cli;

import java.io.PrintWriter;
import java.util.Arrays;
import java.util.List;
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

    /** Every command in the order of the help. */
    private static final List<String> COMMANDS = List.of("run", "facts", "explain", "table", "check", "compare", "gray", "new", "steps", "report", "worksheet",
            "mark", "demo");
    private static final List<String> QUESTIONS = List.of("-h", "--help", "-V", "--version");

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    /** @return true when the words are for the command line, false when they are for the window */
    public static boolean isCommand(String... words) {
        return words.length > 0 && (COMMANDS.contains(words[0]) || QUESTIONS.contains(words[0]));
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
        // Else the library looks for a class of another language, which nobody has, in every file there is: a tenth of a short command.
        System.setProperty("picocli.disable.closures", "true");
        // Words of commands are no times and no databases; readers for these would be made at every start.
        System.setProperty("picocli.converters.excludes", "java\\.(sql|time)\\..*");
        boolean isOne = words.length > 0 && COMMANDS.contains(words[0]);
        CommandLine line = isOne ? alone(words[0]) : all();
        line.setOut(out).setErr(err)
                .setParameterExceptionHandler((problem, given) -> complain(err, used(problem)))
                .setExecutionExceptionHandler((problem, command, result) -> complain(err, problem));
        int code = line.execute(isOne ? Arrays.copyOfRange(words, 1, words.length) : words);
        out.flush();
        err.flush();
        return code;
    }

    /** As if it were found among all, without what describes those. */
    private static CommandLine alone(String name) {
        return new CommandLine(command(name)).setCommandName("pixeron " + name);
    }

    private static CommandLine all() {
        CommandLine line = new CommandLine(new Pixeron());
        COMMANDS.forEach(name -> line.addSubcommand(name, command(name)));
        return line;
    }

    /** Made when it is needed, and not even its class is read before: that of all of them would cost a third of a short command. */
    private static Object command(String name) {
        return switch (name) {
            case "run" -> new RunCommand();
            case "facts" -> new FactsCommand();
            case "explain" -> new ExplainCommand();
            case "table" -> new TableCommand();
            case "check" -> new CheckCommand();
            case "compare" -> new CompareCommand();
            case "gray" -> new GrayCommand();
            case "new" -> new NewCommand();
            case "steps" -> new StepsCommand();
            case "report" -> new ReportCommand();
            case "worksheet" -> new WorksheetCommand();
            case "mark" -> new MarkCommand();
            case "demo" -> new DemoCommand();
            default -> throw new IllegalArgumentException(name);
        };
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
