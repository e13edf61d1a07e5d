package galecrest.server.work;

import galecrest.core.build.Gate;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Gentle distance before a gate, a drive a day; see {@link galecrest.core.work.RunningIn}. */
record RunningInRequest(
        String buildId,
        @Nullable String stage,
        @NotBlank(message = "Running-in needs a name.") String name,

        @Min(value = 1, message = DISTANCE) @Max(value = 10_000, message = DISTANCE)
        int distanceKm,

        int doneKm,

        @Min(value = 1, message = "A day's drive is at least 1 km.")
        int perDayKm,

        @Min(value = 5, message = DAY) @Max(value = 720, message = DAY)
        int perDayMinutes,

        @NotBlank(message = "Say the skill of who drives.") String skill,
        boolean anyWeather,
        Gate gate,
        boolean essential,
        List<String> after,
        int version) {
    private static final String DISTANCE = "The distance is between 1 and 10 000 km.";
    private static final String DAY = "A day's drive takes 5 min to 12 h.";
}
