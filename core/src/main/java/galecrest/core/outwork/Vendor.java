package galecrest.core.outwork;

import galecrest.core.time.Closure;
import galecrest.core.time.Shift;
import java.util.List;

/** An outside firm with its own opening hours, in the shop's time zone. */
public record Vendor(VendorId id, String name, String trade, String phone, List<Shift> hours, List<Closure> closures) {
    public Vendor {
        hours = List.copyOf(hours);
        closures = List.copyOf(closures);
    }
}
