package galecrest.server.work;

import galecrest.core.build.Gate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Gentle distance before a gate, a drive a day; see {@link galecrest.core.work.RunningIn}. */
record RunningInRequest(
        String buildId,
        @Nullable String stage,
        String name,
        int distanceKm,
        int doneKm,
        int perDayKm,
        int perDayMinutes,
        String skill,
        boolean anyWeather,
        Gate gate,
        boolean essential,
        List<String> after,
        int version) {}
