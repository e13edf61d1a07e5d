package galecrest.server.dyno;

import galecrest.core.gauge.GaugeAnswer.Figure;
import galecrest.core.shop.Problem;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a file is when its columns are what was said.
 *
 * @param problems why it is no run; none where it is one
 * @param agrees how far torque times speed is from the power; null where only one of them is there
 * @param mistaken what is mistaken in the columns; blank where nothing is
 * @param slips where the tyres slip; blank where they do not
 */
record RunLookResponse(
        List<Problem> problems,
        List<String> notices,
        int samples,
        @Nullable Figure peak,
        @Nullable Figure peakAt,
        @Nullable Figure from,
        @Nullable Figure to,
        @Nullable Figure agrees,
        String mistaken,
        String slips) {}
