package pixeron.app.bench.walk;

import javafx.animation.AnimationTimer;
import pixeron.app.model.Speed;
import pixeron.app.model.Walking;

/** Plays a walk: at slow speed line by line, at normal speed pixel by pixel, at fast speed many pixels in each frame. */
final class Player extends AnimationTimer {

    private static final long SLOW_NANOS = 350_000_000L;
    private static final long NORMAL_NANOS = 250_000_000L;
    /** A fast walk over a whole image takes about this many frames, six seconds. */
    private static final int FAST_FRAMES = 360;

    private final Walking walking;
    private long last;

    Player(Walking walking) {
        this.walking = walking;
        walking.playingProperty().subscribe(isOn -> {
            last = 0;
            if (isOn) {
                start();
            } else {
                stop();
            }
        });
    }

    @Override
    public void handle(long now) {
        Speed speed = walking.speedProperty().get();
        long apart = speed == Speed.SLOW ? SLOW_NANOS : speed == Speed.NORMAL ? NORMAL_NANOS : 0;
        if (!walking.isOn() || walking.walk().isAtEnd()) {
            walking.playingProperty().set(false);
        } else if (now - last >= apart) {
            last = now;
            step(speed);
        }
    }

    private void step(Speed speed) {
        switch (speed) {
            case SLOW -> walking.oneMoment();
            case NORMAL -> walking.forward();
            case FAST -> walking.to(walking.walk().written()
                    + Math.max(1, walking.walk().visits().count() / FAST_FRAMES));
        }
    }
}
