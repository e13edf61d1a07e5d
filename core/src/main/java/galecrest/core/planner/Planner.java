package galecrest.core.planner;

import galecrest.core.plan.LinkIndex;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.SearchListener;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.SnapshotValidator;
import galecrest.core.plan.WarmStart;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.Decisions;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.repair.Repair;
import galecrest.core.planner.repair.StandingOrder;
import galecrest.core.planner.search.ElitePool;
import galecrest.core.planner.search.Evaluator;
import galecrest.core.planner.search.InitialSolutions;
import galecrest.core.planner.search.LocalSearch;
import galecrest.core.planner.search.Portfolio;
import galecrest.core.planner.search.PriorityRule;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.shop.Problem;
import galecrest.core.shop.TieBreak;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Makes a plan of a shop snapshot. Where a plan stands already, it is mended ({@link Repair}) unless a search is asked for.
 * A search is one schedule by each priority rule, by the order of what people have been told and by
 * the guide, with at-risk starts and without; then {@link LocalSearch} improves the best of them. Deterministic: same
 * snapshot and options, same plan.
 */
public final class Planner {
    /** The watch is asked every so many steps. */
    private static final int WATCHED = 16;
    /** With fewer steps left a search comes to nothing but unrest: it would hardly be past its forward-backward passes. */
    private static final int LEAST_SEARCH = 8;
    /** With fewer left, nothing is searched for besides what can be found from what people were told. */
    private static final int LEAST_FREE = 1_000;
    /** What begins free of that makes so many steps to one of what keeps to it. */
    private static final int TURNS_FREE = 3;

    private Planner() {}

    /** A plan, what it was made of, and how many schedules were looked at. */
    public record Thought(Plan plan, WarmStart guide, long steps) {}

    /**
     * The best plan found.
     *
     * @throws IllegalArgumentException where {@link SnapshotValidator} finds problems
     */
    public static Plan plan(ShopSnapshot shop, PlanOptions options) {
        return think(shop, options, (steps, best) -> true).plan();
    }

    /**
     * The best plan found until the steps are done or the watch ends it.
     *
     * @throws IllegalArgumentException where {@link SnapshotValidator} finds problems
     */
    public static Thought think(ShopSnapshot shop, PlanOptions options, SearchListener watch) {
        LinkIndex ends = LinkIndex.of(shop.works(), shop.links());
        List<Problem> problems = SnapshotValidator.problems(shop, ends);
        if (!problems.isEmpty()) {
            throw new IllegalArgumentException("The snapshot cannot be planned: " + problems);
        }
        SchedulingProblem problem = new SchedulingProblem(
                new ActivityNetwork(shop, new TimeGrid(shop.now(), shop.zone(), options.horizon()), ends));
        Evaluator evaluator = new Evaluator(problem);
        if (options.mode() == PlanOptions.Mode.REPAIR && shop.standing().isPresent()) {
            return repaired(problem, evaluator, shop.standing().get(), options);
        }
        ElitePool.Member first = begin(problem, evaluator, options);
        List<Found> found = IntStream.range(0, options.searches())
                .parallel()
                .mapToObj(i -> search(problem, i == 0 ? evaluator : new Evaluator(problem), first, options, i, watch))
                .toList();
        Found best = found.stream()
                .min(Comparator.comparing(f -> f.member().score()))
                .orElseThrow();
        return new Thought(
                best.evaluator().plan(best.member()),
                Decisions.guide(problem, best.member().list(), best.member().choices()),
                found.stream().mapToLong(Found::steps).sum());
    }

    private static Thought repaired(
            SchedulingProblem problem, Evaluator evaluator, Plan standing, PlanOptions options) {
        Set<Integer> letGo =
                options.letGo().stream().map(problem.network::buildOf).collect(Collectors.toCollection(TreeSet::new));
        ElitePool.Member mended = Repair.of(problem, evaluator, standing, letGo, options.steps());
        return new Thought(
                evaluator.plan(mended), Decisions.guide(problem, mended.list(), mended.choices()), evaluator.steps());
    }

    /** The best of all orders, as far as can be as people were told; also with the builds let go that are late. */
    private static ElitePool.Member begin(SchedulingProblem problem, Evaluator evaluator, PlanOptions options) {
        List<int[]> orders = orders(problem, options);
        InitialSolutions beginnings = beginnings(problem, evaluator, options, orders, choices(problem, options));
        if (told(problem)) {
            orders.forEach(beginnings::offerLetGo);
        }
        return beginnings.best();
    }

    /** All orders with all choices, the first choices first. */
    private static InitialSolutions beginnings(
            SchedulingProblem problem,
            Evaluator evaluator,
            PlanOptions options,
            List<int[]> orders,
            List<boolean[]> choices) {
        InitialSolutions beginnings =
                new InitialSolutions(problem, evaluator, orders.get(0), choices.get(0), options.steps());
        for (boolean[] some : choices) {
            orders.forEach(order -> beginnings.offer(order, some));
        }
        return beginnings;
    }

    private static boolean told(SchedulingProblem problem) {
        return Arrays.stream(problem.told).anyMatch(t -> t >= 0);
    }

    /** The best that was found, who made it, and of how many schedules. */
    private record Found(Evaluator evaluator, ElitePool.Member member, long steps) {}

    /** Goes on from what was found, with a maker of its own, for as many steps as are left. */
    private static Found search(
            SchedulingProblem problem,
            Evaluator evaluator,
            ElitePool.Member first,
            PlanOptions options,
            int number,
            SearchListener watch) {
        if (evaluator.steps() + LEAST_SEARCH > options.steps()) {
            return new Found(evaluator, first, evaluator.steps());
        }
        Portfolio portfolio = new Portfolio();
        portfolio.add(new LocalSearch(problem, evaluator, first, options.seed(), number, false), evaluator, 1);
        if (told(problem) && evaluator.steps() + LEAST_FREE <= options.steps()) {
            Evaluator free = new Evaluator(problem);
            ElitePool.Member other = beginnings(
                            problem, free, options, orders(problem, options), choices(problem, false))
                    .best();
            portfolio.add(new LocalSearch(problem, free, other, options.seed(), number, true), free, TURNS_FREE);
        }
        long ask = 0;
        for (long steps; (steps = portfolio.steps()) < options.steps(); portfolio.step()) {
            if (steps >= ask) {
                if (!watch.goOn(steps, portfolio.best().score())) {
                    break;
                }
                ask = steps + WATCHED;
            }
        }
        return new Found(portfolio.evaluator(), portfolio.best(), portfolio.steps());
    }

    /**
     * The orders to begin from, no more than there are steps: the guide's, what people were told, mended, and the rules,
     * that of the house's school first.
     */
    private static List<int[]> orders(SchedulingProblem problem, PlanOptions options) {
        List<int[]> orders = new ArrayList<>();
        options.guide().ifPresent(g -> orders.add(ActivityList.by(problem, keys(problem, g))));
        CriticalPath urgency = new CriticalPath(problem.network);
        problem.network
                .shop
                .standing()
                .ifPresent(
                        plan -> orders.add(ActivityList.by(problem, new StandingOrder(problem, urgency, plan).keys())));
        for (PriorityRule rule : rules(problem.network.shop.rules().tieBreak())) {
            if (orders.size() >= options.steps()) {
                return orders;
            }
            double[] keys = new double[problem.size];
            Arrays.setAll(keys, node -> rule.key(urgency, node));
            orders.add(ActivityList.by(problem, keys));
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

    static double[] keys(SchedulingProblem problem, WarmStart guide) {
        Map<Object, Integer> places = new HashMap<>();
        guide.order().forEach(id -> places.put(id, places.size()));
        double[] keys = new double[problem.size];
        Arrays.setAll(
                keys,
                node -> places.getOrDefault(problem.network.works.get(node).id(), places.size()));
        return keys;
    }

    /** The choices to begin with: the guide's; keeping to what was told, with at-risk starts and without. */
    private static List<boolean[]> choices(SchedulingProblem problem, PlanOptions options) {
        List<boolean[]> choices = new ArrayList<>();
        options.guide().ifPresent(g -> choices.add(Decisions.of(problem, g)));
        choices.addAll(choices(problem, true));
        return choices;
    }

    /** All kept to what was told, or nothing; with at-risk starts and without. */
    private static List<boolean[]> choices(SchedulingProblem problem, boolean keep) {
        List<boolean[]> choices = new ArrayList<>();
        choices.add(Decisions.of(problem, false, keep, Set.of()));
        if (problem.network.risks > 0) {
            choices.add(Decisions.of(problem, true, keep, Set.of()));
        }
        return choices;
    }
}
