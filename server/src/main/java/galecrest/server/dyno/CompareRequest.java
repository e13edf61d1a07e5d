package galecrest.server.dyno;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Runs to be compared.
 *
 * @param before ids of runs before the change
 * @param after ids of those after it
 * @param from engine speed, rpm
 * @param to the end of the range, rpm
 * @param standard of correction, as the gauge {@code air-correction} calls it
 * @param confidence as people write it, 95 % where nobody says
 * @param comparisons how many ranges or changes are looked at together; 1 where nobody says
 * @param worth the smallest change that matters, as people write it
 */
record CompareRequest(
        List<String> before,
        List<String> after,
        int from,
        int to,
        @Nullable String standard,
        @Nullable String confidence,
        @Nullable Integer comparisons,
        @Nullable String worth) {}
