package galecrest.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.time.Shift;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Time at work, against a count of minutes by hand: shifts and extra ones together, leave away from them. */
class WorkingDayTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);

    private static ShiftChange change(ShiftChange.Kind kind, int from, int to) {
        return new ShiftChange(kind, DAY, DAY, LocalTime.of(from, 0), LocalTime.of(to, 0), "");
    }

    private static long worked(ShiftChange... changes) {
        Person person = new Person(
                new PersonId("bo"),
                "Bo",
                Map.of(),
                List.of(new Shift(DayOfWeek.WEDNESDAY, LocalTime.of(8, 0), LocalTime.of(16, 0))),
                List.of(changes),
                BigDecimal.ONE);
        Instant midnight = DAY.atStartOfDay(ZONE).toInstant();
        return WorkedTime.of(person, midnight, midnight.plusSeconds(86_400), ZONE)
                .value();
    }

    @Test
    void twoHoursOfLeaveTakeTwoHours() {
        assertThat(worked(change(ShiftChange.Kind.LEAVE, 10, 12))).isEqualTo(6 * 60);
    }

    @Test
    void anExtraShiftOverAShiftCountsOnce() {
        assertThat(worked(change(ShiftChange.Kind.EXTRA, 14, 18))).isEqualTo(10 * 60);
    }

    @Test
    void theNextDayInSkipsTheWeekendAndLeaveAndTakesAnExtraShift() {
        Shift friday = new Shift(DayOfWeek.FRIDAY, LocalTime.of(8, 0), LocalTime.of(16, 0));
        Shift monday = new Shift(DayOfWeek.MONDAY, LocalTime.of(8, 0), LocalTime.of(16, 0));
        LocalDate onFriday = DAY.plusDays(2);
        assertThat(next(onFriday, List.of(friday, monday))).contains(onFriday.plusDays(3));
        assertThat(next(onFriday, List.of(friday, monday), off(onFriday.plusDays(3))))
                .contains(onFriday.plusDays(7));
        ShiftChange saturday = new ShiftChange(
                ShiftChange.Kind.EXTRA,
                onFriday.plusDays(1),
                onFriday.plusDays(1),
                LocalTime.of(9, 0),
                LocalTime.of(12, 0),
                "");
        assertThat(next(onFriday, List.of(friday, monday), saturday)).contains(onFriday.plusDays(1));
        assertThat(next(onFriday, List.of())).isEmpty();
    }

    private static ShiftChange off(LocalDate day) {
        return new ShiftChange(ShiftChange.Kind.LEAVE, day, day, LocalTime.of(0, 0), LocalTime.of(23, 59), "");
    }

    private static Optional<LocalDate> next(LocalDate day, List<Shift> shifts, ShiftChange... changes) {
        Person person = new Person(new PersonId("bo"), "Bo", Map.of(), shifts, List.of(changes), BigDecimal.ONE);
        return WorkingDay.after(person, day, ZONE);
    }

    @Test
    void anyMixIsTheCountOfItsMinutes() {
        Random random = new Random(4);
        for (int i = 0; i < 400; i++) {
            List<ShiftChange> changes = new ArrayList<>();
            BitSet in = new BitSet();
            in.set(8 * 60, 16 * 60);
            for (int c = random.nextInt(4); c > 0; c--) {
                int from = random.nextInt(23);
                int to = from + 1 + random.nextInt(23 - from);
                changes.add(change(ShiftChange.Kind.EXTRA, from, to));
                in.set(from * 60, to * 60);
            }
            for (int c = random.nextInt(3); c > 0; c--) {
                int from = random.nextInt(23);
                int to = from + 1 + random.nextInt(23 - from);
                changes.add(change(ShiftChange.Kind.LEAVE, from, to));
                in.clear(from * 60, to * 60);
            }
            assertThat(worked(changes.toArray(ShiftChange[]::new))).isEqualTo(in.cardinality());
        }
    }

    /** On the night of 25 October 2026 an hour comes twice: a shift through it is an hour longer. */
    @Test
    void aShiftThroughTheChangeOfTheClocksIsAsLongAsItIs() {
        LocalDate sunday = LocalDate.of(2026, 10, 25);
        Person guard = new Person(
                new PersonId("kit"),
                "Kit",
                Map.of(),
                List.of(new Shift(DayOfWeek.SUNDAY, LocalTime.of(0, 0), LocalTime.of(6, 0))),
                List.of(),
                BigDecimal.ONE);
        ZonedDateTime from = sunday.atStartOfDay(ZONE);
        assertThat(WorkedTime.of(guard, from.toInstant(), from.plusDays(1).toInstant(), ZONE)
                        .value())
                .isEqualTo(7 * 60);
    }
}
