package galecrest.server.background;

import org.jspecify.annotations.Nullable;

/** Thinking that was asked for; {@code harder} or {@code rescue} by its kind. */
record ThoughtResponse(
        String id,
        Thought.Kind kind,
        String subject,
        int seconds,
        String askedBy,
        java.time.Instant askedAt,
        Thought.State state,
        AnalysisWorker.@Nullable Progress harder,
        @Nullable RescueView rescue,
        @Nullable PromiseView promise) {}
