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
    /** With fewer steps left a search comes to nothing but unrest: it would hardly be past its forward-backward passes. */
    private static final int LEAST_SEARCH = 8;

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
        LinkEnds ends = LinkEnds.of(shop.works(), shop.links());
        List<Problem> problems = SnapshotCheck.problems(shop, ends);
        if (!problems.isEmpty()) {
            throw new IllegalArgumentException("The snapshot cannot be planned: " + problems);
        }
        Model model = new Model(new Network(shop, new Grid(shop.now(), shop.zone(), options.horizon()), ends));
        Maker maker = new Maker(model);
        Population.Member first = begin(model, maker, options);
        List<Found> found = IntStream.range(0, options.searches())
                .parallel()
                .mapToObj(i -> search(model, i == 0 ? maker : new Maker(model), first, options, i, watch))
                .toList();
        Found best = found.stream()
                .min(Comparator.comparing(f -> f.member().score()))
                .orElseThrow();
        return new Thought(
                best.maker().plan(best.member()),
                Choices.guide(model, best.member().list(), best.member().choices()),
                found.stream().mapToLong(f -> f.maker().steps()).sum());
    }

    /** The best of all orders with all choices, the first choices first; then with the builds let go that are late. */
    private static Population.Member begin(Model model, Maker maker, PlanOptions options) {
        List<int[]> orders = orders(model, options);
        List<boolean[]> choices = choices(model, options);
        Beginnings beginnings = new Beginnings(model, maker, orders.get(0), choices.get(0), options.steps());
        for (boolean[] some : choices) {
            orders.forEach(order -> beginnings.offer(order, some));
        }
        if (told(model)) {
            orders.forEach(beginnings::offerLetGo);
        }
        return beginnings.best();
    }

    private static boolean told(Model model) {
        return Arrays.stream(model.told).anyMatch(t -> t >= 0);
    }

    /** The best that was found, and who made it. */
    private record Found(Maker maker, Population.Member member) {}

    /** Goes on from what was found, with a maker of its own, for as many steps as are left. */
    private static Found search(
            Model model, Maker maker, Population.Member first, PlanOptions options, int number, Watch watch) {
        if (maker.steps() + LEAST_SEARCH > options.steps()) {
            return new Found(maker, first);
        }
        Search search = new Search(model, maker, first, options.seed() * 31 + number);
        long ask = 0;
        while (maker.steps() < options.steps()) {
            if (maker.steps() >= ask) {
                if (!watch.goOn(maker.steps(), search.best().score())) {
                    break;
                }
                ask = maker.steps() + WATCHED;
            }
            search.step();
        }
        return new Found(maker, search.best());
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

    /** The choices to begin with: the guide's; keeping to what was told, with at-risk starts and without. */
    private static List<boolean[]> choices(Model model, PlanOptions options) {
        List<boolean[]> choices = new ArrayList<>();
        options.guide().ifPresent(g -> choices.add(Choices.of(model, g)));
        choices.add(Choices.of(model, false, true, Set.of()));
        if (model.network.risks > 0) {
            choices.add(Choices.of(model, true, true, Set.of()));
        }
        return choices;
    }
}
