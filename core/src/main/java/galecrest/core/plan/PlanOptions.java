package galecrest.core.plan;

import galecrest.core.work.Status;
import java.time.Duration;
import java.util.Optional;

/**
 * How a plan is made. The same snapshot and options give the same plan, unless a {@link SearchListener} ends it before its
 * steps are done.
 *
 * @param horizon how far ahead work can be placed
 * @param steps schedules that are made and scored by each search, at least one
 * @param searches searches side by side, each with a thread and luck of its own
 * @param seed the luck
 * @param guide an order to begin from, besides the priority rules and the published plan
 */
public record PlanOptions(Duration horizon, long steps, int searches, long seed, Optional<WarmStart> guide) {
    /** How far ahead is planned unless somebody says otherwise. */
    public static final Duration HORIZON = Duration.ofDays(500);

    public PlanOptions {
        if (!(steps >= 1)) {
            throw new IllegalArgumentException("At least one schedule must be made, not " + steps + ".");
        }
        if (!(searches >= 1)) {
            throw new IllegalArgumentException("At least one search is needed, not " + searches + ".");
        }
    }

    /** For an answer at once: fewer steps the more open work there is. */
    public static PlanOptions interactive(ShopSnapshot shop) {
        long open = shop.works().stream().filter(w -> w.status() != Status.DONE).count();
        long steps = Math.max(16, Math.min(250, 25_000 / Math.max(1, open)));
        return new PlanOptions(HORIZON, steps, 1, 1, Optional.empty());
    }

    /** For thinking long: two searches, until so many steps are done or the watch ends them. */
    public static PlanOptions thorough(long steps, long seed) {
        return new PlanOptions(HORIZON, steps, 2, seed, Optional.empty());
    }

    /** The first priority rule alone. */
    public static PlanOptions once() {
        return new PlanOptions(HORIZON, 1, 1, 1, Optional.empty());
    }

    /** The same with another number of steps. */
    public PlanOptions withSteps(long other) {
        return new PlanOptions(horizon, other, searches, seed, guide);
    }

    /** The same, beginning from a known order where there is one. */
    public PlanOptions from(Optional<WarmStart> known) {
        return new PlanOptions(horizon, steps, searches, seed, known);
    }
}
