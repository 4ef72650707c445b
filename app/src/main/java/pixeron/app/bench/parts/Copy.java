package pixeron.app.bench.parts;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import pixeron.image.Image;
import pixeron.number.Decimals;

/** Puts text on the clipboard. */
public final class Copy {

    /** More values than a spreadsheet takes in one block with pleasure. */
    public static final int MOST_VALUES = 1 << 20;

    private Copy() {
    }

    /**
     * Copies a text.
     *
     * @param text replaces what is on the clipboard
     */
    public static void text(String text) {
        ClipboardContent content = new ClipboardContent();
        content.putString(text);
        Clipboard.getSystemClipboard().setContent(content);
    }

    /** Copies a table with tabs between the cells. */
    public static void table(int rows, int columns, java.util.function.IntFunction<String> cell) {
        text(IntStream.range(0, rows).mapToObj(i -> IntStream.range(0, columns)
                .mapToObj(j -> cell.apply(i * columns + j)).collect(Collectors.joining("\t")))
                .collect(Collectors.joining("\n")) + "\n");
    }

    /** Copies the samples of an image as a table. */
    public static void table(Image image) {
        table(image.rows(), image.columns(), n -> Decimals.table(image.value(n)));
    }
}
