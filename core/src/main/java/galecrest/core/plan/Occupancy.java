package galecrest.core.plan;

import galecrest.core.build.CureLock;
import galecrest.core.build.WorkId;
import galecrest.core.build.Zone;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is taken so far while a schedule is being built: people, stations, zones and the cars themselves. */
final class Occupancy {
    private final Busy[] people;
    private final List<List<Stand>> stations = new ArrayList<>();
    private final List<List<Claim>> cars = new ArrayList<>();
    private final List<List<InZone>> zones = new ArrayList<>();

    /** A car of a build stands at a station. */
    record Stand(int from, int to, int build, WorkId work) {}

    /** How a piece of work claims its car. */
    enum Hold {
        ON_CAR,
        WHOLE_CAR,
        AWAY,
        CURING_ZONE,
        CURING_CAR
    }

    /** A claim on a car: {@code zone} counts for on-car work and a curing zone, {@code station} is −1 for none. */
    record Claim(int from, int to, Hold hold, Zone zone, int station, WorkId work) {
        boolean curing() {
            return hold == Hold.CURING_ZONE || hold == Hold.CURING_CAR;
        }
    }

    /** People at work in a zone. */
    record InZone(int from, int to, Zone zone, int people, WorkId work) {}

    Occupancy(int peopleCount, int stationCount, int buildCount) {
        people = new Busy[peopleCount];
        Arrays.setAll(people, i -> new Busy());
        for (int i = 0; i < stationCount; i++) {
            stations.add(new ArrayList<>());
        }
        for (int i = 0; i < buildCount; i++) {
            cars.add(new ArrayList<>());
            zones.add(new ArrayList<>());
        }
    }

    Busy person(int person) {
        return people[person];
    }

    void stand(int station, Stand stand) {
        stations.get(station).add(stand);
    }

    void claim(int build, Claim claim) {
        cars.get(build).add(claim);
    }

    void inZone(int build, InZone inZone) {
        zones.get(build).add(inZone);
    }

    /** Another build's stay at the station that overlaps; the one that ends last, or null. */
    @Nullable
    Stand takenBy(int station, int build, int from, int to) {
        Stand last = null;
        for (Stand stand : stations.get(station)) {
            if (stand.build() != build && stand.from() < to && from < stand.to()) {
                last = last == null || stand.to() > last.to() ? stand : last;
            }
        }
        return last;
    }

    /** A claim that the new one cannot share the car with; the one that ends last, or null. */
    @Nullable
    Claim conflict(int build, Claim wanted) {
        Claim last = null;
        for (Claim claim : cars.get(build)) {
            if (claim.from() < wanted.to() && wanted.from() < claim.to() && excludes(claim, wanted)) {
                last = last == null || claim.to() > last.to() ? claim : last;
            }
        }
        return last;
    }

    private static boolean excludes(Claim a, Claim b) {
        if (a.curing() && b.curing()) {
            return false;
        }
        if (a.hold() != Hold.ON_CAR && a.hold() != Hold.CURING_ZONE) {
            return true;
        }
        if (b.hold() != Hold.ON_CAR && b.hold() != Hold.CURING_ZONE) {
            return true;
        }
        if (a.curing() || b.curing()) {
            return a.zone() == b.zone();
        }
        return a.station() >= 0 && b.station() >= 0 && a.station() != b.station();
    }

    /**
     * The stay in the zone that must end before so many more fit in from {@code from} to {@code to}: the one that
     * ends first among those at the crowded moment; or null where they fit.
     */
    @Nullable
    InZone crowd(int build, Zone zone, int newcomers, int limit, int from, int to) {
        List<InZone> there = new ArrayList<>();
        for (InZone stay : zones.get(build)) {
            if (stay.zone() == zone && stay.from() < to && from < stay.to()) {
                there.add(stay);
            }
        }
        for (InZone moment : there) {
            InZone first = crowdAt(Math.max(from, moment.from()), there, limit - newcomers);
            if (first != null) {
                return first;
            }
        }
        return null;
    }

    private static @Nullable InZone crowdAt(int slot, List<InZone> there, int room) {
        int sum = 0;
        InZone first = null;
        for (InZone stay : there) {
            if (stay.from() <= slot && slot < stay.to()) {
                sum += stay.people();
                first = first == null || stay.to() < first.to() ? stay : first;
            }
        }
        return sum > room ? first : null;
    }

    static Hold curing(CureLock lock) {
        return lock == CureLock.WHOLE_CAR ? Hold.CURING_CAR : Hold.CURING_ZONE;
    }

    /** One person's busy stretches: sorted, disjoint. */
    static final class Busy {
        private int[] from = new int[16];
        private int[] to = new int[16];
        private int[] work = new int[16];
        private int count;

        void add(int start, int end, int node) {
            if (count == from.length) {
                from = Arrays.copyOf(from, count * 2);
                to = Arrays.copyOf(to, count * 2);
                work = Arrays.copyOf(work, count * 2);
            }
            int at = firstEndingAfter(start);
            System.arraycopy(from, at, from, at + 1, count - at);
            System.arraycopy(to, at, to, at + 1, count - at);
            System.arraycopy(work, at, work, at + 1, count - at);
            from[at] = start;
            to[at] = end;
            work[at] = node;
            count++;
        }

        /** The first stretch that ends after the slot; {@link #count()} where there is none. */
        int firstEndingAfter(int slot) {
            int low = 0;
            int high = count;
            while (low < high) {
                int mid = (low + high) >>> 1;
                if (to[mid] > slot) {
                    high = mid;
                } else {
                    low = mid + 1;
                }
            }
            return low;
        }

        int count() {
            return count;
        }

        int fromOf(int stretch) {
            return from[stretch];
        }

        int toOf(int stretch) {
            return to[stretch];
        }

        int workOf(int stretch) {
            return work[stretch];
        }
    }
}
