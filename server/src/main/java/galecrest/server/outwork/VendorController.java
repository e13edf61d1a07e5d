package galecrest.server.outwork;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
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

    record VendorForm(
            String name,
            String trade,
            String phone,
            String email,
            List<VendorHours> hours,
            List<VendorClosure> closures,
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
