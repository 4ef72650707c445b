package pixeron.app.bench;

import javafx.event.Event;
import javafx.event.EventType;

/** A step was added; its first parameter is what the person wants to set next. */
final class StepAdded extends Event {

    static final EventType<StepAdded> ADDED = new EventType<>(Event.ANY, "STEP_ADDED");

    StepAdded() {
        super(ADDED);
    }
}
