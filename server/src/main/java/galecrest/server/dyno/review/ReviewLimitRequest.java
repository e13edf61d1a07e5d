package galecrest.server.dyno.review;

import org.jspecify.annotations.Nullable;

/**
 * A limit of a car's channel.
 *
 * @param channel by its label
 * @param floor whether the channel should stay above it
 * @param watch as people write it; blank for none, then only what comes with the speed counts
 * @param per1000 what it rises by with each 1000 rpm; blank for a level one
 */
record ReviewLimitRequest(
        String channel,
        boolean floor,
        @Nullable String watch,
        @Nullable String per1000) {}
