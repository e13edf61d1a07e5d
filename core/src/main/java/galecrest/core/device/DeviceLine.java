package galecrest.core.device;

import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A line that a device says; see {@code docs/devices.md}. */
public sealed interface DeviceLine {
    /** The word that every device begins with, and the version of the protocol. */
    String GREETING = "galecrest-device";

    int VERSION = 1;
    /** The longest line that is listened to, in letters. */
    int LONGEST = 200;

    /**
     * What a device says of itself first.
     *
     * @param kind pads, weather or logger
     * @param simulated whether it is a stand-in, which takes {@code simulate}
     */
    record Hello(String kind, boolean simulated) implements DeviceLine {}

    /**
     * A reading.
     *
     * @param name of the pad or channel
     * @param value in the SI unit of its kind
     * @param said the value with its unit, as the device says it
     */
    record Reading(String name, QuantityKind kind, double value, String said) implements DeviceLine {}

    /** What the device refuses or cannot do, in words. */
    record Fault(String said) implements DeviceLine {}

    /**
     * The line in its parts; empty for a line that is none of these, which is passed over, so that a later version may say
     * more.
     *
     * @throws IllegalArgumentException where a greeting is of another protocol or version
     */
    static Optional<DeviceLine> read(String line) {
        List<String> words = Arrays.asList(line.strip().split("\\s+"));
        return switch (words.get(0)) {
            case GREETING -> Optional.of(hello(words));
            case "reading" -> reading(words);
            case "fault" ->
                Optional.of(new Fault(line.strip().substring("fault".length()).strip()));
            default -> Optional.empty();
        };
    }

    private static Hello hello(List<String> words) {
        if (words.size() < 3 || !words.get(1).equals(String.valueOf(VERSION))) {
            throw new IllegalArgumentException("It speaks another version of the protocol: \"" + String.join(" ", words)
                    + "\", and version " + VERSION + " is wanted.");
        }
        return new Hello(words.get(2).toLowerCase(Locale.ROOT), words.contains("stand-in"));
    }

    private static Optional<DeviceLine> reading(List<String> words) {
        if (words.size() < 3) {
            return Optional.empty();
        }
        String unit = String.join(" ", words.subList(3, words.size()));
        String said = (words.get(2) + " " + unit).strip();
        return Arrays.stream(QuantityKind.values())
                .filter(kind -> kind.isUnit(unit))
                .findFirst()
                .flatMap(kind -> value(kind, said).map(value -> new Reading(words.get(1), kind, value, said)));
    }

    private static Optional<Double> value(QuantityKind kind, String text) {
        try {
            return Optional.of(QuantityText.read(kind, text, UnitSystem.METRIC));
        } catch (QuantityText.Unreadable unreadable) {
            return Optional.empty();
        }
    }
}
