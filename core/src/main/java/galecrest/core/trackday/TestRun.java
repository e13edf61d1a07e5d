package galecrest.core.trackday;

import java.util.List;

/**
 * A run of a test day.
 *
 * @param changes what is changed for it; none at a baseline
 * @param value what it is worth to know, 1 (nice to have) to 3 (what the day is for)
 * @param dry whether it tells nothing in the wet
 * @param done whether it was driven
 */
public record TestRun(String id, List<String> changes, int value, boolean dry, boolean done) {
    public TestRun {
        changes = changes.stream().map(String::strip).filter(c -> !c.isEmpty()).toList();
        if (value < 1 || value > 3) {
            throw new IllegalArgumentException("What a run is worth is 1 to 3, not " + value + ".");
        }
    }

    /** Whether it is driven with the car as it came. */
    public boolean isBaseline() {
        return changes.isEmpty();
    }
}
