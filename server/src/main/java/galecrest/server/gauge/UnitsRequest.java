package galecrest.server.gauge;

import galecrest.core.units.QuantityKind;
import galecrest.core.units.UnitSystem;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Which system is shown first for a kind, null for that of the house, or metric; what is not named stays as it is. */
record UnitsRequest(Map<QuantityKind, @Nullable UnitSystem> choices) {
    UnitsRequest(@Nullable Map<QuantityKind, @Nullable UnitSystem> choices) {
        this.choices = choices == null ? Map.of() : choices;
    }
}
