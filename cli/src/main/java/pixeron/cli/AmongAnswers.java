package pixeron.cli;

import java.nio.file.Path;
import pixeron.PixeronException;

/** Results that are to be written where answers lie. */
final class AmongAnswers {

    private AmongAnswers() {
    }

    /**
     * @param file lies among the answers and would be written
     * @param isResults whether it holds results of before; else it is an answer
     * @param isReplacing whether results of before are to be replaced
     * @throws PixeronException if it must stay as it is
     */
    static void requireReplaceable(Path file, boolean isResults, boolean isReplacing) {
        if (!isResults) {
            throw PixeronException.of("%s is one of the answers. Give the results another name.", file);
        } else if (!isReplacing) {
            throw PixeronException.of("%s already exists among the answers. Add --replace, or give the results another name.", file);
        }
    }
}
