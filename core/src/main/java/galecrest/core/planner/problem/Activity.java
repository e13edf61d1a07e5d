package galecrest.core.planner.problem;

import galecrest.core.work.PinId;
import org.jspecify.annotations.Nullable;

/** A piece of open work prepared for placing: all names are numbers, all times slots. */
public sealed interface Activity {
    /** The number of its build. */
    int build();

    /**
     * A job.
     *
     * @param high slots that it takes at the most, by its estimate
     * @param zone the zone on the car; where it is not on the car, nothing
     * @param cure slots until it counts as finished
     * @param cureHold how its curing claims the car, a hold of {@link CarClaim}; −1 for not at all
     * @param crews who could do it: what people were told first
     * @param stations where it can be done; {@code {-1}} for no station
     * @param listedCrews the crews whatever people were told
     * @param listedStations the stations whatever people were told
     * @param exactly the pin to an exact start, with its slot
     * @param told when, where and by whom people have been told it is done
     * @param never why it cannot be done at all
     * @param carAway pairs of slots from and to which the car is away without it
     */
    record JobActivity(
            int build,
            boolean onCar,
            boolean wholeCar,
            boolean oneGo,
            int high,
            int zone,
            int zoneLimit,
            int cure,
            int cureHold,
            CrewMode[] crews,
            int[] stations,
            CrewMode[] listedCrews,
            int[] listedStations,
            @Nullable Exactly exactly,
            @Nullable Told told,
            @Nullable String never,
            int[] carAway)
            implements Activity {
        /** The same job bound to no instant. */
        public JobActivity free() {
            return bound(null, null);
        }

        /** The same as if people had been told it otherwise. */
        public JobActivity toldAs(Told other) {
            return bound(exactly, other);
        }

        private JobActivity bound(@Nullable Exactly pinned, @Nullable Told to) {
            return new JobActivity(
                    build,
                    onCar,
                    wholeCar,
                    oneGo,
                    high,
                    zone,
                    zoneLimit,
                    cure,
                    cureHold,
                    crews,
                    stations,
                    listedCrews,
                    listedStations,
                    pinned,
                    to,
                    never,
                    carAway);
        }

        /** How it claims its car while it is worked on, see {@link CarClaim}. */
        public int hold() {
            return wholeCar ? CarClaim.WHOLE_CAR : CarClaim.ON_CAR;
        }
    }

    /**
     * Outwork: the vendor is a number of the calendars, the turnaround is kept by the {@link SchedulingProblem}.
     *
     * @param slotLeaves when it leaves for its booked slot; −1 without one
     * @param slotBack when it is back from the slot
     * @param awaySince when it left; only counts where {@code away}
     * @param carAway pairs of slots from and to which the car is away elsewhere
     */
    record TripActivity(
            int build,
            boolean wholeCar,
            int out,
            int home,
            int inspection,
            int vendor,
            int slotLeaves,
            int slotBack,
            boolean away,
            int awaySince,
            @Nullable Exactly exactly,
            String vendorName,
            int[] carAway)
            implements Activity {
        /** The same that does not come to the time it was booked for. */
        public TripActivity queueing() {
            return new TripActivity(
                    build,
                    wholeCar,
                    out,
                    home,
                    inspection,
                    vendor,
                    SchedulingProblem.NO_SLOT,
                    0,
                    away,
                    awaySince,
                    exactly,
                    vendorName,
                    carAway);
        }
    }

    /**
     * Running-in: so many drives, one a day, each of {@code length} slots, by one of the drivers (pools of one).
     *
     * @param told the drives that people were told, by the first driver; empty where they were not told just so
     * @param carAway pairs of slots from and to which the car is away elsewhere
     */
    record DriveActivity(
            int build,
            int drives,
            int length,
            int[] drivers,
            int[] told,
            @Nullable Exactly exactly,
            String skill,
            int[] carAway)
            implements Activity {
        /** The same by one driver, who keeps to these drives where that can be. */
        public DriveActivity asPlanned(int driver, int[] planned) {
            return new DriveActivity(build, drives, length, new int[] {driver}, planned, null, skill, carAway);
        }
    }

    /** Where of the pairs of slots one lies within a stretch, its end; −1 for none. */
    static int back(int[] carAway, int from, int to) {
        for (int i = 0; i < carAway.length; i += 2) {
            if (from < carAway[i + 1] && carAway[i] < to) {
                return carAway[i + 1];
            }
        }
        return -1;
    }

    /**
     * Something of a fixed length that at most claims its car: work done while the car is away, and what the mirrored
     * network makes of other work.
     */
    record BlockActivity(int build, int length, boolean claims) implements Activity {}

    /** A pin to an exact start. */
    record Exactly(PinId pin, int slot) {}

    /** What people have been told of a job; within the frozen days it stays so if it can. */
    record Told(int slot, CrewMode crew, int station, boolean frozen) {}
}
