package galecrest.core.loom;

import java.util.Set;

/**
 * A control unit, a sensor or a consumer, and what becomes of it.
 *
 * @param needs the ids of those without which it does not work
 * @param mass kg; 0 where nobody has weighed it
 */
public record LoomModule(String id, String name, Decision decision, Set<String> needs, double mass) {
    /** What becomes of a module. */
    public enum Decision {
        UNDECIDED,
        KEEP,
        TAKE_OUT,
        REPLACE
    }

    public LoomModule {
        needs = Set.copyOf(needs);
    }

    /** Whether it, or what takes its place, is in the car afterwards. */
    boolean stays() {
        return decision == Decision.KEEP || decision == Decision.REPLACE;
    }
}
