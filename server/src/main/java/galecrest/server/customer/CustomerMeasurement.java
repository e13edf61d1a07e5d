package galecrest.server.customer;

import java.time.Instant;

/** Something that was measured and is shown to the customer. */
record CustomerMeasurement(String what, String value, Instant at) {}
