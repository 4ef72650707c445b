package pixeron.app.help.figure;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import pixeron.app.theme.Theme;
import pixeron.help.figure.FigureMark;
import pixeron.help.figure.Figures;

/** The figures of a window. Each is drawn when it is first shown and kept, because it listens to the theme as long as the window lives. */
public final class FigureViews {

    private final Theme theme;
    private final Map<String, Node> drawn = new HashMap<>();

    public FigureViews(Theme theme) {
        this.theme = theme;
    }

    /** Returns the figure of this mark; empty where there is none of its name. */
    public Optional<Node> find(FigureMark mark) {
        return Optional.ofNullable(drawn.computeIfAbsent(mark.name(), name -> Figures.find(name).map(figure -> new FigureView(figure, mark.words(), theme)).orElse(null)));
    }
}
