package galecrest.server.errand;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Another time for an errand. */
record ErrandTimeRequest(@Nullable Instant from, Instant by) {}
