package galecrest.core.plan;

import java.util.Set;

/** Makes the schedules that a search may begin from, as many as there are steps for, and keeps the best. */
final class Beginnings {
    private final Model model;
    private final Maker maker;
    private final long steps;
    private Population.Member best;

    Beginnings(Model model, Maker maker, int[] order, boolean[] choices, long steps) {
        this.model = model;
        this.maker = maker;
        this.steps = steps;
        best = maker.made(order, choices, maker.make(order, choices));
    }

    Population.Member best() {
        return best;
    }

    /** Tries another beginning; one that is the best already is not made again. */
    void offer(int[] order, boolean[] choices) {
        boolean same = order == best.list() && choices == best.choices();
        if (!same && maker.steps() < steps) {
            Score its = maker.make(order, choices, best.score());
            if (its != null && its.compareTo(best.score()) < 0) {
                best = maker.made(order, choices, its);
            }
        }
    }

    /** Tries an order with all kept to what was told but the builds whose dates that has late. */
    void offerLetGo(int[] order) {
        if (maker.steps() + 1 >= steps) {
            return;
        }
        boolean atRisk = model.network.risks > 0 && best.choices()[0];
        maker.make(order, Choices.of(model, atRisk, true, Set.of()));
        Set<Integer> late = maker.scorer.lateBuilds(maker.schedule);
        if (!late.isEmpty()) {
            offer(order, Choices.of(model, atRisk, true, late));
        }
    }
}
