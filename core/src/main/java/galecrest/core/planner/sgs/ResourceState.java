package galecrest.core.planner.sgs;

import galecrest.core.build.Zone;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.problem.SchedulingProblem;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** What is taken so far while a schedule is being built: people, stations, zones and the cars themselves. */
final class ResourceState {
    static final int ZONES = Zone.values().length;

    final ResourceProfile[] pools;
    /** Of each pool of one, where that person is free for long enough. */
    final @Nullable FreeIntervals[] gaps;

    final Occupancy[] stations;
    final Occupancy[] cars;
    private final ResourceProfile[] zones;

    ResourceState(SchedulingProblem problem) {
        var shop = problem.network.shop;
        int buildCount = shop.builds().size();
        pools = new ResourceProfile[problem.pools.count()];
        gaps = new FreeIntervals[pools.length];
        stations = new Occupancy[shop.stations().size()];
        cars = new Occupancy[buildCount];
        zones = new ResourceProfile[buildCount * ZONES];
        Arrays.setAll(pools, i -> new ResourceProfile());
        Arrays.setAll(stations, i -> new Occupancy());
        Arrays.setAll(cars, i -> new Occupancy());
        Arrays.setAll(zones, i -> new ResourceProfile());
        for (int pool = 0; pool < pools.length; pool++) {
            if (problem.pools.size(pool) == 1 && !problem.interleaves) {
                WorkingWindows hours = problem.calendars.person(problem.pools.anyOf(pool));
                gaps[pool] = new FreeIntervals(problem.mirror ? hours.mirrored(problem.slots) : hours, problem.slots);
            }
        }
    }

    /** The owner of what is taken for a commitment, by its number; and the number again. */
    static int atDate(int number) {
        return -2 - number;
    }

    /** Hands at work in a zone of a build. */
    ResourceProfile zone(int build, int zone) {
        return zones[build * ZONES + zone];
    }

    /** Someone alone is at work from one slot to another. */
    void busy(int pool, int from, int to, int owner) {
        pools[pool].add(from, to, 1, owner);
        FreeIntervals his = gaps[pool];
        if (his != null) {
            his.take(from, to);
        }
    }

    /** Nothing is taken any more; no work is shorter than so many slots. */
    void clear(int shortestWork) {
        for (FreeIntervals gap : gaps) {
            if (gap != null) {
                gap.clear(shortestWork);
            }
        }
        for (ResourceProfile usage : pools) {
            usage.clear();
        }
        for (ResourceProfile usage : zones) {
            usage.clear();
        }
        for (Occupancy stays : stations) {
            stays.clear();
        }
        for (Occupancy stays : cars) {
            stays.clear();
        }
    }
}
