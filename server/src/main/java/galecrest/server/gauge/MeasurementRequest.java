package galecrest.server.gauge;

import jakarta.validation.constraints.Size;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A sheet to be filed.
 *
 * @param gauge its name
 * @param asked what the gauge is asked
 * @param driverIn whether the driver, or ballast for him, was in; null where it does not matter
 * @param fuel how much was in, as people write it
 * @param pressures of the tyres, as people write them
 * @param barsHooked null where it does not matter
 * @param correctsId the sheet whose values were mistaken; it is kept, and no longer counts
 */
public record MeasurementRequest(
        String gauge,
        Map<String, Object> asked,
        @Nullable Boolean driverIn,
        @Nullable String fuel,
        @Nullable String pressures,
        @Nullable Boolean barsHooked,
        @Nullable String instrument,

        @Size(max = 1_000, message = "The note has at most {max} letters.") @Nullable
        String note,

        @Nullable String correctsId) {
    /** The same, asked otherwise. */
    MeasurementRequest withAsked(Map<String, Object> other) {
        return new MeasurementRequest(
                gauge, other, driverIn, fuel, pressures, barsHooked, instrument, note, correctsId);
    }
}
