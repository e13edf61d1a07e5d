package galecrest.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What disturbs what; the dependencies are common practice. */
class DisturbanceTest {
    @Test
    void aStrutSpacerDisturbsTheChassisInTheOrderOfMeasuring() {
        assertThat(Disturbance.of("Strut spacer fitted"))
                .containsExactly(
                        Measured.DROOP,
                        Measured.HEIGHTS,
                        Measured.CORNER_WEIGHTS,
                        Measured.BUMP_STEER,
                        Measured.CAMBER_CASTER,
                        Measured.TOE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Springs fitted | HEIGHTS, CORNER_WEIGHTS, BUMP_STEER, CAMBER_CASTER, TOE",
                "Wheel bearings and hubs | BUMP_STEER, CAMBER_CASTER, TOE",
                "Engine and gearbox out | CLUTCH_STOP, FLUID_LEVELS, MOUNT_TORQUE",
                "Engine in for good | CLUTCH_STOP, FLUID_LEVELS, MOUNT_TORQUE",
                "Fuel lines and leak test | LEAK_TEST",
                "Calipers rebuilt | BRAKE_PEDAL",
                "Engine loom in | CIRCUITS, CHARGING",
                "Exhaust manifold and downpipe | MAP",
                "Gear ratios for the track | GEARING",
                "Wash and strip panels | ''",
                "Bloom of the paint | ''"
            })
    void jobsDisturbByTheirWords(String job, String measured) {
        assertThat(String.join(
                        ", ", Disturbance.of(job).stream().map(Enum::name).toList()))
                .isEqualTo(measured);
    }

    /** Nothing disturbs what must be measured before it: else it would be measured twice. */
    @Property
    void eachDisturbsOnlyWhatComesAfterIt(@ForAll Measured one) {
        assertThat(one.disturbs()).allMatch(other -> other.compareTo(one) > 0);
    }

    @Test
    void sheetsAreKnownByTheirGaugeAndNotesByTheirWords() {
        assertThat(Measured.CORNER_WEIGHTS.is("corner-weights", "Corner weights"))
                .isTrue();
        assertThat(Measured.TOE.is("strings", "Alignment by strings")).isTrue();
        assertThat(Measured.CAMBER_CASTER.is("", "Alignment")).isTrue();
        assertThat(List.of(Measured.values())).noneMatch(m -> m.is("", "Colour of the roof"));
    }
}
