package galecrest.server.parcel;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/**
 * A carrier that is none: its parcels move, slip, get lost and arrive by themselves. What becomes of one hangs on its
 * number alone, so that every instance and every run tells the same of it.
 */
@Component
@Profile("demo")
class SimulatedCarrier implements ParcelTracker {
    /** A parcel that slips is told of so long before it was to come. */
    private static final Duration WARNING = Duration.ofHours(20);

    private static final int SLIPS_PERCENT = 30;
    private static final int LOST_PERCENT = 6;

    @Override
    public Optional<Sighting> ask(String number, Instant shipped, Instant promised, Instant now) {
        if (number.isBlank()) {
            return Optional.empty();
        }
        int luck = Math.floorMod(number.hashCode() * 31 + 7, 100);
        boolean lost = luck < LOST_PERCENT;
        boolean slips = !lost && luck < LOST_PERCENT + SLIPS_PERCENT;
        Instant comes = slips ? promised.plus(Duration.ofDays(1 + luck % 3)) : promised;
        if (lost && now.isAfter(promised)) {
            return Optional.of(new Sighting(State.LOST, "cannot be found; a search has been opened", Optional.empty()));
        }
        if (!lost && !now.isBefore(comes)) {
            return Optional.of(new Sighting(State.DELIVERED, "handed over at the gate", Optional.of(comes)));
        }
        if (slips && now.isAfter(promised.minus(WARNING))) {
            return Optional.of(
                    new Sighting(State.SLIPPED, "missed its lorry, comes later than announced", Optional.of(comes)));
        }
        boolean half =
                Duration.between(shipped, now).multipliedBy(2).compareTo(Duration.between(shipped, promised)) > 0;
        return Optional.of(new Sighting(
                State.MOVING, half ? "left the sorting hall" : "taken over from the sender", Optional.of(comes)));
    }
}
