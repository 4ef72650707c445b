package pixeron.program;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Everything that a run of a program started, by a mark in its environment: a child in the background, or in a session of its own, is no descendant
 * any more as soon as its parent has ended, but it still has the mark. Where the system does not show environments, descendants are all that is found.
 */
final class Descent {

    private static final String MARK = "PIXERON_RUN";
    /** A child that is ended may have started another one meanwhile. */
    private static final int ROUNDS = 5;
    private static final Path PROCESSES = Path.of("/proc");
    /** What programs and the languages they are written in need to start; everything else of the user's environment is not theirs. */
    private static final Set<String> NEEDED = Set.of("PATH", "PATHEXT", "HOME", "USERPROFILE", "USER", "USERNAME", "LOGNAME", "LANG", "LANGUAGE", "TZ", "TMPDIR", "TMP", "TEMP",
            "JAVA_HOME", "PYTHONPATH", "PYTHONHOME", "VIRTUAL_ENV", "CONDA_PREFIX", "LD_LIBRARY_PATH", "DYLD_LIBRARY_PATH", "SYSTEMROOT", "SYSTEMDRIVE", "WINDIR", "COMSPEC",
            "APPDATA", "LOCALAPPDATA", "PROGRAMDATA", "PROGRAMFILES", "NUMBER_OF_PROCESSORS", "PROCESSOR_ARCHITECTURE");
    /** Runs that have not ended: they end with Pixeron. */
    private static final Set<Descent> RUNNING = ConcurrentHashMap.newKeySet();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(() -> RUNNING.forEach(Descent::kill), "end of programs"));
    }

    private final String mark = UUID.randomUUID().toString();
    private Process process;

    /** Leaves of an environment what a program needs, and marks it. */
    void prepare(Map<String, String> environment) {
        environment.keySet().removeIf(name -> {
            String known = name.toUpperCase(Locale.ROOT);
            return !NEEDED.contains(known) && !known.startsWith("LC_") && !known.startsWith("PYENV_");
        });
        environment.put(MARK, mark);
    }

    void started(Process started) {
        process = started;
        RUNNING.add(this);
    }

    Process process() {
        return process;
    }

    /** Ends the program and all that it started. */
    void kill() {
        process.descendants().forEach(ProcessHandle::destroyForcibly);
        process.destroyForcibly();
        for (int round = 0; round < ROUNDS && killMarked(); round++) {
            Thread.onSpinWait();
        }
        RUNNING.remove(this);
    }

    private boolean killMarked() {
        return Files.isDirectory(PROCESSES) && ProcessHandle.allProcesses().filter(this::isMarked).map(ProcessHandle::destroyForcibly).reduce(false, Boolean::logicalOr);
    }

    private boolean isMarked(ProcessHandle handle) {
        try {
            Path environment = PROCESSES.resolve(String.valueOf(handle.pid())).resolve("environ");
            return Files.isReadable(environment) && new String(Files.readAllBytes(environment), StandardCharsets.ISO_8859_1).contains(MARK + "=" + mark);
        } catch (IOException endedMeanwhile) {
            return false;
        }
    }
}
