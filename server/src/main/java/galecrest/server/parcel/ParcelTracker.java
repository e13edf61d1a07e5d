package galecrest.server.parcel;

import java.time.Instant;
import java.util.Optional;

/** What a carrier tells of a parcel; a real carrier's feed would be asked through this. */
public interface ParcelTracker {
    /**
     * What is known of a parcel now.
     *
     * @param number as the vendor gave it
     * @param shipped when it was given to the carrier, as far as the shop knows
     * @param promised when it was to come
     * @return empty where the carrier does not know the number
     */
    Optional<Sighting> ask(String number, Instant shipped, Instant promised, Instant now);

    /** How a parcel is. */
    enum State {
        MOVING,
        SLIPPED,
        LOST,
        DELIVERED
    }

    /**
     * A carrier's word.
     *
     * @param said in the carrier's words
     * @param expected when it will come, or came; empty where it is lost
     */
    record Sighting(State state, String said, Optional<Instant> expected) {}
}
