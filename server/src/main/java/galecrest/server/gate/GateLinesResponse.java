package galecrest.server.gate;

import galecrest.core.build.Gate;
import galecrest.core.gate.GateLine;
import galecrest.core.gauge.Measured;
import galecrest.server.shop.HouseList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What gates ask.
 *
 * @param own whether it was changed for this discipline or car; else it is what it comes from
 */
record GateLinesResponse(String edition, boolean own, List<LineResponse> lines) {
    static GateLinesResponse of(HouseList.Shown<GateLine> shown) {
        return new GateLinesResponse(
                shown.edition(),
                shown.own(),
                shown.items().stream().map(LineResponse::of).toList());
    }

    /** A line; see {@link GateLine}. */
    record LineResponse(
            String key,
            Gate gate,
            String text,
            GateLine.Asks asks,
            @Nullable Measured restsOn,
            boolean never) {
        static LineResponse of(GateLine line) {
            return new LineResponse(
                    line.key(),
                    line.gate(),
                    line.text(),
                    line.asks(),
                    line.restsOn().orElse(null),
                    line.never());
        }
    }
}
