package galecrest.core.plan;

import galecrest.core.build.LinkId;
import galecrest.core.shop.Problem;
import galecrest.core.shop.TieBreak;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Makes a plan of a shop snapshot: one schedule by each priority rule, by the order of what people have been told and by
 * the guide, with at-risk starts and without; then {@link Search} improves the best of them. Deterministic: same
 * snapshot and options, same plan.
 */
public final class Planner {
    /** The watch is asked every so many steps. */
    private static final int WATCHED = 16;

    private Planner() {}

    /** A plan, what it was made of, and how many schedules were looked at. */
    public record Thought(Plan plan, Guide guide, long steps) {}

    /**
     * The best plan found.
     *
     * @throws IllegalArgumentException where {@link SnapshotCheck} finds problems
     */
    public static Plan plan(ShopSnapshot shop, PlanOptions options) {
        return think(shop, options, (steps, best) -> true).plan();
    }

    /**
     * The best plan found until the steps are done or the watch ends it.
     *
     * @throws IllegalArgumentException where {@link SnapshotCheck} finds problems
     */
    public static Thought think(ShopSnapshot shop, PlanOptions options, Watch watch) {
        List<Problem> problems = SnapshotCheck.problems(shop);
        if (!problems.isEmpty()) {
            throw new IllegalArgumentException("The snapshot cannot be planned: " + problems);
        }
        Model model = new Model(new Network(shop, new Grid(shop.now(), shop.zone(), options.horizon())));
        List<Search> searches = IntStream.range(0, options.searches())
                .parallel()
                .mapToObj(i -> search(model, options, i, watch))
                .toList();
        Population.Member best = searches.stream()
                .map(Search::best)
                .min((a, b) -> a.score().compareTo(b.score()))
                .orElseThrow();
        Schedule schedule = new Schedule(model);
        schedule.generate(best.list(), best.early());
        return new Thought(
                Finished.plan(schedule, new Scorer(model)),
                guide(model, best),
                searches.stream().mapToLong(Search::steps).sum());
    }

    private static Search search(Model model, PlanOptions options, int number, Watch watch) {
        List<int[]> orders = orders(model, options);
        boolean[] none = new boolean[model.network.risks];
        Search search = new Search(model, orders.get(0), none, options.seed() * 31 + number);
        List<boolean[]> risks = new ArrayList<>(List.of(none));
        if (none.length > 0) {
            boolean[] all = none.clone();
            Arrays.fill(all, true);
            risks.add(all);
            options.guide().ifPresent(g -> risks.add(early(model, g)));
        }
        for (boolean[] risk : risks) {
            for (int i = 0; i < orders.size() && search.steps() < options.steps(); i++) {
                search.offer(orders.get(i), risk);
            }
        }
        if (search.steps() < options.steps()) {
            search.begin();
        }
        int asked = 0;
        while (search.steps() < options.steps()) {
            if (asked++ % WATCHED == 0
                    && !watch.goOn(search.steps(), search.best().score())) {
                break;
            }
            search.step();
        }
        return search;
    }

    /** The orders to begin from: the guide's, what people were told, and the rules, that of the house's school first. */
    private static List<int[]> orders(Model model, PlanOptions options) {
        List<int[]> orders = new ArrayList<>();
        options.guide().ifPresent(g -> orders.add(Order.by(model, keys(model, g))));
        Urgency urgency = new Urgency(model.network);
        for (PriorityRule rule : rules(model.network.shop.rules().tieBreak())) {
            double[] keys = new double[model.size];
            Arrays.setAll(keys, node -> rule.key(urgency, node));
            orders.add(Order.by(model, keys));
        }
        model.network.shop.published().ifPresent(told -> orders.add(Order.by(model, keys(model, urgency, told))));
        return orders;
    }

    private static List<PriorityRule> rules(TieBreak school) {
        PriorityRule first =
                switch (school) {
                    case NEAREST_DATE -> PriorityRule.LATEST_START;
                    case OUTSIDE_FIRST -> PriorityRule.OUTSIDE_FIRST;
                    case ONE_CAR_AT_A_TIME -> PriorityRule.NEAREST_DATE;
                };
        List<PriorityRule> rules = new ArrayList<>(List.of(PriorityRule.values()));
        rules.remove(first);
        rules.add(0, first);
        return rules;
    }

    static double[] keys(Model model, Guide guide) {
        Map<Object, Integer> places = new HashMap<>();
        guide.order().forEach(id -> places.put(id, places.size()));
        double[] keys = new double[model.size];
        Arrays.setAll(
                keys, node -> places.getOrDefault(model.network.works.get(node).id(), places.size()));
        return keys;
    }

    private static double[] keys(Model model, Urgency urgency, Plan told) {
        double[] keys = new double[model.size];
        Arrays.setAll(keys, node -> Urgency.FAR + urgency.latestStart(node));
        for (Plan.Placed placed : told.placed()) {
            Integer node = model.network.index.get(placed.work());
            if (node != null) {
                keys[node] = model.grid.atOrAfter(placed.start());
            }
        }
        return keys;
    }

    static boolean[] early(Model model, Guide guide) {
        Set<LinkId> ids = new HashSet<>(guide.early());
        boolean[] early = new boolean[model.network.risks];
        for (Network.Arc[] arcs : model.before) {
            for (Network.Arc arc : arcs) {
                if (arc.risk() >= 0) {
                    early[arc.risk()] = ids.contains(arc.link().orElseThrow());
                }
            }
        }
        return early;
    }

    private static Guide guide(Model model, Population.Member member) {
        List<LinkId> early = new ArrayList<>();
        for (Network.Arc[] arcs : model.before) {
            for (Network.Arc arc : arcs) {
                if (arc.risk() >= 0 && member.early()[arc.risk()]) {
                    early.add(arc.link().orElseThrow());
                }
            }
        }
        return new Guide(
                Arrays.stream(member.list())
                        .mapToObj(n -> model.network.works.get(n).id())
                        .toList(),
                early);
    }
}
