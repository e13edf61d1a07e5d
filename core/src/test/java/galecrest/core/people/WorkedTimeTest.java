package galecrest.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.time.Minutes;
import galecrest.core.time.Shift;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class WorkedTimeTest {
    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    private static Person person(ShiftChange... changes) {
        List<Shift> shifts = List.of(
                new Shift(DayOfWeek.MONDAY, LocalTime.of(8, 0), LocalTime.of(12, 0)),
                new Shift(DayOfWeek.MONDAY, LocalTime.of(13, 0), LocalTime.of(17, 0)),
                new Shift(DayOfWeek.TUESDAY, LocalTime.of(8, 0), LocalTime.of(12, 0)));
        return new Person(new PersonId("bo"), "Bo", Map.of(), shifts, List.of(changes), BigDecimal.ONE);
    }

    private static Instant at(int day, int hour) {
        return LocalDate.of(2027, 2, day).atTime(hour, 0).atZone(BERLIN).toInstant();
    }

    @Test
    void breaksNightsAndLeaveDoNotCount() {
        assertThat(WorkedTime.of(person(), at(1, 11), at(1, 14), BERLIN)).isEqualTo(Minutes.of(120));
        assertThat(WorkedTime.of(person(), at(1, 16), at(2, 9), BERLIN)).isEqualTo(Minutes.of(120));
        LocalDate tuesday = LocalDate.of(2027, 2, 2);
        assertThat(WorkedTime.of(person(ShiftChange.leave(tuesday, tuesday, "")), at(1, 16), at(2, 12), BERLIN))
                .isEqualTo(Minutes.of(60));
    }

    @Test
    void extraShiftsCount() {
        LocalDate saturday = LocalDate.of(2027, 2, 6);
        ShiftChange extra = new ShiftChange(
                ShiftChange.Kind.EXTRA, saturday, saturday, LocalTime.of(9, 0), LocalTime.of(13, 0), "");
        assertThat(WorkedTime.of(person(extra), at(6, 8), at(6, 11), BERLIN)).isEqualTo(Minutes.of(120));
    }
}
