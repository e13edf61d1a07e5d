package galecrest.server.vendor;

import java.util.List;

record VendorRequest(
        String name,
        String trade,
        String phone,
        String email,
        List<VendorHours> hours,
        List<VendorClosure> closures,
        List<OfferRequest> offers,
        List<SlotRequest> slots,
        int version) {}
