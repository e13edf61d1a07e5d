package galecrest.server.gauge;

import galecrest.core.gauge.Gauge;
import java.util.List;

/** A gauge and the form that asks it. */
record GaugeResponse(String name, String title, List<GaugeFieldResponse> fields) {
    static GaugeResponse of(Gauge gauge) {
        return new GaugeResponse(
                gauge.name(),
                gauge.title(),
                gauge.fields().stream().map(GaugeFieldResponse::of).toList());
    }
}
