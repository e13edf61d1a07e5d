package galecrest.bench;

import galecrest.core.insight.BetterPlan;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What the plan of every day comes to where nothing happens but that better plans are looked for, one search in one thread
 * after the other as the server does it, and each that is worth offering is taken; against a long search of two threads by
 * the same code in the same shop where no plan stands.
 *
 * @param stands weighted hours late by the plan that stood
 * @param after the same when the last look has found nothing worth offering, or the looks are over
 * @param scratch the same by the long search
 */
record Everyday(double stands, double after, double scratch) {
    /** The server's looks, in seconds, and again from what they came to, as on the next morning. */
    private static final List<Integer> LOOKS = List.of(3, 10, 60, 3, 10, 60);

    /** @param audit what every plan goes through */
    static Everyday of(ShopSnapshot bare, long seed, double seconds, Audit audit) {
        ShopSnapshot free = bare.withoutStanding();
        ShopSnapshot shop = bare.standing().isPresent()
                ? bare
                : bare.withPublished(audit.of(free, Planner.plan(free, PlanOptions.interactive(free))));
        Planner.Thought stands = Planner.think(shop, PlanOptions.interactive(shop), (steps, best) -> true);
        Planner.Thought now = stands;
        for (int i = 0; i < LOOKS.size(); i++) {
            ShopSnapshot by = shop.withTaken(now.plan());
            PlanOptions look = PlanOptions.thorough(Steady.ENDLESS, seed + i).withSearches(1);
            Planner.Thought found =
                    Planner.think(by, look.from(Optional.of(now.guide())), Steady.until(LOOKS.get(i) * seconds / 60));
            audit.of(by, found.plan());
            if (BetterPlan.between(by, now.plan(), found.plan()).isPresent()) {
                now = found;
            }
        }
        Plan scratch = audit.of(
                free,
                Planner.think(free, PlanOptions.thorough(Steady.ENDLESS, seed), Steady.until(seconds))
                        .plan());
        return new Everyday(late(stands.plan()), late(now.plan()), late(scratch));
    }

    private static double late(Plan plan) {
        return plan.score().hardLateness() + plan.score().promisedLateness();
    }

    @Override
    public String toString() {
        return String.format(
                Locale.ROOT,
                "everyday=%.1fh scratch=%.1fh apart=%+.1f%% (before any offer %.1fh)",
                after,
                scratch,
                scratch < 0.01 ? 0 : 100 * (after - scratch) / scratch,
                stands);
    }

    /** Looks whether a plan of a shop keeps every rule, and gives it back. */
    interface Audit {
        Plan of(ShopSnapshot shop, Plan plan);
    }
}
