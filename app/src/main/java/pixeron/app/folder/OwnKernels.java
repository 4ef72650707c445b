package pixeron.app.folder;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.LoggerFactory;
import pixeron.PixeronException;
import pixeron.format.SafeFile;
import pixeron.project.OwnKernel;

/** The user's own list of kernels, beside those that are kept in a project: a file with a name and a step line each. */
public final class OwnKernels {

    private static final String FILE = "kernels.txt";
    private static final String GAP = "\t";

    private final UserFolder folder;

    public OwnKernels(UserFolder folder) {
        this.folder = folder;
    }

    /** Returns all of them; lines that cannot be read are left out. */
    public List<OwnKernel> all() {
        List<OwnKernel> all = new ArrayList<>();
        try {
            if (Files.exists(folder.path(FILE))) {
                for (String line : Files.readAllLines(folder.path(FILE))) {
                    String[] parts = line.split(GAP, 2);
                    if (parts.length == 2) {
                        all.add(new OwnKernel(parts[0], OwnKernel.requireKernel(parts[1])));
                    }
                }
            }
        } catch (IOException | PixeronException unreadable) {
            LoggerFactory.getLogger(OwnKernels.class).warn("not all saved kernels could be read", unreadable);
        }
        return all;
    }

    /** Adds a kernel; one with the same name is replaced. */
    public void keep(OwnKernel kernel) {
        StringBuilder text = new StringBuilder();
        new OwnKernel(kernel.name().replace(GAP, " "), kernel.line()).in(all())
                .forEach(own -> text.append(own.name()).append(GAP).append(own.line()).append('\n'));
        try {
            SafeFile.write(folder.path(FILE), out -> out.write(text.toString().getBytes(StandardCharsets.UTF_8)));
        } catch (PixeronException notKept) {
            LoggerFactory.getLogger(OwnKernels.class).warn("a kernel could not be saved in your list", notKept);
        }
    }
}
