package galecrest.core.plan;

import galecrest.core.shop.Problem;
import galecrest.core.shop.TieBreak;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
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
        Search best = searches.stream()
                .min(Comparator.comparing(s -> s.best().score()))
                .orElseThrow();
        return new Thought(
                best.plan(),
                Choices.guide(model, best.best().list(), best.best().choices()),
                searches.stream().mapToLong(Search::steps).sum());
    }

    private static Search search(Model model, PlanOptions options, int number, Watch watch) {
        List<int[]> orders = orders(model, options);
        List<boolean[]> choices = choices(model, options);
        Search search = new Search(model, orders.get(0), choices.get(0), options.seed() * 31 + number);
        for (boolean[] some : choices) {
            for (int i = 0; i < orders.size() && search.steps() < options.steps(); i++) {
                search.offer(orders.get(i), some);
            }
        }
        for (int i = 0; i < orders.size() && search.steps() < options.steps(); i++) {
            search.offerLetGo(orders.get(i));
        }
        if (search.steps() < options.steps()) {
            search.begin();
        }
        long ask = 0;
        while (search.steps() < options.steps()) {
            if (search.steps() >= ask) {
                if (!watch.goOn(search.steps(), search.best().score())) {
                    break;
                }
                ask = search.steps() + WATCHED;
            }
            search.step();
        }
        return search;
    }

    /**
     * The orders to begin from, no more than there are steps: the guide's, what people were told, mended, and the rules,
     * that of the house's school first.
     */
    private static List<int[]> orders(Model model, PlanOptions options) {
        List<int[]> orders = new ArrayList<>();
        options.guide().ifPresent(g -> orders.add(Order.by(model, keys(model, g))));
        Urgency urgency = new Urgency(model.network);
        model.network
                .shop
                .published()
                .ifPresent(told -> orders.add(Order.by(model, Repair.keys(model, urgency, told))));
        for (PriorityRule rule : rules(model.network.shop.rules().tieBreak())) {
            if (orders.size() >= options.steps()) {
                return orders;
            }
            double[] keys = new double[model.size];
            Arrays.setAll(keys, node -> rule.key(urgency, node));
            orders.add(Order.by(model, keys));
        }
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

    /** The choices to begin with: the guide's, keeping to what was told, and free, with at-risk starts and without. */
    private static List<boolean[]> choices(Model model, PlanOptions options) {
        List<boolean[]> choices = new ArrayList<>();
        options.guide().ifPresent(g -> choices.add(Choices.of(model, g)));
        boolean told = Arrays.stream(model.told).anyMatch(t -> t >= 0);
        for (boolean atRisk : model.network.risks > 0 ? new boolean[] {false, true} : new boolean[] {false}) {
            if (told) {
                choices.add(Choices.of(model, atRisk, true, Set.of()));
            }
            choices.add(Choices.of(model, atRisk, false, Set.of()));
        }
        return choices;
    }
}
