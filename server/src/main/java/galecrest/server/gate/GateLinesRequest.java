package galecrest.server.gate;

import java.util.List;

/**
 * What gates ask, as it is to be; wholly.
 *
 * @param edition of what was looked at when it was changed
 */
record GateLinesRequest(String edition, List<GateLineRequest> lines) {}
