package galecrest.core.rollout;

import galecrest.core.device.DeviceLine;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a channel of the logger may not fall below, or rise above, while a step goes on.
 *
 * @param channel its name at the logger, such as {@code oil-pressure}
 * @param least whether {@code bound} is a floor; else it is where to stop
 * @param bound in the SI unit of its kind
 * @param said the bound with its unit, as it was written
 * @param running whether it counts only while the engine turns
 */
public record ChannelLimit(
        String channel, boolean least, QuantityKind kind, double bound, String said, boolean running) {
    /** The channel that says whether the engine turns. */
    public static final String ENGINE_SPEED = "engine-speed";

    private static final Pattern WRITTEN =
            Pattern.compile("([\\p{L}\\d-]+)\\s+at\\s+(least|most)\\s+(.*?)(\\s+running)?", Pattern.CASE_INSENSITIVE);

    /**
     * Reads a limit as people write it: "oil-pressure at least 1.0 bar running", "water at most 105 °C".
     *
     * @throws IllegalArgumentException saying what is wrong with it
     */
    public static ChannelLimit read(String text) {
        Matcher said = WRITTEN.matcher(text.strip());
        if (!said.matches()) {
            throw new IllegalArgumentException(
                    "\"" + text.strip() + "\" cannot be read. Write the channel and its limit, such as"
                            + " \"oil-pressure at least 1.0 bar running\" or \"water at most 105 °C\".");
        }
        // A limit has the unit that the logger would say it in, so its kind is that of what the unit measures.
        DeviceLine.Reading bound = DeviceLine.read("reading " + said.group(1) + " " + said.group(3))
                .filter(l -> l instanceof DeviceLine.Reading)
                .map(l -> (DeviceLine.Reading) l)
                .orElseThrow(() -> new IllegalArgumentException(
                        "\"" + said.group(3) + "\" is no value with its unit, such as 1.0 bar or 105 °C."));
        return new ChannelLimit(
                said.group(1),
                said.group(2).equalsIgnoreCase("least"),
                bound.kind(),
                bound.value(),
                said.group(3).strip(),
                said.group(4) != null);
    }

    /** As it is written. */
    public String text() {
        return channel + (least ? " at least " : " at most ") + said + (running ? " running" : "");
    }

    /** The channel in words. */
    public String label() {
        return channel.replace('-', ' ');
    }

    /** What to do about a value, in words; empty while it is within. */
    public Optional<String> beyond(double value) {
        boolean within = least ? value >= bound : value <= bound;
        return within
                ? Optional.empty()
                : Optional.of(label() + " " + QuantityText.say(kind, value, UnitSystem.METRIC)
                        + (least ? ", under its floor of " : ", beyond its stop at ") + said);
    }
}
