package galecrest.server.device;

import galecrest.core.gauge.GaugeAnswer;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A device as it stands.
 *
 * @param simulated whether it is a stand-in, which can be told what to simulate
 * @param problem what is wrong with it as a whole
 */
record DeviceResponse(
        String kind, boolean simulated, @Nullable String problem, List<ReadingResponse> readings) {
    /**
     * A reading.
     *
     * @param said what it said last, in its own unit
     * @param now what it says; null where it has fallen silent
     * @param steady the mean once it has come to rest; null while it moves
     */
    record ReadingResponse(
            String name,
            String said,
            GaugeAnswer.@Nullable Figure now,
            GaugeAnswer.@Nullable Figure steady,
            boolean silent) {}
}
