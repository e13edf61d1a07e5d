package galecrest.server.component;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What was done to a component, or happened to it.
 *
 * @param at when that was; now where nothing is said
 */
record HistoryRequest(
        HistoryKind kind, @Nullable String what, @Nullable Instant at) {}
