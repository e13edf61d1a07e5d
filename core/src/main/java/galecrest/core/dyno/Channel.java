package galecrest.core.dyno;

import galecrest.core.units.QuantityKind;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of a run file may hold. */
public enum Channel {
    TIME(QuantityKind.DURATION, "s", "time", "elapsed", "t"),
    ENGINE_SPEED(
            QuantityKind.ROTATION, "rpm", "engine speed", "enginespeed", "engine rpm", "rpm", "revs", "speed engine"),
    ROLLER_SPEED(QuantityKind.ROTATION, "rpm", "roller speed", "rollerspeed", "roller rpm", "drum speed", "roller"),
    POWER(QuantityKind.POWER, "kW", "engine power", "wheel power", "power", "kw", "hp", "bhp"),
    TORQUE(QuantityKind.TORQUE, "Nm", "engine torque", "wheel torque", "torque", "nm"),
    INTAKE_TEMPERATURE(
            QuantityKind.TEMPERATURE, "°C", "intake air", "intake temperature", "intake", "charge air", "iat"),
    OIL_TEMPERATURE(QuantityKind.TEMPERATURE, "°C", "oil temperature", "oil temp"),
    WATER_TEMPERATURE(QuantityKind.TEMPERATURE, "°C", "water temperature", "water", "coolant"),
    OIL_PRESSURE(QuantityKind.PRESSURE, "bar", "oil pressure", "oil press"),
    FUEL_PRESSURE(QuantityKind.PRESSURE, "bar", "fuel pressure", "fuel press", "rail pressure"),
    BOOST(QuantityKind.PRESSURE, "bar", "boost", "manifold pressure", "map"),
    BOOST_TARGET(QuantityKind.PRESSURE, "bar", "boost target", "target boost"),
    LAMBDA_LEFT(QuantityKind.NUMBER, "", "lambda left", "lambda bank 1", "lambda 1", "lambda"),
    LAMBDA_RIGHT(QuantityKind.NUMBER, "", "lambda right", "lambda bank 2", "lambda 2"),
    INJECTOR_DUTY(QuantityKind.SHARE, "%", "injector duty", "duty", "injectors"),
    /** Between the banks: reckoned, in no file. */
    LAMBDA_SPREAD(QuantityKind.NUMBER, ""),
    /** Boost above what was asked: reckoned, in no file. */
    BOOST_OVER(QuantityKind.PRESSURE, "bar");

    private final QuantityKind kind;
    private final String usual;
    private final List<String> names;

    Channel(QuantityKind kind, String usual, String... names) {
        this.kind = kind;
        this.usual = usual;
        this.names = List.of(names);
    }

    public QuantityKind kind() {
        return kind;
    }

    /** The unit that is taken where a file names none. */
    public String usualUnit() {
        return usual;
    }

    /** The word for it: "oil pressure". */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** Whether a file has it, and it is not reckoned from others. */
    public boolean isOfAFile() {
        return !names.isEmpty();
    }

    /** How well a column's name tells that it holds this: the length of the name that it has; 0 where it has none. */
    int likeness(String column) {
        return names.stream()
                .filter(n -> column.equals(n) || (n.length() > 2 && column.contains(n)))
                .mapToInt(String::length)
                .max()
                .orElse(0);
    }

    /** The channel of that label. */
    public static Optional<Channel> named(String label) {
        return Arrays.stream(values()).filter(c -> c.label().equals(label)).findFirst();
    }
}
