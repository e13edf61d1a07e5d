package galecrest.core.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The tables are those of the browser's side too, so that both say and read the same. */
class DurationTextTest {
    @ParameterizedTest
    @CsvFileSource(resources = "/durations-said.csv", numLinesToSkip = 1)
    void isSaidInOneWay(long minutes, String said, String signed) {
        assertThat(DurationText.of(Minutes.of(minutes))).isEqualTo(said);
        assertThat(DurationText.signed(Minutes.of(minutes))).isEqualTo(signed);
    }

    @ParameterizedTest
    @CsvFileSource(resources = "/durations-read.csv", numLinesToSkip = 1, delimiter = ';', emptyValue = "")
    void isReadAsPeopleWriteIt(String text, Long minutes) {
        assertThat(DurationText.read(text == null ? "" : text))
                .isEqualTo(Optional.ofNullable(minutes).map(Minutes::of));
    }

    /** What was said is read as what was said: to the half hour, or the half day. */
    @ParameterizedTest
    @ValueSource(longs = {1, 30, 59, 60, 90, 480, 930, 960, 1200, 9600})
    void whatIsSaidIsReadAgain(long minutes) {
        assertThat(DurationText.read(DurationText.of(Minutes.of(minutes)))).contains(Minutes.of(minutes));
    }
}
