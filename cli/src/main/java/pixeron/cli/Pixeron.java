package pixeron.cli;

import java.io.PrintWriter;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import pixeron.PixeronException;

/** All commands under one name. */
public final class Pixeron {

    /** Exit code when something differs. */
    static final int DIFFERS = 1;
    /** Exit code for bad use or bad input. */
    static final int BAD = 2;

    /** Every command in the order of the help. */
    private static final List<String> COMMANDS = List.of("run", "facts", "explain", "table", "check", "compare", "gray", "new", "steps", "program", "report", "worksheet",
            "mark", "demo");
    private static final List<String> QUESTIONS = List.of("-h", "--help", "-V", "--version");

    private Pixeron() {
    }

    /** Returns true when the words are for the command line, false when they are for the window. */
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
        return execute(new PrintWriter(new HarmlessWriter(out)), new PrintWriter(new HarmlessWriter(err)), words);
    }

    /** {@code --packed argb} says how numbers are read; {@code --packed} alone how a result is written. */
    private static String[] withReadPacked(String... words) {
        String[] read = words.clone();
        for (int n = 0; n + 1 < read.length; n++) {
            if (read[n].equals("--packed") && read[n + 1].matches("a?rgb")) {
                read[n] = "--packed-as";
            }
        }
        return read;
    }

    private static int execute(PrintWriter out, PrintWriter err, String... given) {
        String[] words = withReadPacked(given);
        // Else the library looks for a class of another language, which nobody has, in every file there is: a tenth of a short command.
        System.setProperty("picocli.disable.closures", "true");
        // Words of commands are no times and no databases; readers for these would be made at every start.
        System.setProperty("picocli.converters.excludes", "java\\.(sql|time)\\..*");
        boolean isOne = words.length > 0 && COMMANDS.contains(words[0]);
        CommandLine line = isOne ? line("pixeron " + words[0], words[0], out, err) : all(out, err);
        line.setParameterExceptionHandler((problem, all) -> complain(err, used(problem.getMessage(), problem.getCommandLine().getCommandSpec().qualifiedName())))
                .setExecutionExceptionHandler((problem, command, result) -> complain(err, problem));
        int code = run(line, err, isOne ? Arrays.copyOfRange(words, 1, words.length) : words);
        out.flush();
        err.flush();
        return code;
    }

    private static CommandLine line(String called, String name, PrintWriter out, PrintWriter err) {
        Syntax syntax = new Syntax(out, err);
        return syntax.line(called, command(name, syntax));
    }

    /** Exceptions are told by the line itself; what is left is too little memory and the like. */
    private static int run(CommandLine line, PrintWriter err, String... words) {
        try {
            return line.execute(words);
        } catch (OutOfMemoryError | StackOverflowError tooMuch) {
            return complain(err, tooMuch);
        }
    }

    /** For questions and mistakes; a command that is named is read without the others. */
    private static CommandLine all(PrintWriter out, PrintWriter err) {
        Syntax syntax = new Syntax(out, err);
        syntax.version("Pixeron 0.1.0");
        syntax.describe("Image processing by hand: every number with its working.%nWithout a command, pixeron [PROJECT or IMAGE] opens the window.");
        CommandLine line = syntax.line("pixeron", (Callable<Integer>) () -> complain(err, used("A command is missing", "pixeron")));
        COMMANDS.forEach(name -> line.addSubcommand(name, line(name, name, out, err)));
        return line;
    }

    /** Made when it is needed, and not even its class is read before: that of all of them would cost a third of a short command. */
    private static Object command(String name, Syntax syntax) {
        return switch (name) {
            case "run" -> new RunCommand(syntax);
            case "program" -> new ProgramTextCommand(syntax);
            case "facts" -> new FactsCommand(syntax);
            case "explain" -> new ExplainCommand(syntax);
            case "table" -> new TableCommand(syntax);
            case "check" -> new CheckCommand(syntax);
            case "compare" -> new CompareCommand(syntax);
            case "gray" -> new GrayCommand(syntax);
            case "new" -> new NewCommand(syntax);
            case "steps" -> new StepsCommand(syntax);
            case "report" -> new ReportCommand(syntax);
            case "worksheet" -> new WorksheetCommand(syntax);
            case "mark" -> new MarkCommand(syntax);
            case "demo" -> new DemoCommand(syntax);
            default -> throw new IllegalArgumentException(name);
        };
    }

    private static Exception used(String problem, String command) {
        String first = problem.lines().findFirst().orElse("Unknown command");
        return PixeronException.of("%s; see \"%s --help\".", first.replaceAll("[.:]+$", ""), command);
    }

    private static int complain(PrintWriter err, Throwable problem) {
        err.println("pixeron: " + PixeronException.words(problem));
        return BAD;
    }
}
