package galecrest.server.outwork;

import org.jspecify.annotations.Nullable;

/** Which of the offered times; none gives the booked one back. */
record BookingRequest(@Nullable String slotId) {}
