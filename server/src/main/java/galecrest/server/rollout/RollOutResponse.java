package galecrest.server.rollout;

import galecrest.core.build.Gate;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How far a car has come.
 *
 * @param here the key of the step at which it stands; null once all are done
 * @param open the try that is open; null where there is none
 * @param people who can drive or look
 * @param started how often the engine was started
 * @param complete how many of its heats were warm through and then cooled fully
 */
record RollOutResponse(
        List<StepStateResponse> steps,
        @Nullable String here,
        @Nullable AttemptResponse open,
        List<AttemptResponse> over,
        List<FindingResponse> findings,
        List<FireResponse> fires,
        List<String> people,
        int started,
        int complete,
        @Nullable RunningInResponse runningIn) {
    /**
     * A step as it stands.
     *
     * @param blocked why it may not go yet but for its own checks and names, each in a sentence
     */
    record StepStateResponse(
            String key,
            String name,
            String limits,
            @Nullable Gate gate,
            boolean gatePassed,
            List<String> before,
            List<String> after,
            List<String> channels,
            boolean done,
            int tries,
            List<String> blocked) {}

    /**
     * A try at a step.
     *
     * @param number which try at that step it is, from 1
     * @param waits why it may not go yet
     * @param afterwards why it may not be done yet; null where it may
     * @param stop why the logger asks to stop; null while all is within limits
     */
    record AttemptResponse(
            String id,
            String step,
            String name,
            int number,
            @Nullable String driver,
            @Nullable String looker,
            List<TickResponse> ticks,
            Instant opened,
            @Nullable Instant went,
            @Nullable Instant ended,
            boolean done,
            @Nullable String stop,
            String seen,
            String extremes,
            List<String> waits,
            @Nullable String afterwards) {}

    /** A check that somebody made. */
    record TickResponse(String check, boolean after, String by, Instant at) {}

    /**
     * What was found.
     *
     * @param during the name of the step
     * @param before the key of the step before which it must be put right; null for after all
     * @param state of its job, in words
     */
    record FindingResponse(
            String id,
            String what,
            String during,
            @Nullable String before,
            @Nullable String workId,
            boolean fixed,
            String state,
            Instant at,
            String by) {}

    /** A start of the engine. */
    record FireResponse(
            Instant at,
            int seconds,
            String oilPressure,
            String water,
            String oil,
            String stoppedBecause,
            String leaked,
            boolean warm,
            String by) {}

    /**
     * The running-in of the car.
     *
     * @param perDay km a day by the plan
     * @param days left at that rate
     * @param likely when it is done by the plan; null where it is not planned
     */
    record RunningInResponse(
            int km,
            int done,
            int perDay,
            int days,
            @Nullable Instant likely) {}
}
