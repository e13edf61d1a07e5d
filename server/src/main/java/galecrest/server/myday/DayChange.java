package galecrest.server.myday;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A piece of work that was told otherwise. */
public record DayChange(
        String workId, @Nullable Instant before, @Nullable Instant after, String said) {}
