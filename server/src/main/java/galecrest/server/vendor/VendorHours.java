package galecrest.server.vendor;

import java.time.LocalTime;

/** Opening hours on a weekday, 1 for Monday. */
record VendorHours(int day, LocalTime start, LocalTime end) {}
