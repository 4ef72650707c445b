package pixeron.exercise.practice;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import pixeron.PixeronException;
import pixeron.project.Fields;
import pixeron.project.JsonFile;

/** What was practiced as a file in the user's own folder. */
public final class PracticedFile {

    private static final int VERSION = 1;
    private static final String VERSION_FIELD = "pixeronPractised";

    private PracticedFile() {
    }

    /**
     * Writes the practice history.
     *
     * @throws PixeronException if it cannot be written
     */
    public static void write(Path file, Practiced practiced) {
        ObjectNode root = JsonFile.object().put(VERSION_FIELD, VERSION);
        ArrayNode attempts = root.putArray("attempts");
        for (Attempt attempt : practiced.attempts()) {
            ObjectNode node = attempts.addObject().put("topic", attempt.topic()).put("variant", attempt.variant()).put("rightAtFirst", attempt.isRightAtFirst())
                    .put("seconds", attempt.seconds());
            ArrayNode slips = node.putArray("slips");
            attempt.slips().forEach(slips::add);
        }
        JsonFile.write(file, root);
    }

    /**
     * Returns what was practiced; nothing where there is no file.
     *
     * @throws PixeronException if it is damaged
     */
    public static Practiced read(Path file) {
        return !Files.exists(file) ? Practiced.NONE : JsonFile.read(file, root -> {
            JsonFile.requireVersion(root, VERSION_FIELD, VERSION, "practice record");
            List<Attempt> attempts = new ArrayList<>();
            for (Fields node : new Fields("practice record", root).objects("attempts")) {
                attempts.add(new Attempt(node.text("topic"), node.number("variant"), node.flag("rightAtFirst"), node.texts("slips"), node.number("seconds")));
            }
            return new Practiced(attempts);
        });
    }
}
