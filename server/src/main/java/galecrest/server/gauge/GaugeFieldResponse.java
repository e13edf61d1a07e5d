package galecrest.server.gauge;

import galecrest.core.gauge.GaugeField;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A field of a gauge's form; see {@link GaugeField}. */
record GaugeFieldResponse(
        String name,
        String label,
        GaugeField.Type type,
        boolean needed,
        boolean known,
        String hint,
        List<String> choices,
        List<GaugeFieldResponse> columns,
        GaugeField.@Nullable LastFigure last) {
    static GaugeFieldResponse of(GaugeField field) {
        return new GaugeFieldResponse(
                field.name(),
                field.label(),
                field.type(),
                field.needed(),
                field.known(),
                field.hint(),
                field.choices(),
                field.columns().stream().map(GaugeFieldResponse::of).toList(),
                field.last().orElse(null));
    }
}
