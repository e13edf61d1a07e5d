package galecrest.core.plan;

import galecrest.core.shop.Problem;
import java.util.Arrays;
import java.util.List;

/**
 * Makes a plan of a shop snapshot. It builds one schedule by each priority rule, with at-risk starts and without, and
 * keeps the best by score; improvement by search starts from there. Deterministic: same snapshot and options, same
 * plan.
 */
public final class Planner {
    private Planner() {}

    /**
     * The best plan found.
     *
     * @throws IllegalArgumentException where {@link SnapshotCheck} finds problems
     */
    public static Plan plan(ShopSnapshot shop, PlanOptions options) {
        List<Problem> problems = SnapshotCheck.problems(shop);
        if (!problems.isEmpty()) {
            throw new IllegalArgumentException("The snapshot cannot be planned: " + problems);
        }
        Grid grid = new Grid(shop.now(), shop.zone(), options.horizon());
        Model model = new Model(new Network(shop, grid));
        Urgency urgency = new Urgency(model.network);
        Scorer scorer = new Scorer(model);
        Schedule schedule = new Schedule(model);
        Score best = null;
        int[] bestList = new int[0];
        boolean[] bestRisks = new boolean[0];
        boolean[] none = new boolean[model.network.risks];
        boolean[] all = new boolean[model.network.risks];
        Arrays.fill(all, true);
        for (PriorityRule rule : Arrays.copyOf(PriorityRule.values(), Math.min(options.rules(), 6))) {
            double[] keys = new double[model.size];
            Arrays.setAll(keys, node -> rule.key(urgency, node));
            int[] list = Order.by(model, keys);
            for (boolean[] risks : all.length > 0 ? List.of(none, all) : List.of(none)) {
                schedule.generate(list, risks);
                Score score = scorer.score(schedule);
                if (best == null || score.compareTo(best) < 0) {
                    best = score;
                    bestList = list;
                    bestRisks = risks;
                }
            }
        }
        schedule.generate(bestList, bestRisks);
        return Finished.plan(schedule, scorer.score(schedule));
    }
}
