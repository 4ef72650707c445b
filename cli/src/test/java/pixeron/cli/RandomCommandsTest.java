package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Whatever chain, image and place: a command ends well or is refused in one line, and never by an exception inside. */
class RandomCommandsTest extends CommandTest {

    private static final int COMMANDS = 1500;

    private List<Path> images;
    private Path other;
    private Path color;

    @BeforeEach
    void writeImages() throws IOException {
        other = write("other.pgm", "P2 3 4 255\n9 8 7  200 5 4  3 255 1  0 17 33\n");
        color = write("color.ppm", "P3 3 4 255\n" + "52 55 7  255 0 128  1 2 3  90 80 70  ".repeat(3) + "\n");
        images = List.of(other, color, write("bits.pgm", "P2 4 4 7\n0 1 2 3  4 5 6 7  7 7 0 0  3 3 3 3\n"), write("one.pgm", "P2 1 1 15\n9\n"),
                write("column.ppm", "P3 1 3 255\n1 2 3  4 5 6  7 8 9\n"), write("zero.pgm", "P2 5 2 255\n" + "0 ".repeat(10)),
                write("open.csv", "1.5,-3\n40,1/3\n0,7\n"), write("alpha.pam", "P7\nWIDTH 2\nHEIGHT 2\nDEPTH 4\nMAXVAL 255\nTUPLTYPE RGB_ALPHA\nENDHDR\nabcdefghijklmnop"));
    }

    private String place(RandomLine lines) {
        return lines.one(List.of("0,0", "0,0", "1,1", "2,0", "0,2", "3,1", "9,9"));
    }

    @Test
    void noneEndsInside() {
        // Else nothing would be tried.
        assertThat(good(40)).isGreaterThan(COMMANDS / 6);
    }

    @Test
    void noneEndsInsideWithNumbersFromTheEndsOfTheWorld() {
        assertThat(good(2)).isPositive();
    }

    /** Returns how many random commands were carried out; all others were refused in one line. */
    private int good(int everyExtreme) {
        int good = 0;
        List<String> wrong = new ArrayList<>();
        for (int n = 0; n < COMMANDS; n++) {
            Random random = new Random(n);
            RandomLine lines = new RandomLine(random, everyExtreme);
            List<Object> words = new ArrayList<>(List.of(lines.one(List.of("run", "explain", "table", "check", "explain")), lines.one(images)));
            for (int step = random.nextInt(3); step >= 0; step--) {
                words.addAll(List.of("--step", lines.next()));
            }
            words.addAll(List.of("--image", "other=" + other, "--image", "color=" + color));
            if (words.get(1).toString().endsWith("open.csv")) {
                words.add("--open");
            }
            switch (words.get(0).toString()) {
                case "run" -> words.addAll(List.of("--out", folder.resolve(lines.one(List.of("out.csv", "out.png", "out.pam", "out.tif")))));
                case "explain" -> words.addAll(List.of("--at", place(lines), "--format", lines.one(List.of("text", "json", "latex", "html"))));
                case "check" -> words.addAll(List.of("--by-hand", lines.one(List.of(other, color, image)), "--format", lines.one(List.of("text", "json"))));
                default -> words.addAll(List.of("--format", lines.one(List.of("text", "json", "csv"))));
            }
            if (random.nextInt(4) == 0) {
                words.addAll(List.of("--face", lines.one(List.of("red", "green", "alpha", "magnitude", "real"))));
            }
            int code = pixeron(words.toArray());
            if (error.contains("Internal error") || code == 2 && error.lines().count() != 1) {
                wrong.add(n + ": " + String.join(" ", words.stream().map(word -> "'" + word + "'").toList()) + "\n" + error);
            }
            good += code == 2 ? 0 : 1;
        }
        assertThat(wrong).isEmpty();
        return good;
    }
}
