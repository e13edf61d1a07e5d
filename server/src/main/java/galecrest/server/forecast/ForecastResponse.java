package galecrest.server.forecast;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is asked.
 *
 * @param change the change of the record that it is for
 * @param bottleneck the fullest skill in a sentence; absent where none is full
 */
public record ForecastResponse(
        long change,
        Instant now,
        List<LatestStart> latestStarts,
        List<SkillAhead> skills,
        @Nullable String bottleneck,
        List<ReadyFor> ready,
        List<HeldUp> held) {}
