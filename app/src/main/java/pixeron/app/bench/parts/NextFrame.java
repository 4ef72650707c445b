package pixeron.app.bench.parts;

import javafx.animation.AnimationTimer;

/** Does something once in the frame after this one, however often it is asked for in this one: sheets and words need not be drawn in the same frame. */
public final class NextFrame {

    private final AnimationTimer timer;

    public NextFrame(Runnable action) {
        this.timer = new AnimationTimer() {
            @Override
            public void handle(long now) {
                stop();
                action.run();
            }
        };
    }

    /** To be called on the window's thread. */
    public void request() {
        timer.start();
    }
}
