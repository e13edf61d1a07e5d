package galecrest.core.gauge.fabrication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BoltsGaugeTest {
    /** ISO 898-1, tables of stress areas (mm²) and of proof loads for property class 8.8 (N). */
    @ParameterizedTest
    @CsvSource({
        "M6, 20.1, 11600",
        "M8, 36.6, 21200",
        "M10, 58.0, 33700",
        "M12, 84.3, 48900",
        "M16, 157, 91000",
        "M20, 245, 147000",
        "M8×1, 39.2, 22700",
        "M12×1.25, 92.1, 53400"
    })
    void stressAreasAndProofLoadsOfTheStandard(String thread, double area, double proof) {
        GaugeAnswer answer = new BoltsGauge().answer(GaugeRequest.of(Map.of("thread", thread)));
        assertThat(answer.value("stress area, mm²")).isCloseTo(area, within(0.005 * area));
        assertThat(answer.value("proof load")).isCloseTo(proof, within(0.01 * proof));
    }

    /** M10 of class 8.8, oiled: 0.15 · 10 mm · 0.75 · 58.0 mm² · 580 MPa = 37.8 Nm. */
    @Test
    void torqueByHandAndTheMakersGoesBefore() {
        GaugeAnswer answer = new BoltsGauge().answer(GaugeRequest.of(Map.of("thread", "M10", "lubrication", "oiled")));
        assertThat(answer.value("torque")).isCloseTo(37.8, within(0.1));
        GaugeAnswer maker = new BoltsGauge()
                .answer(GaugeRequest.of(Map.of("thread", "M10", "class", "10.9", "maker's torque", "45 Nm")));
        assertThat(maker.value("torque")).isEqualTo(45);
        assertThat(maker.text("verdict")).contains("as the maker says: about 47 % of the proof load");
    }

    @ParameterizedTest
    @CsvSource({"M9", "M10×4", "3/8-24", "bolt"})
    void whatIsNoSuchThreadIsRefused(String thread) {
        assertThatThrownBy(() -> new BoltsGauge().answer(GaugeRequest.of(Map.of("thread", thread))))
                .isInstanceOf(WrongRequest.class);
    }
}
