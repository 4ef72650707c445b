package pixeron.working;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Writes a working as plain text, LaTeX or HTML. */
public final class WorkingText {

    private static final Map<Character, String> LATEX_SIGNS = Map.ofEntries(
            Map.entry('\u2212', "-"), Map.entry('–', "--"), Map.entry('×', " \\times "), Map.entry('÷', " \\div "),
            Map.entry('→', " \\rightarrow "), Map.entry('≈', " \\approx "), Map.entry('≤', " \\le "),
            Map.entry('≥', " \\ge "), Map.entry('≠', " \\ne "), Map.entry('…', " \\dots "),
                    Map.entry('⌊', " \\lfloor "),
            Map.entry('⌋', " \\rfloor "), Map.entry('\\', " \\backslash "), Map.entry('_', "\\_"),
            Map.entry('%', "\\%"), Map.entry('{', "\\{"), Map.entry('}', "\\}"), Map.entry('√', " \\surd "),
            Map.entry('π', " \\pi "), Map.entry('#', "\\#"), Map.entry('&', "\\&"), Map.entry('$', "\\$"));

    /** Words between numbers in a formula. */
    private static final Set<String> WORDS = Set.of("if", "else");

    private WorkingText() {
    }

    /** Returns labels in a left column, one line each, ending with a newline. */
    public static String plain(Working working) {
        return plain(working.title(), working.lines());
    }

    /** Returns the same for lines that lead to no single value. */
    public static String plain(String title, List<Line> lines) {
        int width = lines.stream().mapToInt(line -> line.label().length()).max().orElse(0);
        return title + "\n" + lines.stream()
                .map(line -> ("  " + pad(line.label(), width) + "  " + line.text()).stripTrailing() + "\n")
                .collect(Collectors.joining());
    }

    /** Returns an {@code array} environment for a formula in a LaTeX document, ending with a newline. */
    public static String latex(Working working) {
        return latex(working.lines());
    }

    /** Returns the same for lines that lead to no single value. */
    public static String latex(List<Line> lines) {
        return "\\[\n\\begin{array}{ll}\n" + lines.stream()
                .map(line -> "\\text{" + escaped(line.label()) + "} & "
                        + line.runs().stream().map(WorkingText::latex).collect(Collectors.joining())
                        .replaceAll(" {2,}", " ") + " \\\\\n")
                .collect(Collectors.joining()) + "\\end{array}\n\\]\n";
    }

    private static String latex(Run run) {
        if (run.role() == Role.NOTE) {
            return "\\quad\\text{" + escaped(run.text()) + "}";
        }
        StringBuilder out = new StringBuilder();
        String text = run.text();
        for (int at = 0; at < text.length(); ) {
            int end = at;
            while (end < text.length() && Character.isLetter(text.charAt(end))) {
                end++;
            }
            String word = text.substring(at, end);
            if (WORDS.contains(word)) {
                // Blanks do not count in a formula, so words of a sentence bring their own.
                out.append("\\text{ ").append(word).append(" }");
                at = end;
            } else if (end - at > 1) {
                out.append("\\mathrm{").append(word).append('}');
                at = end;
            } else {
                char c = text.charAt(at++);
                out.append(LATEX_SIGNS.getOrDefault(c, String.valueOf(c)));
            }
        }
        return out.toString();
    }

    /** Words inside \text: only signs that LaTeX reserves are escaped; the rest is text in UTF-8. */
    private static String escaped(String words) {
        return words.chars().mapToObj(c -> switch (c) {
            case '\\' -> "\\textbackslash{}";
            case '{', '}', '%', '#', '&', '$', '_' -> "\\" + (char) c;
            case '^' -> "\\^{}";
            case '–' -> "--";
            case '\u2212', '×', '÷', '→', '≈', '≤', '≥', '≠', '…' -> "$" + LATEX_SIGNS.get((char) c).strip() + "$";
            default -> String.valueOf((char) c);
        }).collect(Collectors.joining());
    }

    /** Returns a table with class names {@code before}, {@code after} and {@code note} for the roles. */
    public static String html(Working working) {
        return html(working.title(), working.lines());
    }

    /** Returns the same for lines that lead to no single value. */
    public static String html(String title, List<Line> lines) {
        return "<table class=\"working\">\n<caption>" + markup(title) + "</caption>\n"
                + lines.stream()
                .map(line -> "<tr><th scope=\"row\">" + markup(line.label()) + "</th><td>"
                        + line.runs().stream().map(WorkingText::html).collect(Collectors.joining()) + "</td></tr>\n")
                .collect(Collectors.joining()) + "</table>\n";
    }

    private static String html(Run run) {
        return run.role() == Role.PLAIN ? markup(run.text())
                : "<span class=\"" + run.role().name().toLowerCase() + "\">" + markup(run.text()) + "</span>";
    }

    private static String markup(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }

    private static String pad(String text, int width) {
        return text + " ".repeat(width - text.length());
    }
}
