package galecrest.core.plan;

import galecrest.core.build.BuildId;
import galecrest.core.work.Status;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;

/**
 * How a plan is made. The same snapshot and options give the same plan, unless a {@link SearchListener} ends it before its
 * steps are done.
 *
 * @param horizon how far ahead work can be placed
 * @param steps schedules that are made and scored by each search, at least one
 * @param searches searches side by side, each with a thread and luck of its own
 * @param seed the luck
 * @param guide an order to begin from, besides the priority rules and the plan that stands
 * @param mode whether the plan that stands is mended, or a better one is searched for
 * @param letGo builds whose work need not stay where it stands when it is mended
 */
public record PlanOptions(
        Duration horizon,
        long steps,
        int searches,
        long seed,
        Optional<WarmStart> guide,
        Mode mode,
        Set<BuildId> letGo) {
    /** What is asked of the planner. */
    public enum Mode {
        /** The plan that stands, mended with as little moved as can be; where none stands, a search. */
        REPAIR,
        /** The best plan that can be found. */
        SEARCH
    }

    /** How far ahead is planned unless somebody says otherwise. */
    public static final Duration HORIZON = Duration.ofDays(500);

    public PlanOptions {
        letGo = Set.copyOf(letGo);
        if (!(steps >= 1)) {
            throw new IllegalArgumentException("At least one schedule must be made, not " + steps + ".");
        }
        if (!(searches >= 1)) {
            throw new IllegalArgumentException("At least one search is needed, not " + searches + ".");
        }
    }

    /**
     * For an answer at once: the plan that stands, mended; fewer steps the more open work there is. A repair that harms
     * nothing takes one or two.
     */
    public static PlanOptions interactive(ShopSnapshot shop) {
        long open = shop.works().stream().filter(w -> w.status() != Status.DONE).count();
        boolean repairs = shop.standing().isPresent();
        long steps = repairs
                ? Math.max(64, Math.min(240, 100_000 / Math.max(1, open)))
                : Math.max(16, Math.min(250, 25_000 / Math.max(1, open)));
        return new PlanOptions(HORIZON, steps, 1, 1, Optional.empty(), Mode.REPAIR, Set.of());
    }

    /** For thinking long: two searches, until so many steps are done or the watch ends them. */
    public static PlanOptions thorough(long steps, long seed) {
        return new PlanOptions(HORIZON, steps, 2, seed, Optional.empty(), Mode.SEARCH, Set.of());
    }

    /** The first priority rule alone. */
    public static PlanOptions once() {
        return new PlanOptions(HORIZON, 1, 1, 1, Optional.empty(), Mode.SEARCH, Set.of());
    }

    /** The same with another number of steps. */
    public PlanOptions withSteps(long other) {
        return new PlanOptions(horizon, other, searches, seed, guide, mode, letGo);
    }

    /** The same, beginning from a known order where there is one. */
    public PlanOptions from(Optional<WarmStart> known) {
        return new PlanOptions(horizon, steps, searches, seed, known, mode, letGo);
    }

    /** The same with another number of searches side by side. */
    public PlanOptions withSearches(int other) {
        return new PlanOptions(horizon, steps, other, seed, guide, mode, letGo);
    }

    /** The same, but a search for the best plan, however much of it moves. */
    public PlanOptions searching() {
        return new PlanOptions(horizon, steps, searches, seed, guide, Mode.SEARCH, letGo);
    }

    /** The same, with the work of some builds free to come sooner or later than it stands. */
    public PlanOptions lettingGo(Set<BuildId> builds) {
        return new PlanOptions(horizon, steps, searches, seed, guide, mode, builds);
    }
}
