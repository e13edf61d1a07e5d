package galecrest.core.planner.search;

import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;

/**
 * Which work can get in each other's way: what could want the same person, station or car. Only among rivals does the
 * order matter. Each person, station and car has one of 64 bits; where there are more, some that never meet pass for
 * rivals, which costs a try and no more.
 */
final class SharedResources {
    private final long[] wants;

    SharedResources(SchedulingProblem problem) {
        wants = new long[problem.size];
        for (int node = 0; node < problem.size; node++) {
            wants[node] = problem.activities[node] instanceof Activity.JobActivity job ? wants(problem, job) : -1;
        }
    }

    private static long wants(SchedulingProblem problem, Activity.JobActivity job) {
        long bits = 0;
        for (CrewMode crew : job.crews()) {
            for (int pool : crew.pools) {
                bits |= 1L << pool;
            }
        }
        int stations = problem.pools.count();
        for (int station : job.stations()) {
            bits |= station < 0 ? 0 : 1L << stations + station;
        }
        int cars = stations + problem.network.shop.stations().size();
        return job.onCar() ? bits | 1L << cars + job.build() : bits;
    }

    boolean rivals(int one, int other) {
        return (wants[one] & wants[other]) != 0;
    }
}
