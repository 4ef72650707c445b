package pixeron.app.bench;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import pixeron.Wording;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.image.SpectrumFace;

/** Which face of a spectrum is looked at. Hidden where there is no spectrum. */
public final class FaceBar extends HBox {

    /** The most usual one first. */
    public static final List<SpectrumFace> ORDER = List.of(SpectrumFace.LOG, SpectrumFace.MAGNITUDE, SpectrumFace.PHASE, SpectrumFace.REAL, SpectrumFace.IMAGINARY);

    private final Bench bench;
    private final Map<SpectrumFace, ToggleButton> faces = new EnumMap<>(SpectrumFace.class);

    FaceBar(Bench bench) {
        this.bench = bench;
        getStyleClass().add("channel-bar");
        ToggleGroup group = new ToggleGroup();
        for (SpectrumFace face : ORDER) {
            ToggleButton button = new ToggleButton(Wording.capital(face.word()));
            button.setTooltip(new Tooltip(Wording.capital(face.sentence()) + " (Alt+" + (faces.size() + 1) + ")"));
            button.setAccessibleText(button.getText() + ": " + face.sentence());
            button.setToggleGroup(group);
            button.setMinWidth(USE_PREF_SIZE);
            button.setOnAction(event -> {
                button.setSelected(true);
                bench.looking().channelProperty().set(face.word());
            });
            faces.put(face, button);
            getChildren().add(button);
        }
        bench.shownProperty().subscribe(this::render);
        bench.looking().channelProperty().subscribe(channel -> render(bench.shown()));
    }

    private void render(Shown shown) {
        boolean isThere = shown != null && shown.hasSpectrum();
        setVisible(isThere);
        setManaged(isThere);
        if (isThere) {
            Seen seen = shown.seenAfter().filter(Seen::isSpectrum).or(shown::seenBefore).orElseThrow();
            SpectrumFace.named(seen.name(bench.looking().channelProperty().get())).ifPresent(face -> faces.get(face).setSelected(true));
        }
    }
}
