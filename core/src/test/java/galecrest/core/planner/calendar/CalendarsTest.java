package galecrest.core.planner.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Shift;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/**
 * Calendars against {@code java.time}, slot by slot through a fortnight in which the clocks change (Berlin, New York,
 * Lord Howe with its half hour) or a leap day lies: a person is in where the local time of the slot says so.
 */
class CalendarsTest {
    private static final int DAYS = 14;

    private static boolean in(Person person, ZonedDateTime at) {
        LocalDate day = at.toLocalDate();
        LocalTime time = at.toLocalTime();
        boolean shift = person.shifts().stream()
                .anyMatch(s -> s.day() == day.getDayOfWeek() && within(time, s.start(), s.end()));
        boolean extra = person.changes().stream()
                .anyMatch(
                        c -> c.kind() == ShiftChange.Kind.EXTRA && covers(c, day) && within(time, c.start(), c.end()));
        boolean away = person.changes().stream()
                .anyMatch(
                        c -> c.kind() == ShiftChange.Kind.LEAVE && covers(c, day) && within(time, c.start(), c.end()));
        return (shift || extra) && !away;
    }

    private static boolean covers(ShiftChange change, LocalDate day) {
        return !day.isBefore(change.from()) && !day.isAfter(change.to());
    }

    private static boolean within(LocalTime time, LocalTime start, LocalTime end) {
        return !time.isBefore(start) && (end.equals(LocalTime.MIDNIGHT) || time.isBefore(end));
    }

    @Property(tries = 120)
    void peopleAreInWhenTheLocalTimeSaysSo(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 1);
        TimeGrid grid = new TimeGrid(shop.now(), shop.zone(), Duration.ofDays(DAYS));
        Calendars calendars = new Calendars(shop, grid);
        for (int p = 0; p < shop.people().size(); p++) {
            Person person = shop.people().get(p);
            WorkingWindows windows = calendars.person(p);
            for (int slot = 0; slot < DAYS * 288; slot++) {
                ZonedDateTime at = grid.instant(slot).atZone(shop.zone());
                assertThat(windows.next(slot) == slot)
                        .as("%s at %s", person.shifts(), at)
                        .isEqualTo(in(person, at));
            }
        }
    }

    @Property(tries = 50)
    void aNewDayBeginsAtLocalMidnight(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        ShopSnapshot shop = RandomShops.shop(seed, 1);
        TimeGrid grid = new TimeGrid(shop.now(), shop.zone(), Duration.ofDays(DAYS));
        for (int slot = 0; slot < (DAYS - 2) * 288; slot += 7) {
            LocalDate day = grid.instant(slot).atZone(shop.zone()).toLocalDate();
            assertThat(grid.instant(grid.nextDay(slot)))
                    .isEqualTo(day.plusDays(1).atStartOfDay(shop.zone()).toInstant());
        }
    }

    @Property(tries = 1)
    void aShiftWithoutLengthIsRefused() {
        assertThat(Shift.startsBeforeEnd(LocalTime.of(16, 0), LocalTime.of(8, 0)))
                .isFalse();
        assertThat(Shift.startsBeforeEnd(LocalTime.of(8, 0), LocalTime.of(8, 0)))
                .isFalse();
        assertThat(Shift.startsBeforeEnd(LocalTime.of(8, 0), LocalTime.MIDNIGHT))
                .isTrue();
    }
}
