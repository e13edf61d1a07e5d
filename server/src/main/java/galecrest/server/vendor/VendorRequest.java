package galecrest.server.vendor;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;

record VendorRequest(
        @NotBlank(message = "A vendor needs a name.") String name,
        String trade,
        String phone,
        String email,

        @Size(max = 50, message = "At most 50 opening hours.")
        List<VendorHours> hours,

        @Size(max = 200, message = "At most 200 closures; drop those that are over.")
        List<VendorClosure> closures,

        @Size(max = 100, message = "At most 100 offers.") List<OfferRequest> offers,

        @Size(max = 200, message = "At most 200 offered times; drop those that are over.")
        List<SlotRequest> slots,

        int version) {}
