package galecrest.server.board;

/** What was undone, in words. */
record UndoneResponse(String summary) {}
