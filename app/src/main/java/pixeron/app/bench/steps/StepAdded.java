package pixeron.app.bench.steps;

import javafx.event.Event;
import javafx.event.EventType;

/** Fired on a part of the bench when a step was added there in any way: its first parameter is what the user sets next. */
public final class StepAdded extends Event {

    public static final EventType<StepAdded> ADDED = new EventType<>(Event.ANY, "STEP_ADDED");

    public StepAdded() {
        super(ADDED);
    }
}
