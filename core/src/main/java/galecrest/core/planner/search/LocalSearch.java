package galecrest.core.planner.search;

import galecrest.core.plan.Score;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.BackwardPass;
import galecrest.core.planner.sgs.Schedule;
import java.util.Arrays;
import java.util.SplittableRandom;

/**
 * Improves a plan step by step; a step is one schedule made and scored. From the best of the {@link InitialSolutions} it
 * alternates forward-backward passes with moves in the neighbourhood of the present order:
 * <ul>
 *   <li>something on the chain of a date goes ahead of the work that it waits for,
 *   <li>one piece of work moves past another that could want the same person, station or car,
 *   <li>one build, one person's work or one stretch of the order is freed and put in anew,
 *   <li>one build goes sooner or later as a whole,
 *   <li>another of equally good crews does a piece of work,
 *   <li>an at-risk start is used or not.
 * </ul>
 * A neighbour is kept when it is no worse than the present order, or than the one of some steps ago (late acceptance;
 * Burke and Bykov, 2017). Where nobody and nothing can stand in for another, as in a job shop, all changes at the ends of
 * rows of work on the chains are tried instead, and the best is taken, though it be worse, and not taken back for a while
 * (tabu search; Nowicki and Smutnicki, 1996). When nothing has helped for long, it begins anew ({@link Restarts}) from a
 * child of the good orders found so far; free in a large shop soon, and mostly from a good order with a few builds moved
 * sooner or later (iterated local search; Lourenço, Martin and Stützle, 2003). Of two searches side by side in a small
 * problem the second only breeds: every child is one forward-backward pass away from its parents, and when many in turn
 * have brought nothing, the good orders are forgotten.
 * Deterministic by seed and number of steps.
 */
public final class LocalSearch {
    private static final int PASSES = 3;
    private static final int MEMBERS = 10;
    /** Up to so many pieces of work it is all but breeding: more members, little patience, crossed at peaks as well. */
    private static final int SMALL = 40;

    private static final int MEMBERS_OF_SMALL = 60;
    private static final int[] PATIENCES_OF_SMALL = {0, 3};
    /** Members of who only breeds, and after how many children in turn without a better plan than all before they go. */
    private static final int BRED = 20;

    private static final int BARREN = 200;
    private static final int[] NO_PATIENCE = {0};
    /** So many neighbours are tried at most before one is taken. */
    private static final int TRIED = 30;
    /** How many steps back the late acceptance looks, one of these at random for each beginning. */
    private static final int[] MEMORIES = {8, 20, 60};
    /** After so many steps per piece of work without help it begins anew, and after so many where it is a tabu search. */
    private static final int[] PATIENCES = {4, 8};

    /** From so many pieces of work on, free of what was told, short tries come to more than long ones. */
    private static final int LARGE = 150;
    /** There the patience counts for so many pieces of work. */
    private static final int SHORT = 15;

    private static final int[] TABU_PATIENCES = {8, 16, 32};

    private final SchedulingProblem problem;
    private final Evaluator evaluator;
    private final Schedule schedule;
    private final BackwardPass mirror;
    private final SplittableRandom random;
    private final Neighbourhood neighbours;
    private final ElitePool population;
    private final Restarts restarts;
    private final TabuList forbidden;
    private final Score[] history = new Score[MEMORIES[MEMORIES.length - 1]];
    private int memory = MEMORIES[0];
    private int patience;
    private int stale;
    private final boolean breeds;
    private final boolean large;
    private int barren;
    /** Whether an order may be put in the order of the starts it leads to without making it worse. */
    private boolean sorts;

    private int[] list;
    private boolean[] choices;
    private Score score;
    /** The best since the present beginning, and the best of all. */
    private ElitePool.Member local;

    private ElitePool.Member best;

    /**
     * Begins from a first schedule; the same seed finds the same.
     *
     * @param number of the search, of those side by side; the odd ones search small problems in another way
     * @param free whether it begins free of what people were told: then it puts work back to that, several at a time, and in a
     *     large shop makes many short tries
     */
    public LocalSearch(
            SchedulingProblem problem,
            Evaluator evaluator,
            ElitePool.Member first,
            long seed,
            int number,
            boolean free) {
        this.problem = problem;
        breeds = number % 2 == 1 && problem.size <= SMALL;
        this.evaluator = evaluator;
        this.schedule = evaluator.schedule;
        this.mirror = new BackwardPass(problem);
        this.random = new SplittableRandom(seed * 31 + number);
        this.neighbours = new Neighbourhood(problem, evaluator.objective, random, free);
        this.large = neighbours.datesOfBuilds && problem.size >= LARGE && free;
        this.population = new ElitePool(breeds ? BRED : isSmall() ? MEMBERS_OF_SMALL : MEMBERS, random);
        this.restarts = new Restarts(problem, evaluator, random, isSmall(), neighbours.datesOfBuilds, large);
        this.forbidden = new TabuList(random);
        patience = patiences()[0];
        best = first;
        local = best;
        list = best.list();
        choices = best.choices();
        score = best.score();
        begin();
    }

    /** The best that was found so far. */
    public ElitePool.Member best() {
        return best;
    }

    private void begin() {
        score = evaluator.make(best.list(), best.choices());
        if (neighbours.sorts) {
            int[] sorted = neighbours.sorted(schedule, best.list());
            sorts = evaluator.make(sorted, best.choices()).compareTo(score) <= 0;
            score = evaluator.make(best.list(), best.choices());
        }
        settle(best.list(), best.choices(), score);
        passes();
        Arrays.fill(history, score);
    }

    /** Forward-backward passes from the schedule made last, as long as they help. */
    private void passes() {
        for (int i = 0; i < PASSES; i++) {
            int[] next = ActivityList.by(problem, mirror.keys(schedule));
            evaluator.count(1);
            Score its = evaluator.make(next, choices);
            boolean helped = its.compareTo(score) < 0;
            if (its.compareTo(score) <= 0) {
                score = its;
                found(next, choices, its);
                settle(next, choices, its);
            }
            if (!helped) {
                return;
            }
        }
    }

    /** Steps on: one neighbour, or all those of one kind. */
    public void step() {
        if (stale > patience * (large ? SHORT : problem.size)) {
            anew();
        }
        if (neighbours.oneByOne) {
            tabu();
        } else {
            late();
        }
    }

    /** One neighbour of the present order: kept when it is no worse than that, or than the one of some steps ago. */
    private void late() {
        neighbours.change(list, choices);
        int at = evaluator.steps() % memory;
        Score limit = score.compareTo(history[at]) < 0 ? history[at] : score;
        Score its = evaluator.make(neighbours.list, neighbours.choices, limit);
        neighbours.tried(its != null && its.compareTo(score) < 0);
        stale++;
        if (its != null && its.compareTo(limit) <= 0) {
            int[] order = neighbours.list.clone();
            boolean[] picked = neighbours.choices.clone();
            if (its.compareTo(local.score()) < 0) {
                stale = 0;
                found(order, picked, its);
            }
            settle(order, picked, its);
        }
        if (score.compareTo(history[at]) < 0) {
            history[at] = score;
        }
    }

    /** Keeps what was made last where it is the best since the beginning, or of all. */
    private void found(int[] order, boolean[] picked, Score its) {
        if (its.compareTo(local.score()) < 0) {
            local = evaluator.made(order, picked, its);
        }
        if (its.compareTo(best.score()) < 0) {
            best = local;
            barren = 0;
        }
    }

    private void settle(int[] order, boolean[] picked, Score its) {
        score = its;
        choices = picked;
        list = sorts ? neighbours.sorted(schedule, order) : order;
        neighbours.look(schedule, list);
    }

    /**
     * All changes at the ends of rows of work on the chains, up to a number: the best is kept though it be worse, and for
     * some steps what has gone ahead of other work must not go behind it again, unless that leads to the best so far.
     */
    private void tabu() {
        int all = neighbours.waits.distinct();
        if (all == 0) {
            late();
            return;
        }
        int[] order = list;
        boolean[] picked = choices;
        int number = Math.min(all, TRIED);
        int from = random.nextInt(all);
        int taken = random.nextInt(number);
        Score bestOfThese = null;
        for (int i = 0; i < number; i++) {
            int wait = (from + i) % all;
            neighbours.ahead(order, picked, wait);
            Score its = bestOfThese == null
                    ? evaluator.make(neighbours.list, neighbours.choices)
                    : evaluator.make(neighbours.list, neighbours.choices, bestOfThese);
            stale++;
            boolean record = its != null && its.compareTo(local.score()) < 0;
            if (record) {
                stale = 0;
                found(neighbours.list.clone(), neighbours.choices.clone(), its);
            }
            if (its != null
                    && (record || !forbidden.holds(neighbours.waits.waiter(wait), neighbours.waits.blocker(wait)))
                    && (bestOfThese == null || its.compareTo(bestOfThese) < 0)) {
                bestOfThese = its;
                taken = i;
            }
        }
        int wait = (from + taken) % all;
        forbidden.add(neighbours.waits.blocker(wait), neighbours.waits.waiter(wait));
        neighbours.ahead(order, picked, wait);
        int[] next = neighbours.list.clone();
        settle(next, picked, evaluator.make(next, picked));
    }

    private int[] patiences() {
        if (neighbours.oneByOne) {
            return TABU_PATIENCES;
        }
        return breeds ? NO_PATIENCE : isSmall() ? PATIENCES_OF_SMALL : PATIENCES;
    }

    private boolean isSmall() {
        return problem.size <= SMALL;
    }

    private void anew() {
        population.add(local);
        if (breeds && ++barren > BARREN) {
            population.clear();
            barren = 0;
        }
        forbidden.clear();
        Restarts.Beginning next = restarts.next(population, best);
        memory = MEMORIES[random.nextInt(MEMORIES.length)];
        patience = patiences()[random.nextInt(patiences().length)];
        stale = 0;
        score = evaluator.make(next.list(), next.choices());
        local = evaluator.made(next.list(), next.choices(), score);
        found(next.list(), next.choices(), score);
        settle(next.list(), next.choices(), score);
        passes();
        Arrays.fill(history, score);
    }
}
