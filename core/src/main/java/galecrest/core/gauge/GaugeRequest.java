package galecrest.core.gauge;

import galecrest.core.shop.Problem;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import galecrest.core.units.Units;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a gauge is asked: values by field, quantities as text with their unit or as bare numbers of the unit that is shown
 * first. Everything wrong is noted with its field; {@link #done} refuses the request where there was anything.
 */
public final class GaugeRequest {
    /** The field that says which units bare numbers have, and the answer. */
    private static final String UNITS = "units";

    private final Map<String, Object> values;
    private final String path;
    private final Units system;
    private final List<Problem> problems;
    private final List<GaugeRequest> parts = new ArrayList<>();
    private final Set<String> asked = new LinkedHashSet<>();

    private GaugeRequest(Map<String, Object> values, String path, Units system, List<Problem> problems) {
        this.values = values;
        this.path = path;
        this.system = system;
        this.problems = problems;
    }

    /** The request of such values: texts, numbers, booleans, lists and maps of these. */
    public static GaugeRequest of(Map<String, Object> values) {
        List<Problem> problems = new ArrayList<>();
        Units system = units(values.get(UNITS), problems);
        GaugeRequest request = new GaugeRequest(new LinkedHashMap<>(values), "", system, problems);
        request.asked.add(UNITS);
        return request;
    }

    /** One system for all, or by kind: {@code {"pressure": "customary"}}; metric where nothing is said. */
    private static Units units(@Nullable Object said, List<Problem> problems) {
        if (!(said instanceof Map<?, ?> byKind)) {
            return system(UNITS, said, problems);
        }
        Map<QuantityKind, UnitSystem> all = new EnumMap<>(QuantityKind.class);
        byKind.forEach((kind, which) -> {
            String field = UNITS + "." + kind;
            Arrays.stream(QuantityKind.values())
                    .filter(k -> k.label().equals(kind))
                    .findFirst()
                    .ifPresentOrElse(
                            k -> all.put(k, system(field, which, problems)),
                            () -> problems.add(new Problem(field, "\"" + kind + "\" is no kind of quantity.")));
        });
        return kind -> all.getOrDefault(kind, UnitSystem.METRIC);
    }

    private static UnitSystem system(String field, @Nullable Object said, List<Problem> problems) {
        if (said != null && !"customary".equals(said) && !"metric".equals(said)) {
            problems.add(new Problem(field, "\"" + said + "\" is none: metric or customary."));
        }
        return "customary".equals(said) ? UnitSystem.CUSTOMARY : UnitSystem.METRIC;
    }

    /** The units of bare numbers and of the answer. */
    public Units system() {
        return system;
    }

    private String at(String field) {
        return path + field;
    }

    private @Nullable Object value(String field) {
        asked.add(field);
        Object value = values.get(field);
        return value instanceof String text && text.isBlank() ? null : value;
    }

    /** Notes that something is wrong with a field. */
    public void wrong(String field, String message) {
        problems.add(new Problem(at(field), message));
    }

    /** Whether the field says anything. */
    public boolean has(String field) {
        return value(field) != null;
    }

    /** Whether the field has fields of its own that are not just a value and its unit. */
    public boolean isPart(String field) {
        return value(field) instanceof Map<?, ?> map && !map.containsKey("value");
    }

    /** Whether the field says a list. */
    public boolean isList(String field) {
        return value(field) instanceof List;
    }

    /**
     * A quantity that is needed, in SI; NaN where it is missing or wrong.
     *
     * @param least the least that is allowed, in SI, itself included
     * @param most the most that is allowed
     */
    public double quantity(String field, QuantityKind kind, double least, double most) {
        if (!has(field)) {
            wrong(field, "is needed: a " + kind.label() + " like " + kind.example() + ".");
            return Double.NaN;
        }
        return optional(field, kind, least, most).orElse(Double.NaN);
    }

    /** A quantity in SI, or another value where the field says nothing. */
    public double quantityOr(String field, QuantityKind kind, double other, double least, double most) {
        return has(field) ? quantity(field, kind, least, most) : other;
    }

    /** A quantity in SI; empty where the field says nothing, or nothing right. */
    public OptionalDouble optional(String field, QuantityKind kind, double least, double most) {
        Object value = value(field);
        return value == null ? OptionalDouble.empty() : read(at(field), value, kind, least, most);
    }

    private OptionalDouble read(String at, Object value, QuantityKind kind, double least, double most) {
        double si;
        try {
            si = QuantityText.read(kind, text(value), system);
        } catch (QuantityText.Unreadable unreadable) {
            problems.add(new Problem(at, unreadable.getMessage()));
            return OptionalDouble.empty();
        }
        if (!(si >= least && si <= most)) {
            problems.add(new Problem(
                    at, QuantityText.say(kind, si, system) + " is out of range: " + range(kind, least, most) + "."));
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(si);
    }

    private static String text(Object value) {
        if (value instanceof Map<?, ?> map && map.containsKey("value")) {
            return map.get("value") + " " + (map.get("unit") == null ? "" : map.get("unit"));
        }
        return String.valueOf(value);
    }

    private String range(QuantityKind kind, double least, double most) {
        String from = QuantityText.say(kind, least, system);
        return Double.isInfinite(most)
                ? "at least " + from
                : Double.isInfinite(least)
                        ? "at most " + QuantityText.say(kind, most, system)
                        : from + " to " + QuantityText.say(kind, most, system);
    }

    /** A list of quantities in SI; what is wrong is NaN. */
    public double[] quantities(String field, QuantityKind kind, double least, double most) {
        Object value = value(field);
        if (!(value instanceof List<?> list)) {
            wrong(field, "is needed: a list, each a " + kind.label() + " like " + kind.example() + ".");
            return new double[0];
        }
        double[] all = new double[list.size()];
        for (int i = 0; i < all.length; i++) {
            all[i] = read(at(field) + "[" + i + "]", String.valueOf(list.get(i)), kind, least, most)
                    .orElse(Double.NaN);
        }
        return all;
    }

    /** A number without a unit. */
    public double number(String field, double least, double most) {
        return quantity(field, QuantityKind.NUMBER, least, most);
    }

    /** A whole number. */
    public int whole(String field, int least, int most) {
        double number = number(field, least, most);
        if (number != Math.rint(number)) {
            if (!Double.isNaN(number)) {
                wrong(field, number + " is no whole number.");
            }
            return least;
        }
        return (int) number;
    }

    /** A text; empty where the field says nothing. */
    public String text(String field) {
        Object value = value(field);
        return value == null ? "" : String.valueOf(value).strip();
    }

    /** Whether the field says yes; no where it says nothing. */
    public boolean flag(String field) {
        Object value = value(field);
        if (value == null || value instanceof Boolean) {
            return Boolean.TRUE.equals(value);
        }
        String text = String.valueOf(value).toLowerCase(Locale.ROOT);
        if (!Set.of("true", "false", "yes", "no").contains(text)) {
            wrong(field, "\"" + value + "\" is neither yes nor no.");
        }
        return text.equals("true") || text.equals("yes");
    }

    /** One of some; the first where the field says nothing. */
    public <E extends Enum<E>> E choice(String field, Class<E> type) {
        E[] all = type.getEnumConstants();
        String text = text(field);
        if (text.isEmpty()) {
            return all[0];
        }
        String name = text.toUpperCase(Locale.ROOT).replace(' ', '_').replace('-', '_');
        for (E one : all) {
            if (one.name().equals(name)) {
                return one;
            }
        }
        wrong(
                field,
                "\"" + text + "\" is none of these: "
                        + Arrays.stream(all)
                                .map(e -> e.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                                .collect(Collectors.joining(", "))
                        + ".");
        return all[0];
    }

    /** The fields of a part; of nothing where there is none. */
    public GaugeRequest part(String field) {
        Object value = value(field);
        if (value != null && !(value instanceof Map)) {
            wrong(field, "\"" + value + "\" has no fields of its own.");
        }
        return part(field + ".", value);
    }

    /** The rows of a list, each with fields of its own. */
    public List<GaugeRequest> rows(String field) {
        Object value = value(field);
        if (value == null) {
            return List.of();
        }
        if (!(value instanceof List<?> list)) {
            wrong(field, "is a list.");
            return List.of();
        }
        List<GaugeRequest> rows = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            rows.add(part(field + "[" + i + "].", list.get(i)));
        }
        return rows;
    }

    private GaugeRequest part(String name, @Nullable Object value) {
        Map<String, Object> fields = new LinkedHashMap<>();
        if (value instanceof Map<?, ?> map) {
            map.forEach((k, v) -> fields.put(String.valueOf(k), v));
        }
        GaugeRequest part = new GaugeRequest(fields, path + name, system, problems);
        parts.add(part);
        return part;
    }

    /**
     * To be called once all fields were asked for.
     *
     * @throws WrongRequest where anything was wrong, or a field says something that no gauge asked for
     */
    public void done() {
        unasked();
        if (!problems.isEmpty()) {
            throw new WrongRequest(problems);
        }
    }

    private void unasked() {
        for (String field : values.keySet()) {
            if (!asked.contains(field)) {
                wrong(field, "is not asked for here; what is: " + String.join(", ", asked) + ".");
            }
        }
        parts.forEach(GaugeRequest::unasked);
    }
}
