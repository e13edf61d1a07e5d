package galecrest.server.money;

import org.jspecify.annotations.Nullable;

/** A job with its estimate and what the clock says, in minutes; likely is of all its hands together. */
record JobRow(
        String name, String status, long likely, @Nullable Long worked) {}
