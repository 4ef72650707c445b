package pixeron.app.bench.parts;

import javafx.animation.AnimationTimer;
import pixeron.app.model.Walking;

/**
 * Tells what goes along with the picked pixel: while a walk plays in the frame after the one that draws the sheets, so that no frame draws both, and
 * not at all while it goes by faster than anybody could read.
 */
public final class AfterSheets {

    private final Walking walking;
    private final Runnable render;
    private final AnimationTimer nextFrame;

    /**
     * Creates it for one pane; its renderer is called when another pixel is picked.
     *
     * @param render draws it
     */
    public AfterSheets(Walking walking, Runnable render) {
        this.walking = walking;
        this.render = render;
        this.nextFrame = new AnimationTimer() {
            @Override
            public void handle(long now) {
                stop();
                render.run();
            }
        };
    }

    /** Another pixel is picked, or another moment of it; to be called on the window's thread. */
    public void request() {
        if (!walking.playingProperty().get()) {
            render.run();
        } else if (!walking.isRushing()) {
            nextFrame.start();
        }
    }
}
