package galecrest.server.event;

import org.jspecify.annotations.Nullable;

/** Chooses the set of a car's session by hand; null lets it be chosen again. */
record TyreLockRequest(
        String buildId, String sessionId, @Nullable String setId) {}
