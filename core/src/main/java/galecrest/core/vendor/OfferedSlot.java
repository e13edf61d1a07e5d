package galecrest.core.vendor;

import galecrest.core.time.Span;

/** A time that a firm offers for outside work and that nobody has booked yet. */
public record OfferedSlot(String id, Span when) {}
