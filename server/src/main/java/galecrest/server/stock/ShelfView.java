package galecrest.server.stock;

import org.jspecify.annotations.Nullable;

public record ShelfView(
        String id,
        String name,
        String place,
        int quantity,
        int reserved,
        int least,
        @Nullable String vendorId,
        int version) {}
