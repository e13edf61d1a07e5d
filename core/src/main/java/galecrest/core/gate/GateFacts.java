package galecrest.core.gate;

import galecrest.core.build.Gate;
import galecrest.core.gauge.Measured;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is so on a car now.
 *
 * @param work what is open on it, in the order in which it is planned
 * @param measured the last sheet of each thing
 * @param signed by the key of the line
 */
public record GateFacts(
        List<OpenWork> work,
        Map<Measured, Sheet> measured,
        List<ForNow> forNow,
        List<Lapsed> lapsed,
        Map<String, Signature> signed) {
    public GateFacts {
        work = List.copyOf(work);
        measured = Map.copyOf(measured);
        forNow = List.copyOf(forNow);
        lapsed = List.copyOf(lapsed);
        signed = Map.copyOf(signed);
    }

    /**
     * Work that is open.
     *
     * @param finding whether something was found that it puts right
     * @param who does it by the plan, in words; empty where nobody is planned
     * @param likely when it is done by the plan
     */
    public record OpenWork(
            String name, Gate gate, boolean essential, boolean finding, String who, Optional<Instant> likely) {}

    /**
     * The last sheet of something.
     *
     * @param stale the work that disturbed it since
     * @param missed whether it is not as it should be
     */
    public record Sheet(String value, Optional<String> stale, boolean missed) {}

    /** What was fitted for now, and before which gate it must be made good. */
    public record ForNow(String what, Gate gate) {}

    /**
     * A component beyond its life or its date.
     *
     * @param what in a sentence: "harness: expired 2 Jan"
     * @param never whether nobody may drive on with it
     */
    public record Lapsed(String what, boolean never) {}

    /**
     * A name under a line.
     *
     * @param disturbedBy the work that made it void since
     */
    public record Signature(String by, Instant at, Optional<String> disturbedBy) {
        /** Whether it still holds. */
        public boolean holds() {
            return disturbedBy.isEmpty();
        }
    }
}
