package galecrest.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.Zone;
import galecrest.core.work.ReasonTag;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CaptureLineTest {
    @Test
    void aJobWithItsZoneAndTime() {
        assertThat(CaptureLine.read("hang bias cable @cockpit 40m"))
                .isEqualTo(new CaptureLine.NewJob(
                        "Hang bias cable", Optional.of(Zone.COCKPIT), 40, true, Optional.empty(), false));
        assertThat(CaptureLine.read("weld tab @rear 1h30 +weld"))
                .isEqualTo(new CaptureLine.NewJob(
                        "Weld tab", Optional.of(Zone.REAR), 90, true, Optional.of("weld"), false));
    }

    @Test
    void numbersInANameAreNoTimes() {
        assertThat(CaptureLine.read("fit 2 brackets M8"))
                .isEqualTo(new CaptureLine.NewJob(
                        "Fit 2 brackets M8", Optional.empty(), 60, false, Optional.empty(), false));
    }

    @Test
    void aHoldAFindingAndAProvisionalFit() {
        assertThat(CaptureLine.read("held part: manifold")).isEqualTo(new CaptureLine.Held(ReasonTag.PART, "manifold"));
        assertThat(CaptureLine.read("finding: weeping union rear left"))
                .isEqualTo(new CaptureLine.NewJob(
                        "Weeping union rear left", Optional.empty(), 60, false, Optional.empty(), true));
        assertThat(CaptureLine.read("for now: road springs")).isEqualTo(new CaptureLine.ForNow("road springs"));
    }

    @Test
    void whatCannotBeUnderstoodSaysWhatCould() {
        assertThat(CaptureLine.read("held weather: rain"))
                .isInstanceOfSatisfying(CaptureLine.NotUnderstood.class, n -> assertThat(n.why())
                        .contains("part, out, hands"));
        assertThat(CaptureLine.read("paint @roof"))
                .isInstanceOfSatisfying(CaptureLine.NotUnderstood.class, n -> assertThat(n.why())
                        .contains("engine-bay"));
        assertThat(CaptureLine.read("  ")).isInstanceOf(CaptureLine.NotUnderstood.class);
    }
}
