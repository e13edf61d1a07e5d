package galecrest.server.stale;

import java.util.List;

/**
 * What a piece of work disturbs.
 *
 * @param said whether somebody has said so; else it is by its words
 * @param disturbances those it carries
 * @param stale what will have to be measured anew once it is done, in that order
 */
record CarriedResponse(boolean said, List<String> disturbances, List<String> stale) {}
