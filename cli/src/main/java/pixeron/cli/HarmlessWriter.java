package pixeron.cli;

import java.io.FilterWriter;
import java.io.IOException;
import java.io.Writer;
import pixeron.Harmless;

/** What goes to a terminal: names of files and cells of others do not move its cursor, color it or turn its lines around. */
final class HarmlessWriter extends FilterWriter {

    HarmlessWriter(Writer out) {
        super(out);
    }

    @Override
    public void write(int sign) throws IOException {
        out.write(harmless((char) sign));
    }

    @Override
    public void write(char[] signs, int from, int count) throws IOException {
        write(new String(signs, from, count));
    }

    @Override
    public void write(String text, int from, int count) throws IOException {
        write(text.substring(from, from + count));
    }

    @Override
    public void write(String text) throws IOException {
        boolean isHarmless = text.chars().allMatch(sign -> harmless((char) sign) == sign);
        if (isHarmless) {
            out.write(text);
        } else {
            StringBuilder made = new StringBuilder(text.length());
            text.chars().forEach(sign -> made.append(harmless((char) sign)));
            out.write(made.toString());
        }
    }

    /** Lines end and columns are parted as they are. */
    private static char harmless(char sign) {
        return sign == '\n' || sign == '\r' || sign == '\t' || !Harmless.isActing(sign) ? sign : ' ';
    }
}
