package galecrest.core.units;

/** Which units are shown first; the others always stand beside. */
public enum UnitSystem {
    METRIC,
    CUSTOMARY;

    /** The one that stands beside. */
    public UnitSystem other() {
        return this == METRIC ? CUSTOMARY : METRIC;
    }
}
