package galecrest.server.dyno;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What comes of a comparison. Power is in kW, speed in rpm.
 *
 * @param verdict REAL, INSIDE_THE_NOISE or NOT_ENOUGH_RUNS
 * @param headline the verdict in a line
 * @param lines what else is to be said
 * @param leftOut runs that are unlike the others, and why
 * @param bins the mean of each side over a hundred turns or so, and what its own runs can tell apart there
 * @param asked what the gauge {@code power-compare} is asked when the verdict is filed
 */
record RunComparisonResponse(
        String verdict,
        String headline,
        List<String> lines,
        List<LeftOutResponse> leftOut,
        List<BinResponse> bins,
        List<JudgedRunResponse> runs,
        Map<String, Object> asked) {
    record LeftOutResponse(String run, String why) {}

    /** A bin; what is null was not driven, or cannot be told. */
    record BinResponse(
            double rpm,
            @Nullable Double before,
            @Nullable Double after,
            @Nullable Double difference,
            @Nullable Double least,
            boolean real) {}

    /** The mean power of a run over the range, as corrected and as measured. */
    record JudgedRunResponse(String run, double corrected, double raw) {}
}
