package galecrest.server.parts;

import org.jspecify.annotations.Nullable;

record ShelfView(
        String id,
        String name,
        String place,
        int quantity,
        int reserved,
        int least,
        @Nullable String vendorId,
        int version) {}
