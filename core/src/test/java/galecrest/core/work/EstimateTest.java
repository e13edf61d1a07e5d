package galecrest.core.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class EstimateTest {
    /** The usual worked example of PERT: 2, 4, 12 gives a mean of 5 and a deviation of 10/6. */
    @Test
    void meanAndDeviationArePerts() {
        Estimate estimate = Estimate.ofMinutes(2, 4, 12);
        assertThat(estimate.pertMean()).isCloseTo(5.0, within(1e-12));
        assertThat(estimate.pertDeviation()).isCloseTo(1.667, within(0.0005));
    }

    @Test
    void lowLikelyHighMustBeInOrder() {
        assertThatThrownBy(() -> Estimate.ofMinutes(90, 60, 120)).hasMessageContaining("low ≤ likely ≤ high");
        assertThatThrownBy(() -> Estimate.ofMinutes(0, 60, 120)).hasMessageContaining("positive");
    }
}
