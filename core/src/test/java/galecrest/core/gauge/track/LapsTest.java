package galecrest.core.gauge.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LapsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"1:42.350|102.35", "102.35|102.35", "1:42,4|102.4", "59.9|59.9", "12:00.5|720.5"})
    void readsLapTimesAsTheyAreWritten(String text, double seconds) {
        assertThat(LapTime.read(text)).isCloseTo(seconds, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "1:72.3", "0", "1:", "quick", "-3", "1:42:10"})
    void refusesWhatIsNoLapTime(String text) {
        assertThatThrownBy(() -> LapTime.read(text)).hasMessageContaining("no lap time");
    }

    @Property
    void whatIsSaidIsReadAgain(@ForAll @DoubleRange(min = 0.01, max = 3_000) double seconds) {
        assertThat(LapTime.read(LapTime.say(seconds).replace(" s", ""))).isCloseTo(seconds, within(0.0006));
    }

    /** Mean and sample deviation of 2, 4, 4, 4, 5, 5, 7, 9: 5 and the root of 32/7, the textbook example (from memory). */
    @Test
    void meanAndDeviationAreThoseOfTheTextbook() {
        LapRun run = new LapRun(new double[] {2, 4, 4, 4, 5, 5, 7, 9}, 0);
        assertThat(run.mean()).isEqualTo(5);
        assertThat(run.deviation()).isCloseTo(Math.sqrt(32.0 / 7), within(1e-12));
        assertThat(run.spread()).isEqualTo(7);
        assertThat(run.consistency()).isCloseTo(1 - Math.sqrt(32.0 / 7) / 5, within(1e-12));
    }

    @Test
    void inAndOutLapsAreLeftOutAndCounted() {
        LapRun run = LapRun.of(LapTime.readAll("1:58.0 1:42.0, 1:42.2; 1:49.13 2:05.1"));
        assertThat(run.laps()).containsExactly(102, 102.2, 109.13);
        assertThat(run.slow()).isEqualTo(2);
    }

    private static GaugeAnswer answer(Map<String, Object>... runs) {
        return new LapsGauge().answer(GaugeRequest.of(Map.of("runs", List.of(runs))));
    }

    private static List<Map<String, Object>> rows(GaugeAnswer answer) {
        @SuppressWarnings("unchecked")
        List<Map<String, Object>> rows =
                (List<Map<String, Object>>) answer.values().get("runs");
        return rows;
    }

    @Test
    void aGainIsToldFromScatter() {
        @SuppressWarnings("unchecked")
        GaugeAnswer answer = answer(
                Map.of("run", "1", "laps", "102.0 102.1 101.9 102.0", "set", "21"),
                Map.of("run", "2", "laps", "101.0 101.1 100.9 101.0", "set", "21", "changed", "softer bar"),
                Map.of("run", "3", "laps", "101.5 100.4 101.6 100.3", "set", "22"));
        assertThat(rows(answer).get(1).get("against the run before")).isEqualTo("1.000 s faster by softer bar");
        assertThat((String) rows(answer).get(2).get("against the run before"))
                .contains("0.050 s faster", "no more than the laps scatter");
        assertThat(answer.text("verdict")).isEqualTo("best 1:40.300, 3, 22");
        assertThat(answer.values().get("sets").toString()).contains("set=21", "mean=1:41.500");
    }

    @Test
    void unlikeConditionsAreFlaggedNotHidden() {
        @SuppressWarnings("unchecked")
        GaugeAnswer answer = answer(
                Map.of("run", "1", "laps", "102.0 102.1", "track", "21 °C"),
                Map.of("run", "2", "laps", "101.0 101.1", "track", "32 °C"),
                Map.of("run", "3", "laps", "109.0 109.1", "track", "31 °C", "conditions", "damp"));
        assertThat(rows(answer).get(1).get("unlike")).isEqualTo("not alike: track 11 K warmer");
        assertThat(rows(answer).get(2).get("unlike")).isEqualTo("not alike: damp against dry");
        assertThat(rows(answer).get(2)).containsKey("gain");
    }
}
