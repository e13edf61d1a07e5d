package galecrest.server.stock;

import org.jspecify.annotations.Nullable;

/** What a job puts on the shelf once it is done; of nothing where no thing is named. */
record YieldRequest(@Nullable String shelfId, int quantity) {}
