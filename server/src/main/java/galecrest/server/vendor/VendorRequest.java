package galecrest.server.vendor;

import jakarta.validation.constraints.NotBlank;
import java.util.List;

record VendorRequest(
        @NotBlank(message = "A vendor needs a name.") String name,
        String trade,
        String phone,
        String email,
        List<VendorHours> hours,
        List<VendorClosure> closures,
        List<OfferRequest> offers,
        List<SlotRequest> slots,
        int version) {}
