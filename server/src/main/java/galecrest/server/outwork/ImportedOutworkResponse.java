package galecrest.server.outwork;

record ImportedOutworkResponse(int works) {}
