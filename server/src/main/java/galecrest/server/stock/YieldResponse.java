package galecrest.server.stock;

import org.jspecify.annotations.Nullable;

/** What a job puts on the shelf once it is done; null and 0 where nothing. */
record YieldResponse(@Nullable String shelfId, int quantity) {}
