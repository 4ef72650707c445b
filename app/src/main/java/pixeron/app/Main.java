package pixeron.app;

import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import javafx.application.Application;
import pixeron.cli.Pixeron;
import pixeron.cli.Rehearsal;

/** The way in: a command goes to the command line, anything else opens the window. */
public final class Main {

    private Main() {
    }

    /**
     * Starts the program: the window, or a command.
     *
     * @param words a command with its words, or the file to open, or nothing
     */
    public static void main(String... words) {
        if ("commands".equals(System.getProperty("pixeron.rehearsal"))) {
            Rehearsal.run(Path.of(words[0]));
            return;
        }
        if (Pixeron.isCommand(words)) {
            System.exit(Pixeron.run(writer(System.out), writer(System.err), words));
        }
        // Only from here on a class of the window toolkit is loaded.
        Application.launch(PixeronApp.class, words);
    }

    /** Workings have signs such as × and −, which the platform's own encoding may lack. */
    private static PrintWriter writer(OutputStream out) {
        return new PrintWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8));
    }
}
