package galecrest.server.gate;

import galecrest.core.build.Gate;
import galecrest.core.gate.GateFacts;
import galecrest.core.gate.GateLine;
import galecrest.core.gate.GateStatus;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A gate of a car.
 *
 * @param date the next date for which the car must be past it; null where there is none
 * @param due when that is
 * @param likely when the plan has all of it so; null where it does not know
 */
record GateResponse(
        Gate gate,
        GateStatus.State state,
        List<CheckedLineResponse> lines,
        @Nullable PassingResponse passing,
        @Nullable String date,
        @Nullable Instant due,
        @Nullable Instant likely) {
    /**
     * A line with what keeps it open.
     *
     * @param signedBy the name under it, void or not
     */
    record CheckedLineResponse(
            String key,
            String text,
            GateLine.Asks asks,
            boolean met,
            boolean never,
            List<OpenResponse> open,
            @Nullable String signedBy,
            @Nullable Instant signedAt,
            boolean signatureHolds) {
        static CheckedLineResponse of(GateStatus.Checked line) {
            return new CheckedLineResponse(
                    line.line().key(),
                    line.line().text(),
                    line.line().asks(),
                    line.met(),
                    line.never(),
                    line.open().stream()
                            .map(o -> new OpenResponse(
                                    o.what(), o.who(), o.likely().orElse(null)))
                            .toList(),
                    line.signature().map(GateFacts.Signature::by).orElse(null),
                    line.signature().map(GateFacts.Signature::at).orElse(null),
                    line.signature().map(GateFacts.Signature::holds).orElse(false));
        }
    }

    /** What keeps a line open, who can make it so, and when that is likely. */
    record OpenResponse(String what, String who, @Nullable Instant likely) {}

    /** Who passed it; {@code reason} is why, where lines were open. */
    record PassingResponse(String did, String looked, Instant at, String reason) {}
}
