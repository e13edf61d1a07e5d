package galecrest.server.stock;

import org.jspecify.annotations.Nullable;

record ShelfRequest(
        String name,
        String place,
        int quantity,
        int least,
        @Nullable String vendorId,
        int version) {}
