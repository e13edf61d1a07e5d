package galecrest.server.event;

import galecrest.core.tyre.TyreSet;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A set of tyres as somebody enters it; {@code version} 0 for a new one. */
record TyreSetRequest(
        String buildId,
        @Nullable String name,
        TyreSet.Kind kind,
        TyreSet.State state,
        int cycles,
        @Nullable LocalDate madeOn,
        int version) {}
