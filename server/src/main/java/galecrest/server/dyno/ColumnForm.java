package galecrest.server.dyno;

import galecrest.core.dyno.Channel;
import galecrest.core.dyno.ColumnMap;
import galecrest.server.problem.ValidationException;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a column holds.
 *
 * @param channel by its label, as "oil pressure"
 * @param column by its name in the header
 * @param unit of its bare numbers
 */
public record ColumnForm(
        String channel, String column, @Nullable String unit) {
    static List<ColumnForm> of(ColumnMap map) {
        return map.columns().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(e -> new ColumnForm(
                        e.getKey().label(), e.getValue().name(), e.getValue().unit()))
                .toList();
    }

    static ColumnMap map(@Nullable List<ColumnForm> columns) {
        Map<Channel, ColumnMap.Column> map = new EnumMap<>(Channel.class);
        for (ColumnForm form : columns == null ? List.<ColumnForm>of() : columns) {
            Channel channel = Channel.named(form.channel())
                    .filter(Channel::isOfAFile)
                    .orElseThrow(() -> new ValidationException(
                            "columns", "\"" + form.channel() + "\" is nothing that a run file holds."));
            String unit = Optional.ofNullable(form.unit())
                    .map(String::strip)
                    .filter(u -> !u.isEmpty())
                    .orElse(channel.usualUnit());
            map.put(channel, new ColumnMap.Column(form.column(), unit));
        }
        return new ColumnMap(map);
    }
}
