package galecrest.core.units;

/** Which units are shown first; the others always stand beside. */
public enum UnitSystem implements Units {
    METRIC,
    CUSTOMARY;

    /** The one that stands beside. */
    public UnitSystem other() {
        return this == METRIC ? CUSTOMARY : METRIC;
    }

    @Override
    public UnitSystem of(QuantityKind kind) {
        return this;
    }
}
