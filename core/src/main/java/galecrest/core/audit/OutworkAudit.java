package galecrest.core.audit;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.Outwork;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;

/** Rules of outwork: slots, the vendor's calendar, doors that are open. */
final class OutworkAudit {
    /** Within so many days a vendor opens twice, if it ever does. */
    private static final int DOORS_DAYS = 60;

    private final AuditCase audit;
    private final ExpectedArrivals arrivals;
    private final ShopSnapshot shop;
    private final Map<VendorId, Vendor> vendors;
    private final OpenHours shopHours;

    OutworkAudit(AuditCase audit) {
        this.audit = audit;
        arrivals = new ExpectedArrivals(audit);
        shop = audit.shop;
        vendors = audit.vendors;
        shopHours = audit.shopHours;
    }

    void outwork(Outwork work, Plan.Placed p) {
        if (!p.crew().isEmpty() || p.station().isPresent()) {
            audit.broken("outwork", work, "takes people or a station of the shop");
        }
        long leaves = AuditCase.at(p.start());
        long back = AuditCase.at(p.end());
        if (AuditCase.at(p.ready())
                != shopHours.after(back, AuditCase.roundUp(work.inspection().value()))) {
            audit.broken("outwork", work, "is not ready just when it has been inspected");
        }
        if (work.away().isPresent()) {
            if (back != AuditCase.roundUp(arrivals.back(work))) {
                audit.broken("outwork", work, "is back at another time than expected");
            }
            return;
        }
        long out = AuditCase.roundUp(work.transportOut().toMinutes());
        long home = AuditCase.roundUp(work.transportBack().toMinutes());
        boolean bySlot = work.slot().isPresent() && !p.slotMissed();
        if (bySlot) {
            var slot = work.slot().get();
            if (leaves + work.transportOut().toMinutes() > AuditCase.at(slot.from())
                    || back < AuditCase.at(slot.to()) + work.transportBack().toMinutes()) {
                audit.broken("slot", work, "misses its slot without saying so");
            }
        } else {
            if (!shopHours.isOpen(leaves)) {
                audit.broken("outwork", work, "leaves when nobody is in the shop");
            }
            shutDoor(work, leaves, out);
            long done = vendorDone(work, leaves + out);
            if (back != done + home) {
                audit.broken("outwork", work, "is back at another time than the vendor's calendar gives");
            }
        }
    }

    /** What arrives at a vendor who is shut could not have left so as to arrive at either of the next two openings. */
    private void shutDoor(Outwork work, long leaves, long out) {
        var vendor = vendors.get(work.vendor());
        LocalDate first = Instant.ofEpochSecond((leaves + out) * 60)
                .atZone(shop.zone())
                .toLocalDate()
                .minusDays(1);
        OpenHours open =
                OpenHours.weekly(vendor.hours(), vendor.closures(), shop.zone(), first, first.plusDays(DOORS_DAYS));
        long arrives = leaves + out;
        if (open.isOpen(arrives)) {
            return;
        }
        for (int door = 0; door < 2; door++) {
            var next = open.stretchAfter(arrives);
            if (next.isEmpty()) {
                return;
            }
            long opens = AuditCase.roundUp(next.get()[0]);
            for (long at = opens; at < next.get()[1]; at += AuditCase.GRID) {
                if (shopHours.isOpen(at - out)) {
                    audit.broken("outwork", work, "arrives at a vendor who is shut; it could leave later");
                    return;
                }
            }
            arrives = next.get()[1];
        }
    }

    /** Closing time of the vendor's working day that lies the turnaround after the day on which it is brought. */
    private long vendorDone(Outwork work, long arrives) {
        var vendor = vendors.get(work.vendor());
        LocalDate day = Instant.ofEpochSecond(arrives * 60).atZone(shop.zone()).toLocalDate();
        int toGo = work.turnaround().likely();
        for (int guard = 0; guard < 2000; guard++, day = day.plusDays(1)) {
            LocalDate date = day;
            if (vendor.closures().stream().anyMatch(c -> !date.isBefore(c.from()) && !date.isAfter(c.to()))) {
                continue;
            }
            long closes = vendor.hours().stream()
                    .filter(s -> s.day() == date.getDayOfWeek())
                    .mapToLong(s ->
                            OpenHours.minute((s.end().equals(java.time.LocalTime.MIDNIGHT) ? date.plusDays(1) : date)
                                    .atTime(s.end())
                                    .atZone(shop.zone())
                                    .toInstant()))
                    .max()
                    .orElse(Long.MIN_VALUE);
            if (closes > arrives && toGo-- == 0) {
                return AuditCase.roundUp(closes);
            }
        }
        return Long.MAX_VALUE;
    }
}
