package galecrest.core.time;

import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAccessor;
import java.util.Locale;

/**
 * How a shop writes days and times.
 *
 * @param monthFirst "Dec 3" instead of "3 Dec"
 * @param twelveHours "2:00 pm" instead of "14:00"
 */
public record DateStyle(boolean monthFirst, boolean twelveHours) {
    /** "Thu 3 Dec 14:00". */
    public static final DateStyle USUAL = new DateStyle(false, false);

    /** "14:00". */
    public String time(TemporalAccessor at) {
        String text = in(twelveHours ? "h:mm a" : "HH:mm", at);
        return twelveHours ? text.toLowerCase(Locale.ENGLISH) : text;
    }

    /** "Thu 14:00". */
    public String weekday(TemporalAccessor at) {
        return in("EEE", at) + " " + time(at);
    }

    /** "Thu 3 Dec". */
    public String day(TemporalAccessor at) {
        return in(monthFirst ? "EEE MMM d" : "EEE d MMM", at);
    }

    /** "Thu 3 Dec 14:00". */
    public String date(TemporalAccessor at) {
        return day(at) + " " + time(at);
    }

    /** "Thu 3 December 2026". */
    public String year(TemporalAccessor at) {
        return in(monthFirst ? "EEE MMMM d, yyyy" : "EEE d MMMM yyyy", at);
    }

    private static String in(String pattern, TemporalAccessor at) {
        return DateTimeFormatter.ofPattern(pattern, Locale.ENGLISH).format(at);
    }
}
