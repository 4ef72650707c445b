package pixeron.app.theme;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.Parent;
import javafx.scene.text.Font;
import pixeron.PixeronException;

/**
 * The look that is chosen now. Style classes of the root switch between light and dark and between type sizes; what is
 * drawn listens to {@link #paletteProperty} and {@link #scaleProperty}.
 */
public final class Theme {

    /** The family of every number. */
    public static final String NUMBERS = "JetBrains Mono";

    private static final double LARGE = 1.35;
    private static final double LECTURE = 1.6;
    /** Type as it is, in percent. */
    public static final int NORMAL_TYPE = 100;
    /** Type in a layout of its own that fits the same window. */
    public static final int LARGE_TYPE = 135;
    private static final String DARK_CLASS = "dark";
    private static final String LARGE_CLASS = "large";
    /** Style class of a root under which nothing moves by itself. */
    public static final String STILL_CLASS = "still";
    private static final String TYPE_CLASS = "type-";
    private static final String LECTURE_CLASS = "lecture";
    private static final List<String> WORD_FONTS = List.of("Inter-Regular.ttf", "Inter-Bold.ttf");
    private static final List<String> NUMBER_FONTS = List.of("JetBrainsMono-Regular.ttf", "JetBrainsMono-Bold.ttf");

    private final Parent root;
    private boolean hasNumbers;
    private final ReadOnlyObjectWrapper<Palette> palette = new ReadOnlyObjectWrapper<>(Palette.LIGHT);
    private double magnified = 1;
    private final ReadOnlyObjectWrapper<Double> magnification = new ReadOnlyObjectWrapper<>(1.0);
    private final ReadOnlyObjectWrapper<Double> scale = new ReadOnlyObjectWrapper<>(1.0);

    /**
     * Gives a window its style sheet and loads the fonts.
     *
     * @param root gets the style sheet and the style classes
     */
    public Theme(Parent root) {
        this.root = root;
        WORD_FONTS.forEach(Theme::load);
        root.getStyleClass().add("pixeron");
        root.getStylesheets().add(Theme.class.getResource("/pixeron/app/pixeron.css").toExternalForm());
    }

    /** Loads the fonts of numbers, before the first number is shown; the opening view has none. */
    public void loadNumbers() {
        if (!hasNumbers) {
            hasNumbers = true;
            NUMBER_FONTS.forEach(Theme::load);
        }
    }

    private static void load(String font) {
        try (InputStream in = Theme.class.getResourceAsStream("/pixeron/fonts/" + font)) {
            Font.loadFont(in, 13);
        } catch (IOException broken) {
            throw PixeronException.because(broken, "Cannot read the font %s from Pixeron's own files.", font);
        }
    }

    public ReadOnlyObjectProperty<Palette> paletteProperty() {
        return palette.getReadOnlyProperty();
    }

    public Palette palette() {
        return palette.get();
    }

    /** How much larger than normal type is: 1, 1.35 or, in a lecture, 1.6. */
    public ReadOnlyObjectProperty<Double> scaleProperty() {
        return scale.getReadOnlyProperty();
    }

    public double scale() {
        return scale.get();
    }

    public boolean isDark() {
        return palette.get() == Palette.DARK;
    }

    public boolean isLarge() {
        return root.getStyleClass().contains(LARGE_CLASS);
    }

    public boolean isStill() {
        return root.getStyleClass().contains(STILL_CLASS);
    }

    /**
     * Switches motion on or off.
     *
     * @param still whether nothing is to move by itself: for people whom motion distracts or makes ill
     */
    public void setStill(boolean still) {
        put(STILL_CLASS, still);
    }

    public void setDark(boolean dark) {
        put(DARK_CLASS, dark);
        palette.set(dark ? Palette.DARK : Palette.LIGHT);
    }

    public void setLarge(boolean large) {
        setType(large ? LARGE_TYPE : NORMAL_TYPE);
    }

    /**
     * Sets the size of type.
     *
     * @param percent how large type is: {@link #NORMAL_TYPE}, {@link #LARGE_TYPE}, or that one magnified
     */
    public void setType(int percent) {
        put(LARGE_CLASS, percent >= LARGE_TYPE);
        // Menus and tips are windows of their own, which nothing magnifies; the style sheet gives them their size.
        root.getStyleClass().removeIf(name -> name.startsWith(TYPE_CLASS));
        root.getStyleClass().add(TYPE_CLASS + percent);
        magnified = Math.max(1, percent / (double) LARGE_TYPE);
        showScale();
    }

    /** How much larger everything is shown, type and all; 1 where nothing is magnified. */
    public ReadOnlyObjectProperty<Double> magnificationProperty() {
        return magnification.getReadOnlyProperty();
    }

    /**
     * Switches the lecture view on or off.
     *
     * @param lecture whether everything is as large as the last row of a room needs it
     */
    public void setLecture(boolean lecture) {
        put(LECTURE_CLASS, lecture);
        showScale();
    }

    private void showScale() {
        // In a lecture everything is large already.
        magnification.set(root.getStyleClass().contains(LECTURE_CLASS) ? 1 : magnified);
        scale.set(root.getStyleClass().contains(LECTURE_CLASS) ? LECTURE
                : root.getStyleClass().contains(LARGE_CLASS) ? LARGE : 1.0);
    }

    private void put(String styleClass, boolean isOn) {
        root.getStyleClass().remove(styleClass);
        if (isOn) {
            root.getStyleClass().add(styleClass);
        }
    }
}
