package galecrest.server.event;

import galecrest.core.tyre.TyreSet;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A set of tyres; {@code madeOn} is null where nobody says. */
record TyreSetResponse(
        String id,
        String buildId,
        String name,
        TyreSet.Kind kind,
        TyreSet.State state,
        int cycles,
        @Nullable LocalDate madeOn,
        int version) {
    TyreSet set() {
        return new TyreSet(id, name, kind, state, cycles);
    }
}
