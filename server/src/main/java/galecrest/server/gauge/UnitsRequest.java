package galecrest.server.gauge;

import galecrest.core.units.QuantityKind;
import galecrest.core.units.UnitSystem;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Which system is shown first for each kind; what is not named goes by the house, and that by metric. */
record UnitsRequest(Map<QuantityKind, UnitSystem> choices) {
    UnitsRequest(@Nullable Map<QuantityKind, UnitSystem> choices) {
        this.choices = choices == null ? Map.of() : choices;
    }
}
