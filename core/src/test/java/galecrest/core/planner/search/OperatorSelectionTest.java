package galecrest.core.planner.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Shares of probability matching, against its formula: least + (1 − kinds · least) · success ÷ sum of successes. */
class OperatorSelectionTest {
    @Test
    void theOneThatHelpsIsTriedOftenerAndNoneLessThanItsShare() {
        SplittableRandom random = new SplittableRandom(5);
        OperatorSelection favours = new OperatorSelection(3, 0.1, 0.01, random);
        double[] success = {0.6, 0.3, 0};
        int[] picked = new int[3];
        int rounds = 40_000;
        for (int i = 0; i < rounds; i++) {
            int kind = favours.pick();
            favours.tried(kind, random.nextDouble() < success[kind]);
            picked[kind]++;
        }
        assertThat(picked[0] / (double) rounds).isBetween(0.54, 0.60);
        assertThat(picked[1] / (double) rounds).isBetween(0.30, 0.36);
        assertThat(picked[2] / (double) rounds).isBetween(0.09, 0.12);
    }
}
