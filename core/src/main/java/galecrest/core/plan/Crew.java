package galecrest.core.plan;

import org.jspecify.annotations.Nullable;

/** A crew that could do a job: so many people of each of some pools, and when all of them are in. */
final class Crew {
    final int[] pools;
    final int[] counts;
    final int hands;
    private final Calendars calendars;
    private final Pools all;
    private final @Nullable SlotWindows[] hours;
    private final @Nullable SlotWindows[] mirrored;

    Crew(int[] pools, int[] counts, Pools all, Calendars calendars) {
        this.pools = pools;
        this.counts = counts;
        this.all = all;
        this.calendars = calendars;
        int sum = 0;
        for (int many : counts) {
            sum += many;
        }
        hands = sum;
        hours = new SlotWindows[calendars.stations() + 1];
        mirrored = new SlotWindows[calendars.stations() + 1];
    }

    /** When all of the crew are in and the station is open; {@code station} is −1 for none. */
    SlotWindows hours(int station, boolean mirror) {
        @Nullable SlotWindows[] known = mirror ? mirrored : hours;
        SlotWindows open = known[station + 1];
        if (open == null) {
            open = mirror ? hours(station, false).mirrored(calendars.slots()) : calendars.crew(people(), station);
            known[station + 1] = open;
        }
        return open;
    }

    private int[] people() {
        int[] people = new int[pools.length];
        for (int i = 0; i < pools.length; i++) {
            people[i] = all.anyOf(pools[i]);
        }
        return people;
    }
}
