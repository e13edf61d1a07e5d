package galecrest.core.gauge.aero;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Axle loads by the lever rule, and inlets. */
class AeroGaugesTest {
    /** Forces and moments are in balance, taken about a point of no meaning. */
    @Property(tries = 200)
    void forcesAndMomentsAreInBalance(
            @ForAll @DoubleRange(min = -2000, max = 5000) double down,
            @ForAll @DoubleRange(min = -1.5, max = 5) double x,
            @ForAll @DoubleRange(min = 0, max = 2000) double drag,
            @ForAll @DoubleRange(min = 0, max = 1.5) double height,
            @ForAll @DoubleRange(min = 2, max = 3.5) double wheelbase) {
        AeroBalanceGauge.Loads loads = AeroBalanceGauge.Loads.of(down, x, drag, height, wheelbase);
        double point = 1.234;
        assertThat(loads.front() + loads.rear()).isCloseTo(down, within(1e-6));
        // About the point, clockwise: the device pushes down at x, the drag pulls back at its height, the axles push
        // up.
        double moments =
                down * (x - point) + drag * height - loads.front() * (0 - point) - loads.rear() * (wheelbase - point);
        assertThat(moments).isCloseTo(0, within(1e-5));
    }

    /** 1000 N a tenth of the wheelbase behind the rear axle put 1100 N on it and take 100 N off the front. */
    @Test
    void aWingBehindTheRearAxleUnloadsTheFront() {
        AeroBalanceGauge.Loads loads = AeroBalanceGauge.Loads.of(1000, 2.75, 0, 0, 2.5);
        assertThat(loads.rear()).isCloseTo(1100, within(1e-9));
        assertThat(loads.front()).isCloseTo(-100, within(1e-9));
        GaugeAnswer answer = new AeroBalanceGauge()
                .answer(GaugeRequest.of(Map.of(
                        "speed",
                        "180 km/h",
                        "wheelbase",
                        "2.5 m",
                        "front weight",
                        "48 %",
                        "devices",
                        List.of(Map.of("device", "rear wing", "area", "0.5 m²", "lift", 1.2, "position", "2.75 m")))));
        // ½ · 1.225 · 50² · 0.5 · 1.2 = 918.75 N.
        assertThat(answer.value("down")).isCloseTo(918.75, within(0.01));
        assertThat(String.valueOf(answer.values().get("unloads the front"))).contains("rear wing");
        assertThat(answer.text("verdict")).contains("-10.0 %").contains("58.0 points further back");
    }

    @Test
    void anInletIsHeldAgainstItsCore() {
        GaugeAnswer answer = new InletGauge()
                .answer(GaugeRequest.of(Map.of(
                        "core width", "600 mm", "core height", "400 mm", "openings", List.of("400 cm²", "200 cm²"))));
        assertThat(answer.text("verdict")).isEqualTo("120 cm² are missing: 25 % of the core instead of 30");
        assertThatThrownBy(() -> new InletGauge().answer(GaugeRequest.of(Map.of("core width", "600 mm"))))
                .isInstanceOf(WrongRequest.class);
    }
}
