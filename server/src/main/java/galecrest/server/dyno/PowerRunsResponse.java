package galecrest.server.dyno;

import galecrest.core.gauge.GaugeAnswer.Figure;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The runs of a car, in the order in which they were driven, and the roads that the shop knows. */
record PowerRunsResponse(List<PowerRunResponse> runs, List<String> dynos, boolean standIn) {
    /**
     * A run; quantities are as people wrote them.
     *
     * @param peak as measured
     * @param from the lowest engine speed, rpm, rounded up to the next hundred
     * @param to the highest, rounded down
     * @param mistaken what is mistaken in its columns; blank where nothing is
     * @param slips where the tyres slip; blank where they do not
     * @param crossed how many of its channels went over their limit
     * @param boosted whether its file has a boost: such an engine makes its own air and is not corrected unless asked
     */
    record PowerRunResponse(
            String id,
            String name,
            String dyno,
            String state,
            String gear,
            String pressure,
            String straps,
            String fuel,
            String airPressure,
            String airTemperature,
            String humidity,
            String by,
            Instant at,
            Figure peak,
            Figure peakAt,
            int from,
            int to,
            @Nullable Figure agrees,
            String mistaken,
            @Nullable Figure slip,
            String slips,
            int crossed,
            boolean boosted,
            int version) {}
}
