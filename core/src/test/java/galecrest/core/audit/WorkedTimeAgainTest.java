package galecrest.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.people.WorkedTime;
import galecrest.core.time.Shift;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What people are credited with is what the audit's calendars have them in for, also where the clocks change. */
class WorkedTimeAgainTest {
    private static final List<ZoneId> ZONES = List.of(
            ZoneId.of("Europe/Berlin"),
            ZoneId.of("America/New_York"),
            ZoneId.of("Australia/Lord_Howe"),
            ZoneId.of("UTC"));
    /** Days around changes of the clocks in one or the other zone, and a leap day. */
    private static final List<LocalDate> DAYS = List.of(
            LocalDate.of(2027, 3, 26),
            LocalDate.of(2027, 10, 29),
            LocalDate.of(2027, 3, 12),
            LocalDate.of(2027, 4, 2),
            LocalDate.of(2028, 2, 27));

    private static LocalTime time(Random random) {
        return LocalTime.of(random.nextInt(24), 5 * random.nextInt(12));
    }

    private static Shift shift(Random random) {
        LocalTime a = time(random);
        LocalTime b = time(random);
        DayOfWeek day = DayOfWeek.of(1 + random.nextInt(7));
        if (a.equals(b)) {
            return new Shift(day, LocalTime.of(8, 0), LocalTime.of(16, 30));
        }
        return a.isBefore(b) ? new Shift(day, a, b) : new Shift(day, b, a);
    }

    private static Person person(Random random, LocalDate first) {
        List<Shift> shifts = new ArrayList<>();
        List<ShiftChange> changes = new ArrayList<>();
        for (int i = random.nextInt(8); i > 0; i--) {
            shifts.add(shift(random));
        }
        for (int i = random.nextInt(5); i > 0; i--) {
            Shift of = shift(random);
            LocalDate from = first.plusDays(random.nextInt(6));
            boolean extra = random.nextBoolean();
            changes.add(new ShiftChange(
                    extra ? ShiftChange.Kind.EXTRA : ShiftChange.Kind.LEAVE,
                    from,
                    extra ? from : from.plusDays(random.nextInt(3)),
                    of.start(),
                    of.end(),
                    ""));
        }
        return new Person(new PersonId("bo"), "Bo", Map.of(), shifts, changes, BigDecimal.ONE);
    }

    @Property(tries = 3_000)
    void workedTimeIsTheTimeInWhichOneIsIn(@ForAll Random random) {
        ZoneId zone = ZONES.get(random.nextInt(ZONES.size()));
        LocalDate first = DAYS.get(random.nextInt(DAYS.size()));
        Person person = person(random, first);
        Instant from = first.atStartOfDay(zone).toInstant().plus(Duration.ofMinutes(random.nextInt(3 * 24 * 60)));
        Instant to = from.plus(Duration.ofMinutes(random.nextInt(3 * 24 * 60)));
        OpenHours hours = OpenHours.of(person, zone, first.minusDays(2), first.plusDays(9));
        assertThat(WorkedTime.of(person, from, to, zone).value())
                .isEqualTo(hours.minutesBetween(OpenHours.minute(from), OpenHours.minute(to)));
    }
}
