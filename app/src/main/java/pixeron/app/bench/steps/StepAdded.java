package pixeron.app.bench.steps;

import javafx.event.Event;
import javafx.event.EventType;

/** A step was added; its first parameter is what the person wants to set next. */
public final class StepAdded extends Event {

    public static final EventType<StepAdded> ADDED = new EventType<>(Event.ANY, "STEP_ADDED");

    StepAdded() {
        super(ADDED);
    }
}
