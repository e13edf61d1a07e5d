package galecrest.core.plan;

import java.time.Duration;

/**
 * How a plan is made.
 *
 * @param horizon how far ahead work can be placed
 * @param rules how many priority rules are tried, at least one
 */
public record PlanOptions(Duration horizon, int rules) {
    public PlanOptions {
        if (!(rules >= 1)) {
            throw new IllegalArgumentException("At least one priority rule must be tried, not " + rules + ".");
        }
    }

    public static PlanOptions defaults() {
        return new PlanOptions(Duration.ofDays(500), PriorityRule.values().length);
    }

    public PlanOptions withRules(int count) {
        return new PlanOptions(horizon, count);
    }
}
