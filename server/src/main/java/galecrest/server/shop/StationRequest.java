package galecrest.server.shop;

import jakarta.validation.constraints.NotBlank;
import java.util.List;

record StationRequest(
        @NotBlank(message = "A station needs a name.") String name,

        @NotBlank(message = "A station needs a kind, such as lift or bay.")
        String kind,

        List<ClosureRequest> closures,
        int version) {}
