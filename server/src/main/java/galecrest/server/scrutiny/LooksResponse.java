package galecrest.server.scrutiny;

import galecrest.core.trackday.AfterImpact;
import java.util.List;

/** What else to look at after an impact there. */
record LooksResponse(AfterImpact where, List<AfterImpact.Look> looks) {}
