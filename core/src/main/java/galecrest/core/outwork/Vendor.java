package galecrest.core.outwork;

import galecrest.core.time.Arrival;
import galecrest.core.time.Closure;
import galecrest.core.time.Shift;
import java.util.List;
import java.util.Optional;

/**
 * An outside firm with its own opening hours, in the shop's time zone.
 *
 * @param record how it has kept its word, where it is known
 */
public record Vendor(
        VendorId id,
        String name,
        String trade,
        String phone,
        List<Shift> hours,
        List<Closure> closures,
        Optional<VendorRecord> record) {
    public Vendor {
        hours = List.copyOf(hours);
        closures = List.copyOf(closures);
    }

    /** What a promise of this firm is worth. */
    public Arrival expected(Arrival promise) {
        return record.orElse(VendorRecord.NONE).correct(promise);
    }
}
