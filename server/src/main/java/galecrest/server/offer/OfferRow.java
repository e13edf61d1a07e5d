package galecrest.server.offer;

import galecrest.core.plan.Plan;
import java.time.Instant;

/**
 * A plan that was worth offering when it was found.
 *
 * @param dates the dates that it won something for, as one text; a dismissed offer for the same is not made again
 * @param gain what it was worth then, in weighted hours late at a promise
 */
record OfferRow(String id, Instant at, OfferState state, String dates, double gain, Plan plan) {}
