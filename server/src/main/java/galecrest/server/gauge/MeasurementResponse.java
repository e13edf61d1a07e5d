package galecrest.server.gauge;

import java.time.Instant;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A sheet in the log of a car.
 *
 * @param what what was measured, in words
 * @param value the figure that matters most, in words
 * @param asked what the gauge was asked; null of what was noted by hand
 * @param answered what it answered
 * @param shown whether the customer is shown it
 * @param correctedBy the sheet that took its place; null while it counts
 */
public record MeasurementResponse(
        String id,
        String gauge,
        String what,
        String value,
        String by,
        Instant at,
        @Nullable String staleBecause,
        @Nullable Map<String, Object> asked,
        @Nullable Map<String, Object> answered,
        @Nullable Boolean driverIn,
        String fuel,
        String pressures,
        @Nullable Boolean barsHooked,
        String instrument,
        String note,
        boolean shown,
        @Nullable String correctedBy) {}
