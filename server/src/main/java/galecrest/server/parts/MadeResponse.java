package galecrest.server.parts;

record MadeResponse(String id) {}
