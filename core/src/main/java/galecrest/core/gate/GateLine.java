package galecrest.core.gate;

import galecrest.core.build.Gate;
import galecrest.core.gauge.Measured;
import java.util.Optional;

/**
 * A thing that a gate asks for.
 *
 * @param key what it is known by, from template to car: signatures hang on it
 * @param text in the words of the shop
 * @param restsOn of a measurement, what must be measured; of a signature, what makes it void once it is disturbed
 * @param never whether nobody may pass the gate while this is not so
 */
public record GateLine(String key, Gate gate, String text, Asks asks, Optional<Measured> restsOn, boolean never) {
    private static final int LONGEST = 160;

    /** What makes a line so. */
    public enum Asks {
        /** All essential work up to the gate is done. */
        JOBS,
        /** What was found up to the gate is put right. */
        FINDINGS,
        /** What was fitted for now is made good. */
        FOR_NOW,
        /** It was measured, is as it should be, and nothing has disturbed it since. */
        MEASURED,
        /** Somebody put a name to it, and nothing has disturbed it since. */
        SIGNED,
        /** No component of the car is beyond its life or its date. */
        COMPONENTS
    }

    public GateLine {
        if (key.isBlank() || text.isBlank() || text.length() > LONGEST) {
            throw new IllegalArgumentException("A line of a gate says what it asks in 1 to " + LONGEST + " letters.");
        }
        if (asks == Asks.MEASURED && restsOn.isEmpty()) {
            throw new IllegalArgumentException("\"" + text + "\" does not say what is to be measured.");
        }
    }

    /** Whether a passed gate rests on this: work that is found later does not open it again, but what is disturbed does. */
    boolean carriesThePassing() {
        return asks == Asks.MEASURED || asks == Asks.SIGNED || asks == Asks.COMPONENTS;
    }
}
