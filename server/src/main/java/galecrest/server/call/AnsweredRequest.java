package galecrest.server.call;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What a promised call came to, and when the next is promised; null for none. */
record AnsweredRequest(String said, @Nullable Instant next) {}
