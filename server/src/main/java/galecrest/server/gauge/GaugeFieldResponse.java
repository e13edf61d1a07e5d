package galecrest.server.gauge;

import galecrest.core.gauge.GaugeField;
import java.util.List;

/** A field of a gauge's form; see {@link GaugeField}. */
record GaugeFieldResponse(
        String name,
        String label,
        GaugeField.Type type,
        boolean needed,
        boolean known,
        String hint,
        List<String> choices,
        List<GaugeFieldResponse> columns) {
    static GaugeFieldResponse of(GaugeField field) {
        return new GaugeFieldResponse(
                field.name(),
                field.label(),
                field.type(),
                field.needed(),
                field.known(),
                field.hint(),
                field.choices(),
                field.columns().stream().map(GaugeFieldResponse::of).toList());
    }
}
