package galecrest.server.receiving;

import galecrest.core.parts.PartState;
import java.util.List;

/** What the inspection did: the margins that it cost, in words. */
record InspectedResponse(PartState state, List<String> cost) {}
