package pixeron.app.bench.counts;

import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;

/** Marks as they are made on paper: four strokes, and the fifth across them. */
final class TallyMarks extends Pane {

    private static final double STROKE = 5;
    private static final double GAP = 8;
    private static final double HEIGHT = 13;
    private static final int GROUP = 5;
    /** More marks than this are not drawn; the count beside them says how many there are. */
    private static final int MOST = 100;

    TallyMarks(int count, Color color) {
        setAccessibleText(count + " marks");
        double x = 2;
        for (int n = 1; n <= Math.min(count, MOST); n++) {
            boolean isAcross = n % GROUP == 0;
            Line line = isAcross ? new Line(x - (GROUP - 1) * STROKE - 2, HEIGHT - 2, x - STROKE + 2, 2)
                    : new Line(x, 1, x, HEIGHT);
            line.setStroke(color);
            line.setStrokeWidth(1.5);
            getChildren().add(line);
            x += isAcross ? GAP - STROKE : STROKE;
        }
        setMinHeight(HEIGHT + 2);
        setMaxHeight(HEIGHT + 2);
    }
}
