package galecrest.server.background;

import org.jspecify.annotations.Nullable;

/** The newest odds, absent until the first are ready. */
record OddsResponse(@Nullable OddsView odds) {}
