package galecrest.core.gauge.track;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Lap times as people write them: {@code 1:42.350}, {@code 102.35}, {@code 1:42,4}. Inside they are seconds. */
public final class LapTime {
    private static final Pattern WRITTEN = Pattern.compile("(?:(\\d{1,2}):)?(\\d{1,4}(?:[.,]\\d{1,4})?)");
    private static final int MINUTE = 60;

    private LapTime() {}

    /**
     * The time in seconds.
     *
     * @throws IllegalArgumentException where it is none
     */
    public static double read(String text) {
        Matcher said = WRITTEN.matcher(text.strip());
        if (said.matches()) {
            double rest = Double.parseDouble(said.group(2).replace(',', '.'));
            boolean minutes = said.group(1) != null;
            double seconds = rest + (minutes ? MINUTE * Integer.parseInt(said.group(1)) : 0);
            if (seconds > 0 && !(minutes && rest >= MINUTE)) {
                return seconds;
            }
        }
        throw new IllegalArgumentException(
                "\"" + text.strip() + "\" is no lap time. Write it like 1:42.350 or 102.35.");
    }

    /** The times of a text, parted by spaces, semicolons, or commas with a space behind them. */
    public static double[] readAll(String text) {
        List<String> each = Arrays.stream(text.strip().split("[;\\s]+"))
                .map(t -> t.endsWith(",") ? t.substring(0, t.length() - 1) : t)
                .filter(t -> !t.isEmpty())
                .toList();
        return each.stream().mapToDouble(LapTime::read).toArray();
    }

    /** As it is shown: "1:42.350", or under a minute "42.350 s". */
    public static String say(double seconds) {
        long millis = Math.round(seconds * 1000);
        long minutes = millis / (MINUTE * 1000);
        double rest = (millis % (MINUTE * 1000)) / 1000.0;
        return minutes == 0
                ? String.format(Locale.ROOT, "%.3f s", rest)
                : String.format(Locale.ROOT, "%d:%06.3f", minutes, rest);
    }
}
