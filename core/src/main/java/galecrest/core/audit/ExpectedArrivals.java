package galecrest.core.audit;

import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.time.Arrival;
import galecrest.core.vendor.Offer;
import galecrest.core.vendor.Vendor;
import galecrest.core.vendor.VendorRecord;
import galecrest.core.work.Outwork;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * When things from outside come, going by what was promised and how their vendors have kept their word; derived anew. What
 * should be here and is not is taken to come by the worst that was promised, and after that tomorrow.
 */
final class ExpectedArrivals {
    private static final int YEAR = 366;
    /** With so many deliveries half of a record is believed. */
    private static final double HALF_BELIEVED = 3;

    private static final List<PartState> NOT_ORDERED = List.of(PartState.WANTED, PartState.SPECIFIED, PartState.QUOTED);

    private final AuditCase audit;

    ExpectedArrivals(AuditCase audit) {
        this.audit = audit;
    }

    /** The minute in which a part that is not here comes. */
    long part(PartLine part) {
        Optional<Vendor> vendor = part.vendor().map(audit.vendors::get);
        Optional<Arrival> promise = part.arrival();
        if (part.state() == PartState.REFUSED || part.state() == PartState.RETURNED) {
            promise = Optional.empty();
        }
        if (promise.isEmpty() && NOT_ORDERED.contains(part.state())) {
            promise = vendor.flatMap(v -> byPriceList(v, part.name()));
        }
        return promise.map(p -> comes(p, vendor.flatMap(Vendor::record)))
                .orElse(audit.now + audit.shop.rules().unknownArrival().toMinutes());
    }

    /** The minute in which outwork that is away is back. */
    long back(Outwork outwork) {
        return comes(
                outwork.away().orElseThrow().back(),
                Optional.ofNullable(audit.vendors.get(outwork.vendor())).flatMap(Vendor::record));
    }

    private long comes(Arrival promise, Optional<VendorRecord> record) {
        long usual = believedSlip(record, 0.5);
        long bad = Math.max(usual, believedSlip(record, 0.9));
        Instant now = audit.shop.now();
        Instant likely = promise.likely().plus(Duration.ofMinutes(usual));
        Instant high = promise.high().plus(Duration.ofMinutes(bad));
        Instant comes = likely.isAfter(now) ? likely : high.isAfter(now) ? high : audit.tomorrow();
        return Math.floorDiv(comes.getEpochSecond() + 59, 60L);
    }

    /** The slip that a share of the deliveries stays below, in whole minutes, as far as the record is believed. */
    private static long believedSlip(Optional<VendorRecord> record, double share) {
        long[] slips = record.stream()
                .flatMap(r -> r.kept().stream())
                .mapToLong(k -> k.real().getEpochSecond() - k.promised().getEpochSecond())
                .sorted()
                .toArray();
        if (slips.length == 0) {
            return 0;
        }
        double place = share * (slips.length - 1);
        long below = slips[(int) Math.floor(place)];
        long above = slips[(int) Math.ceil(place)];
        long seconds = below + Math.round((place - Math.floor(place)) * (above - below));
        return seconds <= 0 ? 0 : Math.round(seconds / 60 * (slips.length / (slips.length + HALF_BELIEVED)));
    }

    /** Ordered now, it comes at closing time so many working days of the vendor later. */
    private Optional<Arrival> byPriceList(Vendor vendor, String what) {
        Optional<Offer> offer = vendor.offers().stream()
                .filter(o -> o.what().trim().equalsIgnoreCase(what.trim()))
                .findFirst();
        List<Instant> closings = closings(vendor);
        return offer.filter(o -> o.high() < closings.size())
                .map(o -> new Arrival(closings.get(o.low()), closings.get(o.likely()), closings.get(o.high())));
    }

    private List<Instant> closings(Vendor vendor) {
        List<Instant> closings = new ArrayList<>();
        LocalDate today = audit.shop.now().atZone(audit.shop.zone()).toLocalDate();
        Instant until = audit.shop.now().plus(Duration.ofDays(YEAR));
        LocalDate last = until.atZone(audit.shop.zone()).toLocalDate();
        for (LocalDate day = today; !day.isAfter(last); day = day.plusDays(1)) {
            LocalDate date = day;
            boolean shut = vendor.closures().stream().anyMatch(c -> !date.isBefore(c.from()) && !date.isAfter(c.to()));
            Instant[] ends = shut
                    ? new Instant[0]
                    : vendor.hours().stream()
                            .filter(s -> s.day() == date.getDayOfWeek())
                            .map(s -> (s.end().equals(LocalTime.MIDNIGHT) ? date.plusDays(1) : date)
                                    .atTime(s.end())
                                    .atZone(audit.shop.zone())
                                    .toInstant())
                            .toArray(Instant[]::new);
            Arrays.sort(ends);
            if (ends.length > 0 && ends[ends.length - 1].isAfter(audit.shop.now())) {
                closings.add(ends[ends.length - 1]);
            }
        }
        return closings;
    }
}
