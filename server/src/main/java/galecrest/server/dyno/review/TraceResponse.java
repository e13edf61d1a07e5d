package galecrest.server.dyno.review;

import galecrest.core.gauge.GaugeAnswer.Figure;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The channels of a run over time or engine speed, with as many points as a picture needs, and its review. */
record TraceResponse(List<SeriesResponse> series, List<ReviewLineResponse> review) {
    /**
     * A channel.
     *
     * @param overTime whether x is s; otherwise rpm
     * @param points how many samples the run has of it
     */
    record SeriesResponse(
            String channel, String unit, boolean overTime, int points, double[] x, List<@Nullable Double> y) {}

    /**
     * A channel against its limit.
     *
     * @param worst nearest to the limit, or furthest beyond
     * @param from engine speed at which it was first crossed; null where it was not
     * @param seconds for how long it was beyond in all
     */
    record ReviewLineResponse(
            String channel,
            boolean floor,
            Figure worst,
            Figure worstAt,
            Figure limit,
            @Nullable Figure from,
            double seconds) {}
}
