package pixeron.format.array;

import java.util.ArrayList;
import java.util.List;

/** A text without its comments; line numbers stay as they are. */
final class SourceText {

    private static final String COLOR = "#([0-9a-fA-F]{6}|[0-9a-fA-F]{8})\\b.*";

    private SourceText() {
    }

    /** Returns the lines without comments and without spaces at their ends, also those that cannot be seen. */
    static List<String> lines(String text) {
        List<String> lines = new ArrayList<>();
        withoutBlocks(text).lines().forEach(line -> lines.add(withoutComment(line.replace('\u00A0', ' ').replace("\uFEFF", "")).strip()));
        return lines;
    }

    /** Block comments become as many line ends as they have. */
    private static String withoutBlocks(String text) {
        StringBuilder kept = new StringBuilder();
        int at = 0;
        while (true) {
            int begin = text.indexOf("/*", at);
            int end = begin < 0 ? -1 : text.indexOf("*/", begin + 2);
            if (end < 0) {
                return kept.append(text, at, text.length()).toString();
            }
            kept.append(text, at, begin).append(' ');
            text.substring(begin, end).chars().filter(c -> c == '\n').forEach(c -> kept.append('\n'));
            at = end + 2;
        }
    }

    private static String withoutComment(String line) {
        boolean canBegin = true;
        for (int n = 0; n < line.length(); n++) {
            char sign = line.charAt(n);
            boolean isComment = sign == '%' || sign == '/' && line.startsWith("//", n) || sign == '#' && !line.substring(n).matches(COLOR);
            if (canBegin && isComment) {
                return line.substring(0, n);
            }
            canBegin = Character.isWhitespace(sign);
        }
        return line;
    }
}
