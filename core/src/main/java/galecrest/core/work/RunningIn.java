package galecrest.core.work;

import galecrest.core.build.BuildId;
import galecrest.core.build.Gate;
import galecrest.core.time.Minutes;
import java.time.Instant;
import java.util.Optional;

/**
 * Gentle distance before a gate, driven by a person: one drive a day at most, each in one go, the car away meanwhile.
 *
 * @param distanceKm the whole distance
 * @param doneKm of it driven so far
 * @param perDayKm at most so much a day
 * @param perDay working time that a day's drive takes
 * @param driver the skill of who drives
 * @param anyWeather whether it can be done in the wet
 */
public record RunningIn(
        WorkId id,
        BuildId build,
        String name,
        int distanceKm,
        int doneKm,
        int perDayKm,
        Minutes perDay,
        CrewPlace driver,
        boolean anyWeather,
        Gate gate,
        boolean essential,
        Status status,
        Optional<Instant> notBefore,
        Optional<Hold> hold,
        Optional<Instant> doneAt)
        implements Work {
    public RunningIn {
        if (!(distanceKm > 0 && doneKm >= 0 && perDayKm > 0 && perDay.value() > 0)) {
            throw new IllegalArgumentException("The distances and the daily time of " + name + " must be positive.");
        }
    }

    @Override
    public RunningIn withNotBefore(Instant other) {
        return new RunningIn(
                id,
                build,
                name,
                distanceKm,
                doneKm,
                perDayKm,
                perDay,
                driver,
                anyWeather,
                gate,
                essential,
                status,
                Optional.of(other),
                hold,
                doneAt);
    }

    /** Drives still to do: one a day. At least one until it is reported done. */
    public int drives() {
        return Math.max(1, (distanceKm - doneKm + perDayKm - 1) / perDayKm);
    }
}
