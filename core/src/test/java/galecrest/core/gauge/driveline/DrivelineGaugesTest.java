package galecrest.core.gauge.driveline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Gearing, valves, clutch stop, compression, running-in, leaks. */
class DrivelineGaugesTest {
    private static GaugeAnswer ask(Gauge gauge, Map<String, Object> request) {
        return gauge.answer(GaugeRequest.of(request));
    }

    private static String said(GaugeAnswer answer, String field) {
        return String.valueOf(answer.values().get(field));
    }

    /** ISO 4000-1: 205/50R15 = 15 in · 25.4 + 2 · 205 · 0.5 = 586 mm; the others by the same rule. */
    @ParameterizedTest
    @CsvSource({
        "205/50R15, 586.0",
        "195/50 R 15 82V, 576.0",
        "175/65R14, 583.1",
        "225/45ZR17, 634.3",
        "180/50-13, 510.2"
    })
    void sizesOfTyresHaveADiameter(String size, double millimetres) {
        assertThat(1000 * TyreSize.read(size).orElseThrow().diameter()).isCloseTo(millimetres, within(0.05));
    }

    /** An axle of 3.62 instead of 3.38 at the same engine speed: 130 · 3.38 / 3.62 = 121.4 km/h. */
    @Test
    void aShorterAxleIsSlowerByTheRatioOfBoth() {
        GaugeAnswer answer = ask(
                new GearingGauge(),
                Map.of(
                        "rollout",
                        "1.78 m",
                        "gears",
                        List.of(1.5),
                        "axle",
                        3.38,
                        "other axle",
                        3.62,
                        "engine speed",
                        (130 / 3.6) / 1.78 * 1.5 * 3.38 * 60 + " rpm"));
        assertThat(said(answer, "gears")).contains("130 km/h").contains("121.4 km/h");
    }

    /** 6500 rpm in a gear of 1:1 and an axle of 4.1 on 586 mm: 6500/60/4.1·π·0.586 m/s = 175.1 km/h. */
    @Test
    void speedsAndDropsInTheGears() {
        Map<String, Object> request = new HashMap<>();
        request.put("tyre", "205/50R15");
        request.put("gears", List.of(2.5, 1.625, 1.0));
        request.put("axle", 4.1);
        request.put("engine speed", "6500 rpm");
        request.put("top speed", "160 km/h");
        GaugeAnswer answer = ask(new GearingGauge(), request);
        assertThat(said(answer, "gears"))
                .contains("175.1 km/h")
                .contains("4225 rpm")
                .contains("4000 rpm");
        assertThat(answer.value("axle for the top speed")).isCloseTo(4.1 * 175.116 / 160, within(0.001));
        request.put("gears", List.of(1.0, 1.6));
        assertThatThrownBy(() -> ask(new GearingGauge(), request)).hasMessageContaining("gears[1]");
        request.put("gears", List.of(1.0));
        request.put("tyre", "round");
        assertThatThrownBy(() -> ask(new GearingGauge(), request)).hasMessageContaining("205/50R15");
    }

    @Property(tries = 200)
    void theAxleForASpeedGivesThatSpeed(
            @ForAll @DoubleRange(min = 20, max = 150) double engine,
            @ForAll @DoubleRange(min = 0.6, max = 4) double gear,
            @ForAll @DoubleRange(min = 5, max = 90) double speed) {
        double axle = GearingGauge.axle(engine, gear, speed, 1.8);
        assertThat(GearingGauge.speed(engine, gear, axle, 1.8)).isCloseTo(speed, within(1e-9 * speed));
    }

    /** 0.25 mm measured where 0.20 is wanted, on a shim of 2.60: 2.65 brings it to 0.20. */
    @Test
    void theShimIsThickerByWhatIsTooMuch() {
        GaugeAnswer answer = ask(
                new ValveClearanceGauge(),
                Map.of(
                        "intake target", "0.20 mm",
                        "exhaust target", "0.30 mm",
                        "firing order", "1-3-4-2",
                        "valves",
                                List.of(
                                        Map.of(
                                                "valve",
                                                "1",
                                                "kind",
                                                "intake",
                                                "measured",
                                                "0.25 mm",
                                                "shim",
                                                "2.60 mm"),
                                        Map.of("valve", "2", "kind", "exhaust", "measured", "12 thou"))));
        assertThat(said(answer, "valves"))
                .contains("2.65 mm")
                .contains("clearance then=Figure[value=0.2,")
                .contains("good=true");
        assertThat(said(answer, "order"))
                .startsWith("[cylinder 1")
                .contains("cylinder 4 at the top")
                .endsWith("]");
        assertThat(answer.value("turn each time")).isCloseTo(180, within(1e-9));
        assertThat(ValveClearanceGauge.nearest(0.002624, 0.00005)).isCloseTo(0.0026, within(1e-9));
        assertThatThrownBy(() -> ask(
                        new ValveClearanceGauge(),
                        Map.of(
                                "intake target",
                                "0.2",
                                "exhaust target",
                                "0.3",
                                "firing order",
                                "1-3-3-2",
                                "valves",
                                List.of(Map.of("measured", "0.2")))))
                .hasMessageContaining("names each cylinder once");
    }

    @Test
    void theClutchStopsBehindTheLastReading() {
        GaugeAnswer answer = ask(new ClutchStopGauge(), Map.of("free at", List.of("81 mm", "82 mm", "80 mm")));
        assertThat(answer.value("stop at")).isCloseTo(88, within(1e-9));
        assertThat(answer.values()).containsEntry("good", true);
        assertThat(said(
                        ask(
                                new ClutchStopGauge(),
                                Map.of("free at", List.of("81 mm", "90 mm", "80 mm"), "most travel", "120 mm")),
                        "verdict"))
                .contains("bleed the line");
        assertThat(said(
                        ask(
                                new ClutchStopGauge(),
                                Map.of("free at", List.of("81 mm", "82 mm", "80 mm"), "most travel", "85 mm")),
                        "verdict"))
                .contains("maker allows");
        assertThatThrownBy(() -> ask(new ClutchStopGauge(), Map.of("free at", List.of("81 mm"))))
                .isInstanceOf(WrongRequest.class)
                .hasMessageContaining("three readings");
    }

    @Test
    void lowNeighboursPointToTheGasket() {
        GaugeAnswer answer = ask(
                new CompressionGauge(),
                Map.of(
                        "cylinders",
                        List.of(
                                Map.of("compression", "12.5 bar"),
                                Map.of("compression", "9.8 bar", "leak-down", "24 %", "hiss", "neighbour"),
                                Map.of("compression", "9.9 bar"),
                                Map.of("compression", "12.3 bar"))));
        assertThat(answer.value("spread")).isCloseTo(100 * 2.7 / 12.5, within(1e-6));
        assertThat(said(answer, "verdict"))
                .contains("Cylinders 2 and 3 are low side by side")
                .contains("far below the best")
                .contains("the head gasket between both cylinders");
        assertThat(said(
                        ask(
                                new CompressionGauge(),
                                Map.of(
                                        "cylinders",
                                        List.of(Map.of("compression", "175 psi"), Map.of("compression", "180 psi")))),
                        "verdict"))
                .contains("Even");
        assertThatThrownBy(() -> ask(new CompressionGauge(), Map.of("cylinders", List.of())))
                .hasMessageContaining("cylinders");
    }

    @Test
    void runningInCountsDistanceAndHeatCycles() {
        GaugeAnswer answer = ask(
                new RunningInGauge(),
                Map.of(
                        "distance",
                        "800 km",
                        "heat cycles",
                        6,
                        "a day",
                        "150 km",
                        "drives",
                        List.of(Map.of("distance", "120 km"), Map.of("distance", "95 km", "heat cycles", 2))));
        assertThat(answer.value("to go")).isCloseTo(585, within(1e-6));
        assertThat(answer.value("heat cycles to go")).isEqualTo(3);
        assertThat(answer.value("days left")).isEqualTo(4);
    }

    /** Gay-Lussac: 2 bar over atmosphere at 20 °C is 2.10 bar at 30 °C in a vessel that neither leaks nor yields. */
    @Test
    void aWarmerVesselHidesALeak() {
        assertThat(LeakTestGauge.at(2e5, 293.15, 303.15) / 1e5)
                .isCloseTo(3.01325 * 303.15 / 293.15 - 1.01325, within(1e-9));
        Map<String, Object> request =
                new HashMap<>(Map.of("what", "cooling system", "start", "1.2 bar", "end", "1.2 bar", "held", "15 min"));
        assertThat(ask(new LeakTestGauge(), request).values()).containsEntry("tight", true);
        request.put("temperature", "20 °C");
        request.put("temperature after", "30 °C");
        GaugeAnswer answer = ask(new LeakTestGauge(), request);
        assertThat(answer.values()).containsEntry("tight", false);
        assertThat(answer.value("drop")).isCloseTo(2.21325 * (1 - 293.15 / 303.15), within(1e-5));
    }
}
