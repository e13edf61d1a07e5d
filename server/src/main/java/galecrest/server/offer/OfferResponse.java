package galecrest.server.offer;

import java.time.Instant;
import java.util.List;

/**
 * An offer as it is now, mended with what has changed since it was found.
 *
 * @param headline what it wins
 * @param detail what it moves, whom to tell, what other dates give up
 * @param moves what moves, a line each
 * @param works the works that move
 */
record OfferResponse(
        String id, Instant at, boolean kept, String headline, String detail, List<String> moves, List<String> works) {}
