package galecrest.core.gauge.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Power in standard air, injectors, power by trap speed. */
class PowerGaugesTest {
    private static final double HORSEPOWER = 745.69987158227;
    private static final double POUND = 0.45359237;

    private static GaugeAnswer ask(Gauge gauge, Map<String, Object> request) {
        return gauge.answer(GaugeRequest.of(request));
    }

    /** Steam tables (CRC Handbook, vapour pressure of water): 6.11, 12.28, 23.39, 31.69, 42.46, 73.85 hPa. */
    @ParameterizedTest
    @CsvSource({"0, 6.11", "10, 12.28", "20, 23.39", "25, 31.69", "30, 42.46", "40, 73.85"})
    void vapourPressureIsThatOfTheHandbookToHalfAPercent(double celsius, double hectopascal) {
        assertThat(Air.saturation(celsius + 273.15) / 100).isCloseTo(hectopascal, within(0.005 * hectopascal));
    }

    /** WMO-No. 8: 31.6 hPa at 25 °C by its coefficients. */
    @Test
    void vapourPressureByTheGuideItself() {
        assertThat(Air.saturation(298.15) / 100).isCloseTo(31.6, within(0.05));
    }

    /** Each standard is 1 in its own air; 1013.25 hPa, 20 °C and 50 % is 0.9765 by SAE J1349. */
    @ParameterizedTest
    @CsvSource({
        "SAE_J1349, 990, 25, 0, 1.0000",
        "SAE_J1349, 1013.25, 20, 0.5, 0.9765",
        "ISO_1585, 990, 25, 0, 1.0003",
        "DIN_70020, 1013.25, 20, 0.5, 1.0000",
        "STD_60F, 1013.25, 15.56, 0, 1.0000",
        "NONE, 900, 35, 0.9, 1.0000"
    })
    void standards(Air.Standard standard, double hectopascal, double celsius, double humidity, double factor) {
        assertThat(new Air(100 * hectopascal, celsius + 273.15, humidity).factor(standard))
                .isCloseTo(factor, within(0.0001));
    }

    @Test
    void aBoostedEngineIsLeftAsMeasuredAndOutOfRangeIsSaid() {
        Map<String, Object> room = new HashMap<>(Map.of(
                "power",
                "200 kW",
                "pressure",
                "860 hPa",
                "temperature",
                "35 °C",
                "humidity",
                "40 %",
                "standard",
                "iso 1585"));
        GaugeAnswer high = ask(new AirGauge(), room);
        assertThat(high.text("in range")).isEqualTo("false");
        assertThat(high.text("verdict")).contains("outside of what the standard holds for");
        assertThat(high.value("raw")).isEqualTo(200);
        room.put("boosted", true);
        assertThat(ask(new AirGauge(), room).value("corrected")).isEqualTo(200);
        room.put("correct all the same", true);
        assertThat(ask(new AirGauge(), room).value("corrected")).isEqualTo(high.value("corrected"));
    }

    /** 400 hp · 0.55 lb/hp·h / (4 · 85 %) = 64.7 lb/h; the root of 4 bar over 3 bar is 1.1547. */
    @Test
    void injectorsByHand() {
        assertThat(InjectorsGauge.needed(400 * HORSEPOWER, 0.55 * POUND / (HORSEPOWER * 3600), 4, 0.85) * 3600 / POUND)
                .isCloseTo(64.7, within(0.01));
        assertThat(InjectorsGauge.at(10, 3, 4)).isCloseTo(11.547, within(0.0005));
        assertThat(InjectorsGauge.air(0)).isEqualTo(14.7);
        assertThat(InjectorsGauge.air(1)).isEqualTo(9.0);
        // E85: 9.8 to 9.9 (from memory).
        assertThat(InjectorsGauge.air(0.85)).isBetween(9.7, 9.9);
    }

    /** The power where they run out is the one for which each needs just what it flows. */
    @Test
    void runningOutClosesTheCircle() {
        Map<String, Object> asked = new HashMap<>(Map.of(
                "power",
                "250 kW",
                "consumption",
                "300 g/kWh",
                "count",
                6,
                "rated flow",
                "5.5 g/s",
                "rated pressure",
                "3 bar",
                "rail pressure",
                "3.5 bar",
                "ethanol",
                "10 %"));
        double out = ask(new InjectorsGauge(), asked).value("runs out at");
        asked.put("power", out + " kW");
        GaugeAnswer there = ask(new InjectorsGauge(), asked);
        assertThat(there.value("needed each")).isCloseTo(there.value("flow each"), within(1e-4));
        asked.remove("rated pressure");
        assertThatThrownBy(() -> ask(new InjectorsGauge(), asked)).isInstanceOf(WrongRequest.class);
    }

    /** Hale: 3000 lb through the trap at 110 mph are 3000 · (110/234)³ = 311.6 hp, and 12.39 s. */
    @Test
    void trapSpeedByHand() {
        double watt = TrapSpeedGauge.power(3000 * POUND, 110 * 0.44704);
        assertThat(watt / HORSEPOWER).isCloseTo(311.6, within(0.1));
        assertThat(TrapSpeedGauge.time(3000 * POUND, watt)).isCloseTo(12.39, within(0.005));
        assertThat(ask(
                                new TrapSpeedGauge(),
                                Map.of("mass", "3000 lb", "trap speed", "110 mph", "sheet power", "400 hp"))
                        .text("verdict"))
                .contains("28 % more than the trap")
                .contains("one of them is mistaken");
    }
}
