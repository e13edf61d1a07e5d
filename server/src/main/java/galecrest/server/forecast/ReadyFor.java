package galecrest.server.forecast;

import galecrest.core.insight.DispatchList;
import java.util.List;

/** What a person could work on this minute, what the plan gives them first; see {@link DispatchList}. */
public record ReadyFor(String personId, List<ReadyWork> works) {}
