package galecrest.core.component;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * How much something was used, or is allowed to be: an amount of 0 or more by counter, in the unit of the counter. What is
 * not named is 0.
 */
public record Wear(Map<Counter, Double> amounts) {
    /** No use at all. */
    public static final Wear NONE = new Wear(Map.of());

    public Wear {
        amounts.forEach((counter, amount) -> {
            if (!(amount >= 0 && amount < 1e9)) {
                throw new IllegalArgumentException(
                        "The " + counter.label() + " are 0 or more, not " + amount + " " + counter.unit() + ".");
            }
        });
        amounts = Map.copyOf(amounts);
    }

    public static Wear of(Counter counter, double amount) {
        return new Wear(Map.of(counter, amount));
    }

    public double get(Counter counter) {
        return amounts.getOrDefault(counter, 0.0);
    }

    public Wear plus(Wear other) {
        Map<Counter, Double> sum = new EnumMap<>(Counter.class);
        sum.putAll(amounts);
        other.amounts.forEach((counter, amount) -> sum.merge(counter, amount, Double::sum));
        return new Wear(sum);
    }

    /** In words: "12.5 h, 340 km"; empty where there is none. */
    public String said() {
        return amounts.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .sorted(Map.Entry.comparingByKey())
                .map(e -> said(e.getKey(), e.getValue()))
                .collect(Collectors.joining(", "));
    }

    /** An amount in words; hours to a tenth, all else whole. */
    public static String said(Counter counter, double amount) {
        boolean tenths = counter == Counter.HOURS && Math.abs(amount - Math.rint(amount)) > 0.05;
        String unit = Math.rint(amount) == 1 && !tenths ? counter.one() : counter.unit();
        return String.format(Locale.ROOT, tenths ? "%.1f %s" : "%.0f %s", amount, unit);
    }
}
