package galecrest.core.planner.search;

import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.ActivityList;
import galecrest.core.planner.sgs.Schedule;
import java.util.Arrays;
import java.util.SplittableRandom;

/**
 * Where a search begins anew when nothing has helped for long: an order with a few builds moved sooner or later, a
 * disturbed one, or a child of two good ones, crossed by builds, at the peaks of one of them, or by a stretch of the order.
 */
final class Restarts {
    /** Fewer members than this are not bred from; a disturbed best order is the next beginning. */
    private static final int FEW = 4;

    /** By how much of the order work moves when the best, or one that has no mate, is disturbed. */
    private static final double MUCH = 0.5;

    private static final double SOME = 0.2;
    /** How often two orders are crossed build by build, where several have dates. */
    private static final double BY_BUILDS = 0.5;

    /** How often two orders of a small problem are crossed at peaks. */
    private static final double AT_PEAKS = 0.5;
    /** A peak has this share of the hands at work on the average, or up to that much more. */
    private static final double LEAST_PEAK = 0.8;

    private static final double PEAKS_RANGE = 0.6;
    /** How often a short try begins with builds moved, how many at most, and by what share of the order. */
    private static final double KICKS = 0.8;

    private static final int MOST_KICKED = 3;
    private static final double KICK = 0.3;

    private final SchedulingProblem problem;
    private final Evaluator evaluator;
    private final Schedule schedule;
    private final SplittableRandom random;
    private final boolean small;
    private final boolean datesOfBuilds;
    private final boolean kicks;

    /** An order to begin with, and the choices that go with it. */
    record Beginning(int[] list, boolean[] choices) {}

    /**
     * Of one search, with its randomness.
     *
     * @param small whether orders are crossed at peaks as well
     * @param datesOfBuilds whether several builds have dates, so that they are crossed and moved as a whole
     * @param kicks whether tries are short, and most begin with a few builds moved
     */
    Restarts(
            SchedulingProblem problem,
            Evaluator evaluator,
            SplittableRandom random,
            boolean small,
            boolean datesOfBuilds,
            boolean kicks) {
        this.problem = problem;
        this.evaluator = evaluator;
        this.schedule = evaluator.schedule;
        this.random = random;
        this.small = small;
        this.datesOfBuilds = datesOfBuilds;
        this.kicks = kicks;
    }

    /** The next beginning, from the good orders found so far and the best of all. */
    Beginning next(ElitePool population, ElitePool.Member best) {
        if (kicks && random.nextDouble() < KICKS) {
            ElitePool.Member of = random.nextBoolean() || population.size() < 2 ? best : population.pick();
            int[] child = kicked(of.list());
            boolean[] picked = of.choices().clone();
            // Where work stays where people were told, nothing comes of another order.
            Arrays.fill(picked, problem.network.risks, problem.network.risks + problem.size, false);
            return new Beginning(child, picked);
        }
        if (population.size() < FEW) {
            return new Beginning(disturbed(best.list(), MUCH), best.choices());
        }
        ElitePool.Member father = population.pick();
        ElitePool.Member mother = population.pick();
        return new Beginning(child(population, father, mother), father.choices());
    }

    private int[] child(ElitePool population, ElitePool.Member father, ElitePool.Member mother) {
        if (father == mother) {
            return disturbed(father.list(), SOME);
        }
        if (datesOfBuilds && random.nextDouble() < BY_BUILDS) {
            return crossedByBuilds(father.list(), mother.list());
        }
        if (small && random.nextDouble() < AT_PEAKS) {
            return crossedAtPeaks(father, mother);
        }
        return population.cross(father.list(), mother.list(), ActivityList.firstFree(problem, father.list()));
    }

    /** The places of some builds as in one order, those of the others as in another. */
    private int[] crossedByBuilds(int[] father, int[] mother) {
        double[] keys = new double[problem.size];
        boolean[] ofFather = new boolean[problem.size + 1];
        for (int build = 0; build < ofFather.length; build++) {
            ofFather[build] = random.nextBoolean();
        }
        for (int i = 0; i < father.length; i++) {
            if (ofFather[problem.activities[father[i]].build()]) {
                keys[father[i]] = i;
            }
            if (!ofFather[problem.activities[mother[i]].build()]) {
                keys[mother[i]] = i;
            }
        }
        return ActivityList.by(problem, keys);
    }

    /**
     * What is begun at the peaks of the father's schedule, where most hands are at work, in his order; all else in the
     * mother's (after the peak crossover of Valls, Ballestín and Quintanilla, 2008).
     */
    private int[] crossedAtPeaks(ElitePool.Member father, ElitePool.Member mother) {
        evaluator.make(father.list(), father.choices());
        double work = 0;
        int last = 1;
        for (int node = 0; node < problem.size; node++) {
            if (schedule.planned(node)) {
                work += (double) hands(node) * (schedule.end[node] - schedule.start[node]);
                last = Math.max(last, schedule.end[node]);
            }
        }
        double peak = (LEAST_PEAK + PEAKS_RANGE * random.nextDouble()) * work / last;
        double[] keys = new double[problem.size];
        for (int i = 0; i < problem.size; i++) {
            keys[mother.list()[i]] = i;
        }
        for (int i = 0; i < problem.size; i++) {
            int node = father.list()[i];
            if (schedule.planned(node) && atWork(schedule.start[node]) >= peak) {
                keys[node] = i;
            }
        }
        return ActivityList.by(problem, keys);
    }

    private int atWork(int slot) {
        int sum = 0;
        for (int node = 0; node < problem.size; node++) {
            boolean goesOn = schedule.planned(node) && schedule.start[node] <= slot && slot < schedule.end[node];
            sum += goesOn ? hands(node) : 0;
        }
        return sum;
    }

    private int hands(int node) {
        return schedule.crew[node] == null ? 0 : schedule.crew[node].hands;
    }

    /** The order with a few builds moved sooner or later, each as a whole. */
    private int[] kicked(int[] order) {
        double[] by = new double[problem.size + 1];
        for (int left = 1 + random.nextInt(MOST_KICKED); left > 0; left--) {
            int build = problem.activities[order[random.nextInt(order.length)]].build();
            by[build] = (2 * random.nextDouble() - 1) * KICK * order.length;
        }
        double[] keys = new double[problem.size];
        for (int i = 0; i < order.length; i++) {
            keys[order[i]] = i + by[problem.activities[order[i]].build()];
        }
        return ActivityList.by(problem, keys);
    }

    /** The order with every build, or every node, moved at random by up to a share of its length. */
    private int[] disturbed(int[] order, double share) {
        double[] keys = new double[problem.size];
        double[] ofBuild = new double[problem.size + 1];
        boolean builds = datesOfBuilds && random.nextBoolean();
        for (int build = 0; build < ofBuild.length; build++) {
            ofBuild[build] = random.nextDouble();
        }
        for (int i = 0; i < order.length; i++) {
            double by = builds ? ofBuild[problem.activities[order[i]].build()] : random.nextDouble();
            keys[order[i]] = i + by * order.length * share;
        }
        return ActivityList.by(problem, keys);
    }
}
