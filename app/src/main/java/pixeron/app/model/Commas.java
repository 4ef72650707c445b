package pixeron.app.model;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.BiConsumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import pixeron.byhand.Grouping;
import pixeron.byhand.HandSheet;
import pixeron.byhand.HandValue;
import pixeron.byhand.table.HandTable;
import pixeron.image.Pixel;

/**
 * How a number such as 1,234 is meant in this work. It is read as 1.234 until the user says otherwise; they are asked when the first
 * one is written.
 */
public final class Commas {

    /** What the comma of such a number is. */
    public enum Reading { NOT_SAID, DECIMAL, GROUPS }

    private Reading reading = Reading.NOT_SAID;
    private final ReadOnlyStringWrapper asked = new ReadOnlyStringWrapper("");

    /** The number about which the user is to be asked; empty where there is nothing to ask. */
    public ReadOnlyStringProperty askedProperty() {
        return asked.getReadOnlyProperty();
    }

    /** Another work was opened: nothing is known of it. */
    void begin() {
        reading = Reading.NOT_SAID;
        asked.set("");
    }

    void say(Reading answer) {
        reading = answer;
        asked.set("");
    }

    /** Returns what was written as it is meant; what was there before is left alone. */
    HandSheet read(HandSheet before, HandSheet written) {
        Map<Pixel, String> meant = new LinkedHashMap<>();
        written.cells().forEach((pixel, value) -> read(before.cells(), value, pixel, meant::put));
        return meant.isEmpty() ? written : written.with(meant);
    }

    HandTable read(HandTable before, HandTable written) {
        Map<HandTable.Place, String> meant = new LinkedHashMap<>();
        written.cells().forEach((place, value) -> read(before.cells(), value, place, meant::put));
        return meant.isEmpty() ? written : written.with(meant);
    }

    private <P> void read(Map<P, HandValue> before, HandValue value, P place, BiConsumer<P, String> meant) {
        // Hardly one of thousands has a comma, which is seen at once.
        if (value.text().indexOf(',') >= 0 && Grouping.isEither(value.text()) && !value.equals(before.get(place))) {
            if (reading == Reading.GROUPS) {
                meant.accept(place, Grouping.withoutGroups(value.text()));
            } else if (reading == Reading.NOT_SAID) {
                asked.set(value.text());
            }
        }
    }
}
