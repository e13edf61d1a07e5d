package galecrest.core.season;

import galecrest.core.component.Component;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * How far a spare car is from running.
 *
 * @param shares what it has none of and the race car has, so that it would be taken from there: by what it is, the component
 * @param minutes work that is open on it before it may go
 * @param parts what that waits for
 */
public record SpareLevel(List<String> shares, int minutes, List<String> parts) {
    private static final double MINUTES_AN_HOUR = 60;

    public SpareLevel {
        shares = List.copyOf(shares);
        parts = List.copyOf(parts);
    }

    /**
     * The level of a spare car.
     *
     * @param on what is fitted to it
     * @param race what is fitted to the cars that it is the spare of
     */
    public static SpareLevel of(List<Component> on, List<Component> race, int minutes, List<String> parts) {
        Set<String> has = on.stream().map(c -> kind(c.name())).collect(Collectors.toCollection(TreeSet::new));
        TreeMap<String, String> shares = new TreeMap<>();
        for (Component component : race) {
            if (!has.contains(kind(component.name()))) {
                shares.putIfAbsent(kind(component.name()), component.called());
            }
        }
        return new SpareLevel(new ArrayList<>(shares.values()), minutes, parts);
    }

    private static String kind(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    /** Whether it could run as it stands. */
    public boolean complete() {
        return shares.isEmpty() && minutes == 0 && parts.isEmpty();
    }

    /** In a sentence. */
    public String said() {
        if (complete()) {
            return "Complete: it can run as it stands.";
        }
        StringBuilder said = new StringBuilder(
                shares.isEmpty()
                        ? "Everything is on it"
                        : "Everything but " + listed(shares) + ", which the race car has");
        said.append("; to make it run: ");
        said.append(
                minutes == 0
                        ? "no work that is written down"
                        : String.format(Locale.ROOT, "%.1f h of work", minutes / MINUTES_AN_HOUR));
        if (!parts.isEmpty()) {
            said.append(" and ").append(listed(parts));
        }
        return said.append(".").toString();
    }

    private static String listed(List<String> names) {
        return names.size() < 2
                ? String.join("", names)
                : String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.get(names.size() - 1);
    }
}
