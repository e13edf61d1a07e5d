package galecrest.server.load;

import org.jspecify.annotations.Nullable;

/** A thing to take along; {@code kilograms} is of all of them together. */
record LoadItemRequest(@Nullable String box, @Nullable String name, int quantity, double kilograms) {}
