package galecrest.server;

/** What was added, by its new id. */
public record AddedResponse(String id) {}
