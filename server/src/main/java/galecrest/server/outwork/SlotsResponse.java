package galecrest.server.outwork;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The times that are offered, and the one it is booked for; how likely it is in time for them is with the odds. */
record SlotsResponse(List<SlotView> offered, @Nullable Instant booked) {}
