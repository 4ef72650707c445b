package pixeron.app.bench.parts;

import javafx.beans.value.ObservableValue;

/** Draws what is in a tab only while the tab is open: what nobody sees is not made anew at every key. */
public final class WhenSeen {

    private final ObservableValue<Boolean> isSeen;
    private final Runnable render;
    private boolean isDue;

    /**
     * Creates a renderer that waits while its tab is closed and draws once when it opens.
     *
     * @param isSeen whether the tab is open
     * @param render draws all of it
     */
    public WhenSeen(ObservableValue<Boolean> isSeen, Runnable render) {
        this.isSeen = isSeen;
        this.render = render;
        isSeen.subscribe(seen -> {
            if (seen && isDue) {
                request();
            }
        });
    }

    /** Something changed: draws now, or as soon as the tab is open. */
    public void request() {
        isDue = !isSeen.getValue();
        if (!isDue) {
            render.run();
        }
    }
}
