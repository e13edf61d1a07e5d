package galecrest.core.planner.calendar;

import galecrest.core.time.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;

/**
 * The planner's time: whole slots of five minutes of elapsed time, counted from the present moment. Counting elapsed
 * time keeps changes of the clocks out of the reckoning; local time is only looked at where shifts become slots.
 */
public final class TimeGrid {
    public static final int SLOT_MINUTES = 5;
    private static final long SLOT_SECONDS = SLOT_MINUTES * 60L;

    private final long originSecond;
    private final ZoneId zone;
    private final int slots;
    private final int[] midnights;

    /** Slot 0 is the slot that the instant lies in; later ones go as far as the horizon. */
    public TimeGrid(Instant now, ZoneId zone, Duration horizon) {
        this.originSecond = Math.floorDiv(now.getEpochSecond(), SLOT_SECONDS) * SLOT_SECONDS;
        this.zone = zone;
        this.slots = Math.toIntExact(horizon.toSeconds() / SLOT_SECONDS);
        LocalDate first = today();
        this.midnights = new int[(int) horizon.toDays() + 2];
        for (int day = 0; day < midnights.length; day++) {
            midnights[day] =
                    atOrAfter(first.plusDays(day + 1L).atStartOfDay(zone).toInstant());
        }
    }

    ZoneId zone() {
        return zone;
    }

    /** The number of slots that can be planned. */
    public int slots() {
        return slots;
    }

    /** The local day of slot 0. */
    public LocalDate today() {
        return Instant.ofEpochSecond(originSecond).atZone(zone).toLocalDate();
    }

    LocalDate lastDay() {
        return instant(slots).atZone(zone).toLocalDate();
    }

    /** When a slot begins. */
    public Instant instant(int slot) {
        return Instant.ofEpochSecond(originSecond + slot * SLOT_SECONDS);
    }

    /** From the beginning of one slot to that of another. */
    public Span span(int from, int to) {
        return new Span(instant(from), instant(to));
    }

    /** The first slot that begins at the instant or later; before the present it is negative. */
    public int atOrAfter(Instant at) {
        long seconds = at.getEpochSecond() - originSecond + (at.getNano() > 0 ? 1 : 0);
        return clamp(-Math.floorDiv(-seconds, SLOT_SECONDS));
    }

    /** The last slot that begins at the instant or earlier. */
    public int atOrBefore(Instant at) {
        return clamp(Math.floorDiv(at.getEpochSecond() - originSecond, SLOT_SECONDS));
    }

    private static int clamp(long slot) {
        return (int) Math.max(-(1 << 28), Math.min(1 << 28, slot));
    }

    /** Slots that cover so many minutes. */
    public static int slotsFor(long minutes) {
        return Math.toIntExact(-Math.floorDiv(-minutes, (long) SLOT_MINUTES));
    }

    /** So many slots hold an elapsed time, rounded up. */
    public static int slotsFor(Duration elapsed) {
        return slotsFor(-Math.floorDiv(-elapsed.toSeconds(), 60L));
    }

    /** The first slot of the local day after the day that the slot lies in. */
    public int nextDay(int slot) {
        int at = java.util.Arrays.binarySearch(midnights, slot);
        int index = at >= 0 ? at + 1 : -at - 1;
        return index < midnights.length ? midnights[index] : WorkingWindows.NEVER;
    }
}
