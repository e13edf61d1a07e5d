package galecrest.server.load;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What goes aboard for an event.
 *
 * @param payload what the trailer takes, kg; 0 where nobody has said
 * @param leftAt when it left; null while it stands
 * @param without what it left without
 * @param usedListed whether what did not come back was put on the supply run
 */
record LoadResponse(
        List<LoadItemResponse> items,
        double payload,
        @Nullable Instant leftAt,
        String leftBy,
        String without,
        boolean usedListed) {
    /**
     * A thing.
     *
     * @param by who has ticked it; null while it is not aboard
     * @param back how many came back; null where nobody has counted them
     */
    record LoadItemResponse(
            String id,
            String box,
            String name,
            int quantity,
            double kilograms,
            @Nullable String by,
            @Nullable Integer back) {}
}
