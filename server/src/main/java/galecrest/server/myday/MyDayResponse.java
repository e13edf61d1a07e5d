package galecrest.server.myday;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Works of a hand, by id.
 *
 * @param nextUntil the day, from its midnight, to whose end <em>next</em> reaches
 * @param publishedAt when people were last told
 * @param changes what moved for this hand since it last looked
 */
public record MyDayResponse(
        String personId,
        List<String> now,
        List<String> next,
        List<String> later,
        Instant nextUntil,
        @Nullable Instant publishedAt,
        List<DayChange> changes) {}
