package galecrest.core.mate;

import galecrest.core.mate.ThreadSize.Series;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The threads of the standards: ISO 261:1998 (metric, diameters of the first and second choice from 3 to 48 mm, coarse
 * first, then fine), ASME B1.1 (unified, UNC, UNF and UNEF to 1 1/2 in and the 12-series that fluid fittings use), and
 * SAE J514 (the unified thread of each dash size of 37° fittings; the tube is as many sixteenths of an inch).
 */
public final class Threads {
    private static final double INCH = 25.4;

    private static final String METRIC = """
            3 0.5 0.35 / 3.5 0.6 0.35 / 4 0.7 0.5 / 5 0.8 0.5 / 6 1 0.75 / 7 1 0.75 / 8 1.25 1 0.75
            10 1.5 1.25 1 0.75 / 12 1.75 1.5 1.25 1 / 14 2 1.5 1.25 1 / 16 2 1.5 1 / 18 2.5 2 1.5 1
            20 2.5 2 1.5 1 / 22 2.5 2 1.5 1 / 24 3 2 1.5 1 / 27 3 2 1.5 1 / 30 3.5 3 2 1.5 1
            33 3.5 3 2 1.5 / 36 4 3 2 1.5 / 39 4 3 2 1.5 / 42 4.5 4 3 2 1.5 / 45 4.5 4 3 2 1.5 / 48 5 4 3 2 1.5""";

    private static final String UNIFIED = """
            #4 40 48 / #5 40 44 / #6 32 40 / #8 32 36 / #10 24 32 / #12 24 28 32
            1/4 20 28 32 / 5/16 18 24 32 / 3/8 16 24 32 / 7/16 14 20 28 / 1/2 13 20 28 / 9/16 12 18 24
            5/8 11 18 24 / 3/4 10 16 20 / 7/8 9 14 20 / 1 8 12 20 / 1 1/16 12 18 / 1 1/8 7 12 18 / 1 3/16 12 18
            1 1/4 7 12 18 / 1 5/16 12 18 / 1 3/8 6 12 18 / 1 1/2 6 12 18 / 1 5/8 12 / 1 7/8 12 / 2 1/2 12""";

    private static final Map<Integer, String> DASH = new TreeMap<>(Map.ofEntries(
            Map.entry(2, "5/16-24"),
            Map.entry(3, "3/8-24"),
            Map.entry(4, "7/16-20"),
            Map.entry(5, "1/2-20"),
            Map.entry(6, "9/16-18"),
            Map.entry(8, "3/4-16"),
            Map.entry(10, "7/8-14"),
            Map.entry(12, "1 1/16-12"),
            Map.entry(14, "1 3/16-12"),
            Map.entry(16, "1 5/16-12"),
            Map.entry(20, "1 5/8-12"),
            Map.entry(24, "1 7/8-12"),
            Map.entry(32, "2 1/2-12")));

    private static final Map<String, ThreadSize> ALL = all();

    private static final Pattern METRIC_NAME = Pattern.compile("m(\\d+(?:\\.\\d+)?)(?:[x×*](\\d+(?:\\.\\d+)?))?");
    private static final Pattern UNIFIED_NAME =
            Pattern.compile("(#\\d+|(?:\\d+ )?\\d+(?:/\\d+)?)-(\\d+)(?: ?(?:unc|unf|unef|un|unj|unjf))?");
    private static final Pattern DASH_NAME = Pattern.compile("-(\\d{1,3})(?: ?(?:an|jic))?");

    private Threads() {}

    private static Map<String, ThreadSize> all() {
        Map<String, ThreadSize> sizes = new TreeMap<>();
        for (String line : METRIC.split("\\s*[/\\n]\\s*")) {
            String[] words = line.strip().split(" ");
            for (int i = 1; i < words.length; i++) {
                String name = "M" + words[0] + "×" + words[i];
                sizes.put(name, new ThreadSize(Series.METRIC, name, number(words[0]), number(words[i])));
            }
        }
        for (String line : UNIFIED.split("\\s+/\\s+|\\n")) {
            Matcher m = Pattern.compile("(#\\d+|(?:\\d )?\\d+/\\d+|\\d)((?: \\d+)+)")
                    .matcher(line.strip());
            if (!m.matches()) {
                throw new IllegalStateException(line);
            }
            for (String perInch : m.group(2).strip().split(" ")) {
                String name = m.group(1) + "-" + perInch;
                sizes.put(name, new ThreadSize(Series.UNIFIED, name, inches(m.group(1)), INCH / number(perInch)));
            }
        }
        return sizes;
    }

    /** Numbered sizes are 0.060 in and 0.013 in for each number (ASME B1.1). */
    private static double inches(String size) {
        if (size.startsWith("#")) {
            return (0.060 + 0.013 * number(size.substring(1))) * INCH;
        }
        double sum = 0;
        for (String word : size.split(" ")) {
            String[] parts = word.split("/");
            sum += number(parts[0]) / (parts.length == 1 ? 1 : number(parts[1]));
        }
        return sum * INCH;
    }

    private static double number(String text) {
        return Double.parseDouble(text);
    }

    /** All threads of the tables. */
    public static List<ThreadSize> list() {
        return new ArrayList<>(ALL.values());
    }

    /** The thread of a 37° fitting by its dash size. */
    public static Optional<ThreadSize> ofDash(int dash) {
        return Optional.ofNullable(DASH.get(dash)).map(ALL::get);
    }

    /** The dash size whose fittings have this thread. */
    public static Optional<Integer> dashOf(ThreadSize size) {
        return DASH.entrySet().stream()
                .filter(e -> e.getValue().equals(size.name()))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** A fitting's tube in mm: as many sixteenths of an inch as its dash size (SAE J514). */
    public static double dashTube(int dash) {
        return dash * INCH / 16;
    }

    /** What people write; a metric diameter alone is the coarse thread. Empty where the tables have no such thread. */
    public static Optional<ThreadSize> read(String text) {
        String said = text.strip().toLowerCase(Locale.ROOT).replace(',', '.').replaceAll("\\s+", " ");
        Matcher dash = DASH_NAME.matcher(said);
        if (dash.matches()) {
            return ofDash(Integer.parseInt(dash.group(1)));
        }
        Matcher metric = METRIC_NAME.matcher(said.replace(" ", ""));
        if (metric.matches()) {
            double pitch = metric.group(2) == null ? 0 : number(metric.group(2));
            return ALL.values().stream()
                    .filter(t -> t.series() == Series.METRIC && t.diameter() == number(metric.group(1)))
                    .filter(t -> pitch == 0 || t.pitch() == pitch)
                    .max(java.util.Comparator.comparingDouble(ThreadSize::pitch));
        }
        Matcher unified = UNIFIED_NAME.matcher(said);
        return unified.matches()
                ? Optional.ofNullable(ALL.get(unified.group(1) + "-" + unified.group(2)))
                : Optional.empty();
    }
}
