package galecrest.server.dyno;

import java.util.List;

/** The runs that were taken in, in their order. */
record TakenRunsResponse(List<String> ids) {}
