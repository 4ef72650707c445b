package pixeron.app.sheet;

import javafx.scene.Cursor;
import pixeron.step.Grip;

/** Something on a sheet that is taken hold of and dragged; places are in rows and columns with fractions, and may lie outside. */
public interface Hold {

    /** Returns how the pointer looks over it. */
    Cursor cursor();

    /**
     * Continues or ends the drag.
     *
     * @param from where it was taken hold of
     * @param to where the pointer is now, measured as when it was taken hold of, whatever has changed on the sheet since
     * @param isEnd true when it was let go
     */
    void to(Grip.Place from, Grip.Place to, boolean isEnd);
}
