package galecrest.core.planner.problem;

import galecrest.core.planner.calendar.Calendars;
import galecrest.core.planner.calendar.WorkingWindows;
import org.jspecify.annotations.Nullable;

/** A crew that could do a job: so many people of each of some pools, and when all of them are in. */
public final class CrewMode {
    public final int[] pools;
    public final int[] counts;
    public final int hands;
    private final Calendars calendars;
    private final ResourcePools all;
    private final @Nullable WorkingWindows[] hours;
    private final @Nullable WorkingWindows[] mirrored;

    CrewMode(int[] pools, int[] counts, ResourcePools all, Calendars calendars) {
        this.pools = pools;
        this.counts = counts;
        this.all = all;
        this.calendars = calendars;
        int sum = 0;
        for (int many : counts) {
            sum += many;
        }
        hands = sum;
        hours = new WorkingWindows[calendars.stations() + 1];
        mirrored = new WorkingWindows[calendars.stations() + 1];
    }

    /** When all of the crew are in and the station is open; {@code station} is −1 for none. */
    public WorkingWindows hours(int station, boolean mirror) {
        @Nullable WorkingWindows[] known = mirror ? mirrored : hours;
        WorkingWindows open = known[station + 1];
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
