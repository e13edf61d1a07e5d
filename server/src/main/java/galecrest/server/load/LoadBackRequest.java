package galecrest.server.load;

import org.jspecify.annotations.Nullable;

/** How many of a thing came back from an event; null takes the count away. */
record LoadBackRequest(@Nullable Integer back) {}
