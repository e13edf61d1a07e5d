package galecrest.core.tyre;

/**
 * A set of tyres.
 *
 * @param kind what it is for; a wet set is kept back and serves no planned session
 * @param state as it is now
 * @param cycles heat cycles that it has behind it, 0 or more
 */
public record TyreSet(String id, String name, Kind kind, State state, int cycles) {
    /** What a set is for. */
    public enum Kind {
        DRY,
        WET
    }

    /** Whether a set has been used. */
    public enum State {
        /** Never run. */
        NEW,
        /** Run gently once and cooled, so that it lasts. */
        SCUFFED,
        USED
    }

    public TyreSet {
        if (cycles < 0) {
            throw new IllegalArgumentException("A set has 0 heat cycles or more, not " + cycles + ".");
        }
    }

    public boolean isNew() {
        return state == State.NEW;
    }
}
