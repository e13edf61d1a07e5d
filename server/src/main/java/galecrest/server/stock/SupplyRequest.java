package galecrest.server.stock;

import jakarta.validation.constraints.NotBlank;
import org.jspecify.annotations.Nullable;

record SupplyRequest(
        @NotBlank(message = "What is to be bought?") String name,
        String quantity,
        String boughtFrom,
        @Nullable String buildId) {}
