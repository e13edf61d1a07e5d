package galecrest.server.vendor;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A time that is offered. */
record SlotRequest(@Nullable String id, Instant from, Instant to, String note) {}
