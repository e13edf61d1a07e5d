package galecrest.server.work;

/** What the use cases look at before they change a piece of work. */
record WorkSummary(String id, String buildId, String name, String kind, String status, boolean held, int version) {}
