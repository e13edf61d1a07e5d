package galecrest.core.plan;

import galecrest.core.build.Zone;

/** What is taken so far while a schedule is being built: people, stations, zones and the cars themselves. */
final class Taken {
    static final int ZONES = Zone.values().length;

    final Usage[] pools;
    final Stays[] stations;
    final Stays[] cars;
    private final Usage[] zones;

    Taken(int poolCount, int stationCount, int buildCount) {
        pools = new Usage[poolCount];
        stations = new Stays[stationCount];
        cars = new Stays[buildCount];
        zones = new Usage[buildCount * ZONES];
        java.util.Arrays.setAll(pools, i -> new Usage());
        java.util.Arrays.setAll(stations, i -> new Stays());
        java.util.Arrays.setAll(cars, i -> new Stays());
        java.util.Arrays.setAll(zones, i -> new Usage());
    }

    /** Hands at work in a zone of a build. */
    Usage zone(int build, int zone) {
        return zones[build * ZONES + zone];
    }

    void clear() {
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
