package galecrest.core.plan;

import galecrest.core.build.Zone;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** What is taken so far while a schedule is being built: people, stations, zones and the cars themselves. */
final class Taken {
    static final int ZONES = Zone.values().length;

    final Usage[] pools;
    /** Of each pool of one, where that person is free for long enough. */
    final @Nullable Gaps[] gaps;

    final Stays[] stations;
    final Stays[] cars;
    private final Usage[] zones;

    Taken(Model model) {
        var shop = model.network.shop;
        int buildCount = shop.builds().size();
        pools = new Usage[model.pools.count()];
        gaps = new Gaps[pools.length];
        stations = new Stays[shop.stations().size()];
        cars = new Stays[buildCount];
        zones = new Usage[buildCount * ZONES];
        Arrays.setAll(pools, i -> new Usage());
        Arrays.setAll(stations, i -> new Stays());
        Arrays.setAll(cars, i -> new Stays());
        Arrays.setAll(zones, i -> new Usage());
        for (int pool = 0; pool < pools.length; pool++) {
            if (model.pools.size(pool) == 1 && !model.interleaves) {
                SlotWindows hours = model.calendars.person(model.pools.anyOf(pool));
                gaps[pool] = new Gaps(model.mirror ? hours.mirrored(model.slots) : hours, model.slots);
            }
        }
    }

    /** Hands at work in a zone of a build. */
    Usage zone(int build, int zone) {
        return zones[build * ZONES + zone];
    }

    /** Someone alone is at work from one slot to another. */
    void busy(int pool, int from, int to, int owner) {
        pools[pool].add(from, to, 1, owner);
        Gaps his = gaps[pool];
        if (his != null) {
            his.take(from, to);
        }
    }

    /** Nothing is taken any more; no work is shorter than so many slots. */
    void clear(int shortestWork) {
        for (Gaps gap : gaps) {
            if (gap != null) {
                gap.clear(shortestWork);
            }
        }
        for (Usage usage : pools) {
            usage.clear();
        }
        for (Usage usage : zones) {
            usage.clear();
        }
        for (Stays stays : stations) {
            stays.clear();
        }
        for (Stays stays : cars) {
            stays.clear();
        }
    }
}
