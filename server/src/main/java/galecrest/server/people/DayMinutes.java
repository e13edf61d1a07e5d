package galecrest.server.people;

import java.time.LocalTime;

/** Times of day as the database keeps them: minutes from 0 to 1440, where an end of 00:00 is 1440. */
public final class DayMinutes {
    private static final int DAY = 1440;

    private DayMinutes() {}

    public static int start(LocalTime time) {
        return time.toSecondOfDay() / 60;
    }

    public static int end(LocalTime time) {
        return time.equals(LocalTime.MIDNIGHT) ? DAY : start(time);
    }

    public static LocalTime time(int minute) {
        return LocalTime.ofSecondOfDay(minute % DAY * 60L);
    }
}
