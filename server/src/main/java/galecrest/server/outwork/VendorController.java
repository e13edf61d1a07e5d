package galecrest.server.outwork;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/vendors")
class VendorController {
    private final VendorService vendors;

    VendorController(VendorService vendors) {
        this.vendors = vendors;
    }

    /** Opening hours on a weekday, 1 for Monday. */
    record VendorHours(int day, LocalTime start, LocalTime end) {}

    record VendorClosure(LocalDate from, LocalDate to, String reason) {}

    /** A line of the price list, with its lead time in the vendor's working days. */
    record OfferForm(String what, @Nullable BigDecimal price, int lowDays, int likelyDays, int highDays) {}

    /** A time that is offered. */
    record SlotForm(@Nullable String id, Instant from, Instant to, String note) {}

    record VendorForm(
            String name,
            String trade,
            String phone,
            String email,
            List<VendorHours> hours,
            List<VendorClosure> closures,
            List<OfferForm> offers,
            List<SlotForm> slots,
            int version) {}

    record AddedVendor(String id) {}

    @PostMapping
    AddedVendor add(@RequestBody VendorForm form) {
        return new AddedVendor(vendors.add(form));
    }

    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody VendorForm form) {
        vendors.change(id, form);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        vendors.remove(id);
    }
}
