package galecrest.core.units;

/** Which system of units is shown first for each kind of quantity; the other stands beside it. */
@FunctionalInterface
public interface Units {
    /** The system for that kind. */
    UnitSystem of(QuantityKind kind);
}
