package galecrest.server.wall;

import galecrest.core.time.DateStyle;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the workshop's screen shows.
 *
 * @param change the number of the last change; the screen asks for more once there is another
 */
record WallResponse(
        long change,
        String shop,
        String zone,
        DateStyle says,
        Instant now,
        List<WallPersonResponse> people,
        List<WallArrivalResponse> arrivals,
        List<WallCarResponse> cars,
        List<WallNewsResponse> news) {
    /**
     * A person and what they are on.
     *
     * @param on the job, or what is next; null where there is nothing
     * @param car its number and name
     * @param begun whether it goes on now
     * @param at when it ends, or begins
     */
    record WallPersonResponse(
            String person,
            @Nullable String on,
            @Nullable String car,
            boolean begun,
            @Nullable Instant at) {}

    /** A part or a car from outside that comes in today. */
    record WallArrivalResponse(String what, String car, Instant at) {}

    /**
     * A car with its next date.
     *
     * @param marginMinutes working time to spare; less than 0 where it is late, null where it cannot be kept or has no date
     * @param open how many lines of the gate of that date are open
     */
    record WallCarResponse(
            String number,
            String name,
            @Nullable String date,
            @Nullable Instant due,
            @Nullable Long marginMinutes,
            boolean late,
            int open) {}

    /** A change of the last hour. */
    record WallNewsResponse(Instant at, String who, String what) {}
}
