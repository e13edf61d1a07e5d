package galecrest.core.time;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The one way in which working time is said and read. Minutes are said under an hour only, hours to a half up to two
 * working days of eight hours, then days to a half: "45 min", "2½ h", "4½ days".
 */
public final class DurationText {
    private static final int HOUR = 60;
    /** A working day, as the trade counts one (common practice). */
    private static final int DAY = 8 * HOUR;

    private static final int DAYS_FROM = 2 * DAY;
    private static final int WEEK = 5 * DAY;

    private static final String NUMBER =
            "(\\d{1,4}(?:[.,]\\d{1,2})?|\\d{0,3}[½¼¾]|an?|one|two|three|four|five|six|seven|eight|nine|ten|half an?|"
                    + "quarter of an?|three quarters of an?)";
    private static final String UNIT = "(m|min|mins|minute|minutes|h|hr|hrs|hour|hours|d|day|days|w|week|weeks)";
    private static final Pattern ONE = Pattern.compile(NUMBER + "\\s*" + UNIT + "(?![a-z])\\.?");
    /** Minutes after hours may go without their unit: "4 h 30". */
    private static final Pattern BARE = Pattern.compile("(\\d{1,2})(?!\\S)");

    private static final Pattern CLOCK = Pattern.compile("(\\d{1,2}):([0-5]\\d)(?:\\s*h)?");
    private static final Pattern HALF_AFTER =
            Pattern.compile("(an?|one|two|three|four|five|six) (hour|hours|day|days) and a half");
    private static final Map<String, Double> WORDS = Map.ofEntries(
            Map.entry("a", 1.0),
            Map.entry("an", 1.0),
            Map.entry("one", 1.0),
            Map.entry("two", 2.0),
            Map.entry("three", 3.0),
            Map.entry("four", 4.0),
            Map.entry("five", 5.0),
            Map.entry("six", 6.0),
            Map.entry("seven", 7.0),
            Map.entry("eight", 8.0),
            Map.entry("nine", 9.0),
            Map.entry("ten", 10.0),
            Map.entry("half a", 0.5),
            Map.entry("half an", 0.5),
            Map.entry("quarter of a", 0.25),
            Map.entry("quarter of an", 0.25),
            Map.entry("three quarters of a", 0.75),
            Map.entry("three quarters of an", 0.75));

    private DurationText() {}

    /** "45 min", "2½ h", "4½ days"; the sign of what is less than nothing is left out. */
    public static String of(Minutes time) {
        long minutes = Math.abs(time.value());
        if (minutes < HOUR) {
            return minutes + " min";
        }
        if (halves(minutes, HOUR) * HOUR < 2L * DAYS_FROM) {
            return said(halves(minutes, HOUR)) + " h";
        }
        long halfDays = halves(minutes, DAY);
        return said(halfDays) + " days";
    }

    /** A margin: the same with its sign, "−9 h", "+4½ days". */
    public static String signed(Minutes time) {
        return (time.value() < 0 ? "−" : "+") + of(time);
    }

    private static long halves(long minutes, int unit) {
        return (2 * minutes + unit / 2) / unit;
    }

    private static String said(long halves) {
        return String.format(Locale.ROOT, "%d%s", halves / 2, halves % 2 == 0 ? "" : "½");
    }

    /**
     * Working time as people write it: "1.5h", "45 min", "4 h 30", "1:30", "half a day", "two hours". A day is eight hours
     * of work, a week five days.
     *
     * @return empty where it is no working time, or none at all
     */
    public static Optional<Minutes> read(String text) {
        String rest = text.strip().toLowerCase(Locale.ROOT);
        Matcher clock = CLOCK.matcher(rest);
        if (clock.matches()) {
            return some(Integer.parseInt(clock.group(1)) * HOUR + Integer.parseInt(clock.group(2)));
        }
        Matcher half = HALF_AFTER.matcher(rest);
        if (half.matches()) {
            return some((WORDS.get(half.group(1)) + 0.5) * unit(half.group(2)));
        }
        double minutes = 0;
        int smallest = Integer.MAX_VALUE;
        while (!rest.isEmpty()) {
            Matcher one = ONE.matcher(rest);
            Matcher bare = BARE.matcher(rest);
            if (one.lookingAt() && unit(one.group(2)) < smallest) {
                smallest = unit(one.group(2));
                minutes += number(one.group(1)) * smallest;
                rest = rest.substring(one.end()).strip();
            } else if (smallest == HOUR && bare.lookingAt()) {
                smallest = 1;
                minutes += Integer.parseInt(bare.group(1));
                rest = rest.substring(bare.end()).strip();
            } else {
                return Optional.empty();
            }
            rest = rest.startsWith("and ") ? rest.substring(4).strip() : rest;
        }
        return some(minutes);
    }

    private static Optional<Minutes> some(double minutes) {
        long whole = Math.round(minutes);
        return whole > 0 ? Optional.of(Minutes.of(whole)) : Optional.empty();
    }

    private static int unit(String unit) {
        return switch (unit.charAt(0)) {
            case 'm' -> 1;
            case 'h' -> HOUR;
            case 'd' -> DAY;
            default -> WEEK;
        };
    }

    private static double number(String said) {
        Double word = WORDS.get(said);
        if (word != null) {
            return word;
        }
        char last = said.charAt(said.length() - 1);
        double part = last == '½' ? 0.5 : last == '¼' ? 0.25 : last == '¾' ? 0.75 : -1;
        if (part < 0) {
            return Double.parseDouble(said.replace(',', '.'));
        }
        return part + (said.length() == 1 ? 0 : Integer.parseInt(said.substring(0, said.length() - 1)));
    }
}
