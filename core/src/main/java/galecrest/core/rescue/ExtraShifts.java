package galecrest.core.rescue;

import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The evenings and free days on which the chain of a date could go on, and who would have to be there. Only work that
 * nothing from outside holds counts: nobody stays late for a part that comes the day after.
 */
final class ExtraShifts {
    /** The hours of a free day that is worked; common practice. */
    private static final LocalTime MORNING = LocalTime.of(8, 0);

    private static final LocalTime AFTERNOON = LocalTime.of(16, 0);
    /** The length of an evening, which ends at {@link #NIGHT} at the latest; common practice. */
    private static final int EVENING_HOURS = 4;

    private static final LocalTime NIGHT = LocalTime.of(22, 0);
    /** Nobody is asked for longer ahead than so many days. */
    private static final int AHEAD_DAYS = 28;

    private final ShopSnapshot shop;
    private final List<Plan.Placed> chain;
    private final Instant until;
    private final Map<PersonId, Person> people = new LinkedHashMap<>();

    /** The shifts of those whom it takes, and the minutes of the chain that get done in them. */
    private record Offer(List<Move> shifts, long minutes) {
        double perHead() {
            return (double) minutes / shifts.size();
        }
    }

    /**
     * @param chain what the date waits for, as the plan has it, in order of start
     * @param until when it is too late
     */
    ExtraShifts(ShopSnapshot shop, List<Plan.Placed> chain, Instant until) {
        this.shop = shop;
        this.chain = chain;
        this.until = until;
        shop.people().forEach(p -> people.put(p.id(), p));
    }

    /** Those that get most done a head, each the shifts of one person or of several on one day. */
    List<List<Move>> best(int limit) {
        LocalDate today = shop.now().atZone(shop.zone()).toLocalDate();
        return Stream.iterate(today, day -> day.plusDays(1))
                .limit(AHEAD_DAYS)
                .flatMap(day -> offers(day).stream())
                .sorted(Comparator.comparingDouble(Offer::perHead).reversed())
                .limit(limit)
                .map(Offer::shifts)
                .toList();
    }

    /** What could be done after hours on the day, for each crew that the chain takes one after the other. */
    private List<Offer> offers(LocalDate day) {
        Map<List<Move>, Long> best = new LinkedHashMap<>();
        Map<PersonId, Move.ExtraShift> crew = new LinkedHashMap<>();
        Instant night = day.atTime(NIGHT).atZone(shop.zone()).toInstant();
        Instant at = Instant.MIN;
        long minutes = 0;
        for (Plan.Placed placed : chain) {
            Optional<Span> together = together(placed.crew(), day);
            if (together.isEmpty()) {
                if (minutes > 0 || placed.ready().isAfter(night)) {
                    break;
                }
                continue;
            }
            Instant from =
                    at.isAfter(together.get().from()) ? at : together.get().from();
            long left = left(placed, from);
            if (left == 0) {
                continue;
            }
            if (placed.start().isAfter(from) && held(placed.because())) {
                break;
            }
            long fits =
                    Math.min(left, Duration.between(from, together.get().to()).toMinutes());
            if (fits <= 0) {
                break;
            }
            placed.crew().forEach(id -> crew.put(id, shift(people.get(id), day).orElseThrow()));
            minutes += fits;
            best.put(List.copyOf(crew.values()), minutes);
            if (fits < left) {
                break;
            }
            at = from.plus(Duration.ofMinutes(fits));
        }
        List<Offer> offers = new ArrayList<>();
        best.forEach((shifts, done) -> offers.add(new Offer(shifts, done)));
        return offers;
    }

    /** Minutes of the work that are done after an instant, as the plan has it. */
    private static long left(Plan.Placed placed, Instant from) {
        return placed.at().stream()
                .filter(span -> span.to().isAfter(from))
                .mapToLong(span -> Duration.between(span.from().isAfter(from) ? span.from() : from, span.to())
                        .toMinutes())
                .sum();
    }

    /** Whether longer hours would not let it start sooner. */
    private static boolean held(Because because) {
        if (because instanceof Because.After after) {
            return after.outside() || after.curing() || after.lag();
        }
        return because instanceof Because.CarAway
                || because instanceof Because.Curing
                || because.blocker().isEmpty() && !(because instanceof Because.Shift);
    }

    /** When all of them could be there after hours. */
    private Optional<Span> together(List<PersonId> crew, LocalDate day) {
        Instant from = Instant.MIN;
        Instant to = until;
        for (PersonId id : crew) {
            Optional<Span> span = shift(people.get(id), day).flatMap(s -> Shift.on(day, s.from(), s.to(), shop.zone()));
            if (span.isEmpty()) {
                return Optional.empty();
            }
            from = from.isAfter(span.get().from()) ? from : span.get().from();
            to = to.isBefore(span.get().to()) ? to : span.get().to();
        }
        return !crew.isEmpty() && from.isBefore(to) && from.isAfter(shop.now())
                ? Optional.of(new Span(from, to))
                : Optional.empty();
    }

    /** The evening after somebody's hours, or a free day; none on a day of leave or where another shift is asked already. */
    private static Optional<Move.ExtraShift> shift(Person person, LocalDate day) {
        if (person.changes().stream().anyMatch(c -> c.covers(day))) {
            return Optional.empty();
        }
        List<LocalTime> ends = person.shifts().stream()
                .filter(s -> s.day() == day.getDayOfWeek())
                .map(Shift::end)
                .toList();
        if (ends.isEmpty()) {
            return Optional.of(new Move.ExtraShift(person.id(), day, MORNING, AFTERNOON));
        }
        LocalTime end = ends.stream().max(Comparator.naturalOrder()).orElseThrow();
        boolean atNight = ends.contains(LocalTime.MIDNIGHT) || !end.isBefore(NIGHT);
        LocalTime latest = end.isBefore(NIGHT.minusHours(EVENING_HOURS)) ? end.plusHours(EVENING_HOURS) : NIGHT;
        return atNight ? Optional.empty() : Optional.of(new Move.ExtraShift(person.id(), day, end, latest));
    }
}
