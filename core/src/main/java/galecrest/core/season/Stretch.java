package galecrest.core.season;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Span;
import galecrest.core.work.Commitment;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * How long somebody is at it without a day off, by a plan: the longest stretch of days in a row, the most nights in a row
 * away or at work late, the fullest seven days.
 *
 * @param first the first day of the longest stretch
 * @param days days of it in a row with work or away with a car
 * @param nights the most nights in a row
 * @param hours of the fullest seven days
 * @param weekFrom the first of these
 * @param warnings where that is more than the house rule has, in sentences
 */
public record Stretch(
        PersonId person,
        LocalDate first,
        int days,
        int nights,
        double hours,
        LocalDate weekFrom,
        List<String> warnings) {
    private static final int MINUTES_AN_HOUR = 60;
    private static final int WEEK = 7;

    public Stretch {
        warnings = List.copyOf(warnings);
    }

    /** What a person does on which day; whole minutes, so that just as much as the house has is not more than it. */
    private static final class Days {
        private final Map<LocalDate, Long> minutes = new TreeMap<>();
        private final TreeSet<LocalDate> nights = new TreeSet<>();
    }

    /** The stretch of each person who has any work or goes along anywhere in these days, in the order of the shop. */
    public static List<Stretch> of(ShopSnapshot shop, Plan plan, LocalDate from, LocalDate to, StretchRule rule) {
        Map<PersonId, Days> all = new HashMap<>();
        for (Plan.Placed placed : plan.placed()) {
            for (PersonId person : placed.crew()) {
                Days days = all.computeIfAbsent(person, p -> new Days());
                placed.at().forEach(at -> work(days, at, shop.zone()));
            }
        }
        for (Commitment date : shop.commitments()) {
            date.away().ifPresent(away -> date.outing()
                    .orElseThrow()
                    .crew()
                    .forEach(person -> away(all.computeIfAbsent(person, p -> new Days()), away, shop.zone(), rule)));
        }
        List<Stretch> stretches = new ArrayList<>();
        shop.people().forEach(person -> {
            Days days = all.get(person.id());
            if (days != null) {
                days.minutes.keySet().removeIf(d -> d.isBefore(from) || d.isAfter(to));
                days.nights.removeIf(d -> d.isBefore(from) || d.isAfter(to));
                if (!days.minutes.isEmpty()) {
                    stretches.add(of(person.id(), days, rule));
                }
            }
        });
        return stretches;
    }

    private static void work(Days days, Span at, ZoneId zone) {
        ZonedDateTime start = at.from().atZone(zone);
        while (start.toInstant().isBefore(at.to())) {
            LocalDate day = start.toLocalDate();
            Instant midnight = day.plusDays(1).atStartOfDay(zone).toInstant();
            Instant end = at.to().isBefore(midnight) ? at.to() : midnight;
            days.minutes.merge(day, Duration.between(start.toInstant(), end).toMinutes(), Long::sum);
            if (end.isAfter(day.atTime(StretchRule.LATE, 0).atZone(zone).toInstant())) {
                days.nights.add(day);
            }
            start = end.atZone(zone);
        }
    }

    /** Away counts a whole day from the one on which the car leaves to the one on which it is back, and each night between. */
    private static void away(Days days, Span away, ZoneId zone, StretchRule rule) {
        LocalDate last = away.to().minusMillis(1).atZone(zone).toLocalDate();
        for (LocalDate day = away.from().atZone(zone).toLocalDate(); !day.isAfter(last); day = day.plusDays(1)) {
            days.minutes.merge(day, (long) rule.eventHours() * MINUTES_AN_HOUR, Math::max);
            if (day.isBefore(last)) {
                days.nights.add(day);
            }
        }
    }

    private record Run(LocalDate first, int days) {}

    private static Run longest(Iterable<LocalDate> inOrder) {
        Run longest = new Run(LocalDate.EPOCH, 0);
        Run now = longest;
        for (LocalDate day : inOrder) {
            now = now.days() > 0 && now.first().plusDays(now.days()).equals(day)
                    ? new Run(now.first(), now.days() + 1)
                    : new Run(day, 1);
            longest = now.days() > longest.days() ? now : longest;
        }
        return longest;
    }

    /** To a tenth, upwards: what is too long by a minute does not read as the limit itself. */
    private static String said(long minutes) {
        long tenths = (minutes * 10 + MINUTES_AN_HOUR - 1) / MINUTES_AN_HOUR;
        return tenths / 10 + (tenths % 10 == 0 ? "" : "." + tenths % 10);
    }

    private static Stretch of(PersonId person, Days days, StretchRule rule) {
        Run run = longest(days.minutes.keySet());
        int nights = longest(days.nights).days();
        LocalDate weekFrom = run.first();
        long minutes = 0;
        for (LocalDate first : days.minutes.keySet()) {
            long sum = 0;
            for (int i = 0; i < WEEK; i++) {
                sum += days.minutes.getOrDefault(first.plusDays(i), 0L);
            }
            if (sum > minutes) {
                minutes = sum;
                weekFrom = first;
            }
        }
        List<String> warnings = new ArrayList<>();
        if (run.days() > rule.mostDays()) {
            warnings.add(run.days() + " days in a row; the house has " + rule.mostDays() + " at most.");
        }
        if (nights > rule.mostNights()) {
            warnings.add(nights + " nights in a row; the house has " + rule.mostNights() + " at most.");
        }
        double hours = (double) minutes / MINUTES_AN_HOUR;
        if (minutes > (long) rule.mostHours() * MINUTES_AN_HOUR) {
            warnings.add(said(minutes) + " h in seven days; the house has " + rule.mostHours() + " at most.");
        }
        return new Stretch(person, run.first(), run.days(), nights, hours, weekFrom, warnings);
    }
}
