package galecrest.server.outwork.sheet;

record ImportedOutworkResponse(int works) {}
