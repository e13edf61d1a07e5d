package galecrest.core.vendor;

import galecrest.core.time.Arrival;
import galecrest.core.time.Closure;
import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * An outside firm with its own opening hours, in the shop's time zone.
 *
 * @param record how it has kept its word, where it is known
 * @param offers its price list
 * @param slots the times that it offers
 */
public record Vendor(
        VendorId id,
        String name,
        String trade,
        String phone,
        List<Shift> hours,
        List<Closure> closures,
        Optional<VendorRecord> record,
        List<Offer> offers,
        List<OfferedSlot> slots) {
    private static final Duration YEAR = Duration.ofDays(366);

    public Vendor {
        hours = List.copyOf(hours);
        closures = List.copyOf(closures);
        offers = List.copyOf(offers);
        slots = List.copyOf(slots);
    }

    /** What a promise of this firm is worth. */
    public Arrival expected(Arrival promise) {
        return record.orElse(VendorRecord.NONE).correct(promise);
    }

    /** The line of its price list of that name, in whatever case it is written. */
    public Optional<Offer> offer(String what) {
        return offers.stream()
                .filter(o -> o.what().strip().equalsIgnoreCase(what.strip()))
                .findFirst();
    }

    /**
     * When something on its price list comes that is ordered then, as it promises: ready at closing time of so many of
     * its working days later; empty where it has no such days within a year.
     */
    public Optional<Arrival> ordered(Offer offer, Instant at, ZoneId zone) {
        List<Instant> closings = closings(at, at.plus(YEAR), zone);
        return closings.size() <= offer.high() ? Optional.empty() : Optional.of(arrival(offer, closings, 0));
    }

    /**
     * The closing time of the last working day on which to order it, so that it is there in time with the given
     * certainty by its three times and the record; empty where there is none within a year before and after now.
     *
     * @param sureBy by when something comes with the certainty that is asked
     */
    public Optional<Instant> lastOrder(
            Offer offer, Instant neededAt, Instant now, ZoneId zone, Function<Arrival, Instant> sureBy) {
        List<Instant> closings = closings(now.minus(YEAR), now.plus(YEAR), zone);
        for (int day = closings.size() - 1 - offer.high(); day >= 0; day--) {
            if (!sureBy.apply(expected(arrival(offer, closings, day))).isAfter(neededAt)) {
                return Optional.of(closings.get(day));
            }
        }
        return Optional.empty();
    }

    private static Arrival arrival(Offer offer, List<Instant> closings, int day) {
        return new Arrival(
                closings.get(day + offer.low()), closings.get(day + offer.likely()), closings.get(day + offer.high()));
    }

    /** When it closes on its working days, after one instant and up to the other. */
    private List<Instant> closings(Instant after, Instant upTo, ZoneId zone) {
        LocalDate first = after.atZone(zone).toLocalDate();
        return first.datesUntil(upTo.atZone(zone).toLocalDate().plusDays(1))
                .filter(day -> closures.stream().noneMatch(c -> c.covers(day)))
                .flatMap(day -> hours.stream()
                        .filter(s -> s.day() == day.getDayOfWeek())
                        .flatMap(s -> Shift.on(day, s.start(), s.end(), zone).stream())
                        .map(Span::to)
                        .max(Comparator.naturalOrder())
                        .stream())
                .filter(after::isBefore)
                .toList();
    }
}
