package galecrest.core.gauge.electrics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CircuitsGaugeTest {
    /** ASTM B258: diameters and areas of solid wire; resistance of annealed copper at 20 °C. */
    @ParameterizedTest
    @CsvSource({
        "20, 0.518, 33.3",
        "16, 1.309, 13.17",
        "12, 3.309, 5.211",
        "8, 8.366, 2.061",
        "4, 21.15, 0.8152",
        "0, 53.49, 0.3224"
    })
    void gaugesOfTheStandard(int gauge, double squareMillimetres, double milliohms) {
        Wire wire = Wire.awg(gauge);
        assertThat(wire.area() * 1e6).isCloseTo(squareMillimetres, within(0.002 * squareMillimetres));
        assertThat(wire.perMetre() * 1000).isCloseTo(milliohms, within(0.002 * milliohms));
    }

    private static GaugeAnswer ask(Object... circuit) {
        return new CircuitsGauge()
                .answer(GaugeRequest.of(Map.of(
                        "circuits",
                        List.of(Map.of("circuit", circuit[0], "current", circuit[1], "length", circuit[2])),
                        "alternator",
                        "8 A",
                        "battery",
                        20)));
    }

    private static Map<?, ?> first(GaugeAnswer answer) {
        return (Map<?, ?>) ((List<?>) answer.values().get("circuits")).get(0);
    }

    /** 10 A, 3 m there and 3 m back, 0.36 V at most: 1.7241e-8 · 1.157 · 6 m · 10 A / 0.36 V = 3.3 mm², so 4 mm². */
    @Test
    void aLongWayIsSizedByWhatItLoses() {
        GaugeAnswer answer = ask("fuel pump", "10 A", "3 m");
        assertThat(first(answer).get("wire")).isEqualTo("4 mm²");
        assertThat(first(answer).get("because of")).isEqualTo("the voltage that it loses");
        assertThat(first(answer).get("fuse")).isEqualTo("15 A");
        assertThat(answer.text("verdict")).contains("2.0 A more than the alternator gives");
        // 20 Ah, half of it usable, 10 A: an hour.
        assertThat(answer.value("battery alone")).isCloseTo(60, within(0.1));
    }

    /** 10 A load a 15 A fuse to two thirds; a wire that carries 10 A would be too warm before it blows, one of 1 mm² is not. */
    @Test
    void aShortWayIsSizedByItsFuse() {
        GaugeAnswer answer = ask("horn", "10 A", "0.2 m");
        assertThat(first(answer).get("fuse")).isEqualTo("15 A");
        assertThat(first(answer).get("wire")).isEqualTo("1 mm²");
        assertThat(first(answer).get("because of")).isEqualTo("the fuse before it");
        assertThat(first(ask("lamp", "0.7 A", "0.2 m")).get("because of")).isEqualTo("what it carries");
        assertThat(String.valueOf(first(ask("starter", "290 A", "4 m")).get("wire")))
                .contains("none of these is thick enough");
    }

    @Test
    void aCircuitIsThereOnce() {
        Map<String, Object> pump = Map.of("circuit", "pump", "current", "5 A", "length", "1 m");
        assertThatThrownBy(() -> new CircuitsGauge().answer(GaugeRequest.of(Map.of("circuits", List.of(pump, pump)))))
                .isInstanceOf(WrongRequest.class);
    }
}
