package pixeron.app.theme;

import javafx.scene.paint.Color;
import pixeron.working.Role;

/**
 * The colors that are drawn, not styled. The style sheets have the same values under the same names; a test compares
 * them.
 *
 * @param paper the ground under everything
 * @param panel sheets and cells that hold nothing yet
 * @param line hairlines
 * @param ink text
 * @param soft secondary text
 * @param before everything that comes from the input
 * @param after everything computed
 * @param byHand everything the user wrote
 * @param agree a value that agrees
 * @param differ a value that differs
 * @param differGround behind a value that differs
 * @param picked the frame of the picked pixel
 */
public record Palette(Color paper, Color panel, Color line, Color ink, Color soft, Color before, Color after,
        Color byHand, Color agree, Color differ, Color differGround, Color picked) {

    public static final Palette LIGHT = new Palette(Color.web("#F5F2EA"), Color.web("#FFFDF8"), Color.web("#DDD6C8"),
            Color.web("#23262C"), Color.web("#6E6A61"), Color.web("#59626E"), Color.web("#23508F"),
                    Color.web("#9A5B00"),
            Color.web("#0E6F66"), Color.web("#BF3B0F"), Color.web("#FBE7DF"), Color.web("#E0A100"));

    public static final Palette DARK = new Palette(Color.web("#1B1D21"), Color.web("#24272C"), Color.web("#3D4148"),
            Color.web("#ECE7DC"), Color.web("#A9A498"), Color.web("#AEB8C4"), Color.web("#8DB4F0"),
                    Color.web("#E5A94A"),
            Color.web("#5CC9BC"), Color.web("#FF9268"), Color.web("#45281D"), Color.web("#F0B400"));

    /** Returns the color of a piece of a working. */
    public Color of(Role role) {
        return switch (role) {
            case BEFORE -> before;
            case AFTER -> after;
            case OUTSIDE -> soft;
            case NOTE -> soft;
            case PLAIN -> ink;
        };
    }
}
