package galecrest.server.season;

import java.time.LocalDate;
import java.util.List;

/** How long a person is at it without a day off; see {@link galecrest.core.season.Stretch}. */
record StretchResponse(
        String personId,
        LocalDate first,
        int days,
        int nights,
        double hours,
        LocalDate weekFrom,
        List<String> warnings) {}
