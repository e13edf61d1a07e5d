package galecrest.core.dyno;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which column of a rolling road's files holds what, and in which unit its bare numbers are. It is said once for each road.
 *
 * @param columns by channel
 */
public record ColumnMap(Map<Channel, Column> columns) {
    /** "Power (kW)", "Torque [Nm]", "Oil pressure / bar". */
    private static final Pattern WITH_UNIT =
            Pattern.compile("^(.*?)\\s*(?:\\(([^()]*)\\)|\\[([^\\[\\]]*)\\]|/\\s*([^/\\s]+))\\s*$");

    private static final List<String> POWER_UNITS = List.of("kw", "hp", "bhp", "ps");

    /** A column by its name in the header, and the unit of its bare numbers. */
    public record Column(String name, String unit) {}

    public ColumnMap {
        columns = Map.copyOf(columns);
    }

    /** What the names of the columns tell; each column is taken once, for what its name says most plainly. */
    public static ColumnMap guess(RunTable table) {
        record Like(int at, Channel channel, int likeness) {}
        List<Like> likes = new ArrayList<>();
        for (int at = 0; at < table.header().size(); at++) {
            String name = name(table.header().get(at));
            for (Channel channel : Channel.values()) {
                int likeness = channel.likeness(name);
                if (likeness > 0) {
                    likes.add(new Like(at, channel, likeness));
                }
            }
        }
        likes.sort(Comparator.comparingInt(Like::likeness).reversed().thenComparingInt(Like::at));
        Map<Integer, Channel> taken = new LinkedHashMap<>();
        for (Like like : likes) {
            if (!taken.containsKey(like.at()) && !taken.containsValue(like.channel())) {
                taken.put(like.at(), like.channel());
            }
        }
        Map<Channel, Column> columns = new EnumMap<>(Channel.class);
        taken.forEach((at, channel) -> {
            String header = table.header().get(at);
            columns.put(channel, new Column(header, unit(header, channel)));
        });
        return new ColumnMap(columns);
    }

    private static String name(String header) {
        Matcher with = WITH_UNIT.matcher(header);
        return (with.matches() ? with.group(1) : header)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[_.\\s]+", " ")
                .strip();
    }

    /** The unit that a header names, where the channel has it; else the usual one. */
    private static String unit(String header, Channel channel) {
        Matcher with = WITH_UNIT.matcher(header);
        String said = with.matches()
                ? Optional.ofNullable(with.group(2))
                        .or(() -> Optional.ofNullable(with.group(3)))
                        .orElseGet(() -> with.group(4))
                : POWER_UNITS.contains(name(header)) ? header.strip() : "";
        return !said.isEmpty() && channel.kind().isUnit(said.strip()) ? said.strip() : channel.usualUnit();
    }
}
