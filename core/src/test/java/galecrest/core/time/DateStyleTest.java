package galecrest.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DateStyleTest {
    private static final LocalDateTime AT = LocalDateTime.of(2026, 12, 3, 14, 5);

    @Test
    void dayFirstAndTwentyFourHoursIsUsual() {
        assertThat(DateStyle.USUAL.date(AT)).isEqualTo("Thu 3 Dec 14:05");
        assertThat(DateStyle.USUAL.weekday(AT)).isEqualTo("Thu 14:05");
        assertThat(DateStyle.USUAL.year(AT)).isEqualTo("Thu 3 December 2026");
    }

    @Test
    void monthFirstAndTwelveHours() {
        DateStyle other = new DateStyle(true, true);
        assertThat(other.date(AT)).isEqualTo("Thu Dec 3 2:05 pm");
        assertThat(other.year(AT)).isEqualTo("Thu December 3, 2026");
    }

    /** The twelve-hour clock has no 0; ISO 8601 has no 24 but at the end of a day. */
    @ParameterizedTest
    @CsvSource({"0, 12:30 am", "1, 1:30 am", "11, 11:30 am", "12, 12:30 pm", "13, 1:30 pm", "23, 11:30 pm"})
    void theTwelveHourClock(int hour, String text) {
        assertThat(new DateStyle(false, true).time(LocalDateTime.of(2026, 12, 3, hour, 30)))
                .isEqualTo(text);
    }
}
