package pixeron.app.bench.parts;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.TransferMode;

/** Files that are dragged onto a part of the window. */
public final class FileDrop {

    private FileDrop() {
    }

    /**
     * Accepts files that are dropped on a part of the window.
     *
     * @param node files can be let go over it
     * @param dropped gets them, at least one
     */
    public static void on(Node node, Consumer<List<Path>> dropped) {
        node.setOnDragOver(event -> {
            if (event.getDragboard().hasFiles()) {
                event.acceptTransferModes(TransferMode.COPY);
                event.consume();
            }
        });
        node.setOnDragDropped(event -> {
            if (event.getDragboard().hasFiles()) {
                dropped.accept(event.getDragboard().getFiles().stream().map(File::toPath).toList());
                event.setDropCompleted(true);
                event.consume();
            }
        });
    }
}
