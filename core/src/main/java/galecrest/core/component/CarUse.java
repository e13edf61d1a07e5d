package galecrest.core.component;

import galecrest.core.build.BuildId;
import java.time.Instant;

/**
 * A use of a car: a fire, a run, a session, an event, an impact. It wears whatever is fitted at that moment.
 *
 * @param at when it ended
 * @param what it was, in words
 * @param warm whether the engine was warm through
 */
public record CarUse(String id, BuildId build, Instant at, Wear wear, String what, boolean warm) {}
