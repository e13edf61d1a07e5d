package galecrest.server.dyno;

import galecrest.core.dyno.PowerRun;
import galecrest.core.dyno.RunComparison;
import java.util.Arrays;
import java.util.List;

/**
 * A run that takes part in a comparison.
 *
 * @param factor by which its power is corrected to standard air
 * @param order its number among all runs of the car, the first driven first
 */
record JudgedRun(DynoRepository.Run run, PowerRun samples, double factor, int order) {
    RunComparison.Driven driven() {
        return new RunComparison.Driven(samples, factor, order);
    }

    /** What was on the car, each thing by itself. */
    List<String> state() {
        String state = run.conditions().state();
        return state == null ? List.of() : parts(state);
    }

    /** Things that are parted by semicolons. */
    static List<String> parts(String said) {
        return Arrays.stream(said.split(";"))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
    }
}
