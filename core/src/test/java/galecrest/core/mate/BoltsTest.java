package galecrest.core.mate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.mate.Bolts.Lubrication;
import galecrest.core.mate.Bolts.PropertyClass;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Bolts against the proof loads of ISO 898-1 (tables 5 and 7), in N as printed there; from memory. */
class BoltsTest {
    @ParameterizedTest
    @CsvSource({
        "M6x1, C8_8, 11600",
        "M8x1.25, C8_8, 21200",
        "M10x1.5, C10_9, 48100",
        "M12x1.75, C8_8, 48900",
        "M12x1.75, C12_9, 81800",
        "M16x2, C10_9, 130000",
        "M20x2.5, C8_8, 147000",
        "M12x1.25, C8_8, 53400",
        "M10x1.25, C4_8, 19000",
    })
    void theProofLoadIsThatOfTheStandard(String thread, PropertyClass strength, double newtons) {
        var bolt = Bolts.of(Threads.read(thread).orElseThrow(), strength, Lubrication.DRY);
        assertThat(bolt.proofLoad() * 1000).isCloseTo(newtons, within(0.01 * newtons));
        assertThat(bolt.preload()).isCloseTo(0.75 * bolt.proofLoad(), within(1e-9));
    }

    /** M12×1.25: 92.1 mm² (ISO 898-1). Of class 8.8, dry: 0.75 · 53.4 kN = 40.1 kN; 0.2 · 12 mm · 40.1 kN = 96 Nm. */
    @ParameterizedTest
    @CsvSource({"DRY, 96.2", "OILED, 72.1", "MOLY_PASTE, 57.7"})
    void theTorqueIsKTimesDiameterTimesPreload(Lubrication lubrication, double torque) {
        var bolt = Bolts.of(Threads.read("M12x1.25").orElseThrow(), PropertyClass.C8_8, lubrication);
        assertThat(bolt.stressArea()).isCloseTo(92.1, within(0.05));
        assertThat(bolt.torque()).isCloseTo(torque, within(0.3));
    }
}
