package galecrest.core.component;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Heat cycles of an engine. Runs with less than {@link #COOLS} between them are one heat; a cycle is complete when the engine
 * was warm through in it and then cooled fully.
 */
public final class HeatCycles {
    /** After so long an engine is cold through: common practice, overnight or near it. */
    public static final Duration COOLS = Duration.ofHours(6);

    private static final long SECONDS_AN_HOUR = 3_600;

    private HeatCycles() {}

    /**
     * Of each complete cycle the end of its last warm run, in order: it wore what was fitted then, whatever was fitted by the
     * time it was cold.
     *
     * @param uses of one car, in any order; those without running hours do not heat it
     * @param now cycles that are not cold yet by then are not complete
     */
    public static List<Instant> complete(List<CarUse> uses, Instant now) {
        List<CarUse> running = uses.stream()
                .filter(u -> u.wear().get(Counter.HOURS) > 0)
                .sorted(Comparator.comparing(CarUse::at))
                .toList();
        List<Instant> complete = new ArrayList<>();
        Optional<Instant> warm = Optional.empty();
        for (int i = 0; i < running.size(); i++) {
            CarUse use = running.get(i);
            if (use.warm()) {
                warm = Optional.of(use.at());
            }
            Instant cold = use.at().plus(COOLS);
            boolean cooled = i + 1 < running.size() ? !began(running.get(i + 1)).isBefore(cold) : !now.isBefore(cold);
            if (cooled) {
                warm.ifPresent(complete::add);
                warm = Optional.empty();
            }
        }
        return complete;
    }

    private static Instant began(CarUse use) {
        return use.at().minusSeconds(Math.round(use.wear().get(Counter.HOURS) * SECONDS_AN_HOUR));
    }
}
