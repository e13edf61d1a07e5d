package galecrest.server.scrutiny;

import galecrest.core.trackday.AfterImpact;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * That a car hit something.
 *
 * @param key of the request: sent twice, it is counted once
 * @param looks what is to be looked at, of {@link AfterImpact#looks()}; each becomes a job
 */
record ImpactRequest(
        @Nullable String key,
        @Nullable AfterImpact where,
        @Nullable String what,
        @Nullable List<String> looks) {}
