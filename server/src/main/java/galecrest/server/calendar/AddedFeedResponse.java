package galecrest.server.calendar;

/** Where the calendar can be read, from the root of the server. */
record AddedFeedResponse(String path) {}
