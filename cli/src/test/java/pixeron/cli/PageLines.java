package pixeron.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Commands and what they print, folded to the width of a page. */
final class PageLines {

    static final int WIDTH = 80;
    private static final Pattern LABELED = Pattern.compile("( *\\S+(?: \\S+)* {2,}).*");

    private PageLines() {
    }

    /** Returns a command on as many lines as it needs, each new one with the next option. */
    static List<String> ofCommand(String command) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String option : command.split("(?= --| \\| cut)")) {
            if (line.length() + option.length() > WIDTH - 2 && line.length() > 0) {
                lines.add(line + " \\");
                line = new StringBuilder("    ").append(option.strip());
            } else {
                line.append(option);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    /** Returns a printed line, folded where a remark or an equals sign begins, otherwise at a blank; what follows is indented. */
    static List<String> ofOutput(String line) {
        if (line.length() <= WIDTH) {
            return List.of(line);
        }
        Matcher labeled = LABELED.matcher(line);
        String margin = " ".repeat(labeled.matches() && labeled.group(1).length() < WIDTH / 3 ? labeled.group(1).length() : 2);
        List<String> lines = new ArrayList<>();
        String rest = line;
        while (rest.length() > WIDTH) {
            int at = fold(rest);
            if (at <= margin.length() + 2) {
                break;
            }
            lines.add(rest.substring(0, at).stripTrailing());
            rest = margin + (rest.startsWith(" = ", at) ? "" : "  ") + rest.substring(at).strip();
        }
        lines.add(rest);
        return lines;
    }

    /** Returns where a line is best folded. */
    private static int fold(String line) {
        for (String gap : List.of("   ", ",  ", "; ", " = ")) {
            int at = line.lastIndexOf(gap, WIDTH - 1);
            if (at > WIDTH / 2) {
                return at + (Character.isWhitespace(gap.charAt(0)) ? 0 : 1);
            }
        }
        return line.lastIndexOf(' ', WIDTH);
    }

    /** Returns columns of a line with commas, as the command {@code cut} does. */
    static String cut(String line, String columns) {
        String[] cells = line.split(",", -1);
        List<String> kept = new ArrayList<>();
        for (String range : columns.split(",")) {
            String[] ends = range.split("-");
            for (int n = Integer.parseInt(ends[0]); n <= Integer.parseInt(ends[ends.length - 1]); n++) {
                kept.add(cells[n - 1]);
            }
        }
        return String.join(",", kept);
    }
}
